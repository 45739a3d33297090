'use client';

import { useCallback, type Ref } from 'react';
import { Combo } from './combo';
import { useIngredientSearch, type FoundIngredient } from './ingredient-search';

interface Props {
  readonly label: string;
  readonly placeholder: string;
  readonly chosen: FoundIngredient | undefined;
  readonly choose: (found: FoundIngredient | undefined) => void;
  readonly invalid?: boolean | undefined;
  readonly inputRef?: Ref<HTMLInputElement> | undefined;
  /** One that is not offered: what another is looked for. */
  readonly except?: string | undefined;
}

/** One ingredient out of many: the server looks, a dozen are offered. */
export function IngredientCombo({ except, ...box }: Props) {
  const find = useIngredientSearch();
  const look = useCallback(
    async (wanted: string): Promise<readonly FoundIngredient[]> =>
      (await find(wanted)).filter((f) => f.id !== except),
    [find, except],
  );
  return <Combo find={look} {...box} />;
}
