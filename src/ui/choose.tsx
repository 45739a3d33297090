'use client';

import { useCallback, type Ref } from 'react';
import { Combo } from './combo';
import { useFind, type Found } from './find';

interface Props {
  readonly label: string;
  readonly placeholder: string;
  readonly chosen: Found | undefined;
  readonly choose: (found: Found | undefined) => void;
  readonly invalid?: boolean | undefined;
  readonly inputRef?: Ref<HTMLInputElement> | undefined;
  /** One that is not offered: what another is looked for. */
  readonly except?: string | undefined;
}

/** One ingredient out of many: the server looks, a dozen are offered. */
export function ChooseIngredient({ except, ...box }: Props) {
  const find = useFind();
  const look = useCallback(
    async (wanted: string): Promise<readonly Found[]> => (await find(wanted)).filter((f) => f.id !== except),
    [find, except],
  );
  return <Combo find={look} {...box} />;
}
