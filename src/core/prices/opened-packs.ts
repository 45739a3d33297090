import { readSupply } from '../supply';
import { packsOpened, type OpenPack, type PacksOpened } from '../larder';

interface Used {
  readonly supply: string;
  readonly name: string;
  readonly g: number;
}

/** An ingredient whose packs a pot opens. */
export interface OpenedPacks extends PacksOpened {
  readonly supply: string;
  readonly name: string;
  readonly pack: OpenPack;
}

/**
 * The packs a pot opens: everything it uses of an ingredient together, so that two glugs from one
 * bottle open one bottle.
 * @param opensOf looked up by ingredient id
 */
export function openedPacks(
  inputs: readonly Used[],
  opensOf: (id: string) => OpenPack | undefined,
): OpenedPacks[] {
  const sums = new Map<string, { id: string; name: string; g: number }>();
  for (const { supply, name, g } of inputs) {
    const from = readSupply(supply);
    if (from?.is === 'usable') sums.set(supply, { id: from.id, name, g: g + (sums.get(supply)?.g ?? 0) });
  }
  return [...sums].flatMap(([supply, { id, name, g }]) => {
    const pack = opensOf(id);
    return pack ? [{ supply, name, pack, ...packsOpened(g, pack) }] : [];
  });
}

/** What each supply's grams are multiplied with before they are paid: above 1 where opened packs are charged whole. */
export const chargeFactors = (
  inputs: readonly Used[],
  opensOf: (id: string) => OpenPack | undefined,
): Map<string, number> =>
  new Map(
    openedPacks(inputs, opensOf)
      .filter((o) => o.factor !== 1)
      .map((o) => [o.supply, o.factor]),
  );
