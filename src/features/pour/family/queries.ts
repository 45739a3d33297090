import 'server-only';
import { familyOf, kinOf, tiesBy, type Family } from '@/core/costing';
import { costedKitchen } from '@/server/kitchen';
import type { Worker } from '@/server/session';

/** As many as are drawn at once; of a larger house one family at a time. */
const MOST = 300;

export interface FamilyPage extends Family {
  /** Whose kin it is; undefined for the whole house. */
  readonly of: string | undefined;
  /** How many there are in the house. */
  readonly all: number;
  /** Whether the house is too large to be drawn at once. */
  readonly large: boolean;
  /** Of whom somebody asked and who is not here any more. */
  readonly gone: boolean;
  /** How many of the chosen one's kin are not drawn: the largest ties are. */
  readonly more: number;
}

/** The family of a kitchen, or the kin of one of it. In a house of thousands somebody's kin is shown from the first. */
export async function familyPage(who: Worker, asked: string | undefined): Promise<FamilyPage> {
  const { costing } = await costedKitchen(who.kitchenId);
  const family = familyOf(costing);
  const large = family.relatives.length > MOST;
  const there = family.relatives.some((r) => r.id === asked);
  const of = there ? asked : large ? motherOfMost(family) : undefined;
  const kin = of === undefined ? family : kinOf(family, of);
  const drawn = nearest(kin, of, MOST);
  return {
    ...drawn,
    of,
    all: family.relatives.length,
    large,
    gone: asked !== undefined && !there,
    more: kin.relatives.length - drawn.relatives.length,
  };
}

/** Who has the most daughters. */
function motherOfMost(family: Family): string | undefined {
  const daughters = tiesBy(family, 'from');
  let [most, found] = [0, family.relatives[0]?.id];
  for (const { id, is } of family.relatives) {
    const many = daughters.get(id)?.length ?? 0;
    if (is !== 'pot' || many <= most) continue;
    [most, found] = [many, id];
  }
  return found;
}

/** So many of a family, those first that stand nearest to one. */
function nearest(family: Family, of: string | undefined, most: number): Family {
  if (of === undefined || family.relatives.length <= most) return family;
  const [up, down] = [tiesBy(family, 'to'), tiesBy(family, 'from')];
  const kept = new Set([of]);
  for (const id of kept) {
    for (const tie of [...(up.get(id) ?? []), ...(down.get(id) ?? [])])
      if (kept.size < most) kept.add(tie.from === id ? tie.to : tie.from);
    if (kept.size >= most) break;
  }
  return {
    relatives: family.relatives.filter((r) => kept.has(r.id)),
    ties: family.ties.filter((t) => kept.has(t.from) && kept.has(t.to)),
  };
}
