'use client';

import { useCallback, useState } from 'react';
import { AsyncTypeahead } from 'react-bootstrap-typeahead';
import { useFind, type Found } from './find';

interface Props {
  readonly id: string;
  readonly label: string;
  readonly placeholder: string;
  readonly chosen: Found | undefined;
  readonly choose: (found: Found | undefined) => void;
  /** One that is not offered: what another is looked for. */
  readonly except?: string | undefined;
}

/** One ingredient out of many, by any of its words, misspelled too: the server looks, a dozen are offered. */
export function ChooseIngredient({ id, label, placeholder, chosen, choose, except }: Props) {
  const find = useFind();
  const [found, setFound] = useState<readonly Found[]>([]);
  const [looking, setLooking] = useState(false);
  const [typed, setTyped] = useState('');
  // The same function each time: another would forget what it was about to look for.
  const look = useCallback(
    async (wanted: string): Promise<void> => {
      setLooking(true);
      const now = await find(wanted).catch(() => []);
      setFound(now.filter((f) => f.id !== except));
      setLooking(false);
    },
    [find, except],
  );
  // Who has typed the whole name has chosen it, whether or not it was pointed at.
  const named = (): Found | undefined =>
    found.find((f) => f.name.toLowerCase() === typed.trim().toLowerCase());
  return (
    <AsyncTypeahead
      id={id}
      labelKey="name"
      inputProps={{ 'aria-label': label }}
      placeholder={placeholder}
      minLength={1}
      delay={120}
      useCache={false}
      // What the server has found fits, also where the letters differ.
      filterBy={() => true}
      isLoading={looking}
      onSearch={look}
      options={[...found]}
      selected={chosen ? [chosen] : []}
      onInputChange={setTyped}
      onBlur={() => {
        const now = chosen ? undefined : named();
        if (now) choose(now);
      }}
      onChange={(all) => choose(all[0] as Found | undefined)}
      highlightOnlyResult
      promptText="Type a word of its name"
      searchText="Looking …"
      emptyLabel="Nothing here is called that."
    />
  );
}
