import { costOfPlate, costOfProduct, type KitchenCosting } from '../costing';
import type { WrittenIngredient } from '../kitchen-file';
import type { KitchenState } from '../kitchen-state';
import { COOKED, figureUnit } from '../learning';
import { productOf, usableOf } from '../supply';
import type { Taught } from './taught';

/** What tests have taught, as it would be written down once it is accepted. */
export interface Proposal {
  readonly yields?: Omit<WrittenIngredient['yields'][number], 'on' | 'recordedAt'> | undefined;
  readonly cooked: readonly Omit<WrittenIngredient['cooked'][number], 'on' | 'recordedAt'>[];
}

const round = (x: number, digits: number): number => Number(x.toFixed(digits));

/** Learned figures that wait, put into the form in which a yield is kept; undefined where none does. */
export function proposalOf(all: readonly Taught[]): Proposal | undefined {
  const trimming = all.filter((t) => !(COOKED as readonly string[]).includes(t.figure));
  const cooked = all
    .filter((t) => t.waits && !trimming.includes(t))
    .flatMap((t) => {
      const figure = COOKED.find((c) => c === t.figure);
      if (!figure || !t.learned) return [];
      const scale = figureUnit(figure) === '%' ? 100 : 1;
      return [
        {
          figure,
          value: round(t.learned.mean * scale, 2),
          low: round(Math.max(0, t.learned.low * scale), 2),
          high: round(t.learned.high * scale, 2),
          source: counted(t) > 0 ? ('measured' as const) : ('estimate' as const),
          basis: basisOf(t),
        },
      ];
    });
  const yields = trimming.some((t) => t.waits) ? yieldFrom(trimming) : undefined;
  return yields || cooked.length > 0 ? { yields, cooked } : undefined;
}

const counted = (t: Taught): number => t.tests.filter((x) => x.not === undefined).length;

function basisOf(t: Taught): string {
  const used = t.tests.filter((x) => x.not === undefined);
  if (used.length === 0) return 'back to the estimate: no own test counts';
  const tests = used.length === 1 ? '1 own test' : `${used.length} own tests`;
  const only = [
    t.tests.some((x) => x.not === 'another season') ? 'of one season' : '',
    t.tests.some((x) => x.not === 'another supplier') ? 'of one supplier' : '',
  ].filter(Boolean);
  return [tests, ...only].join(' ');
}

function yieldFrom(trimming: readonly Taught[]): Proposal['yields'] {
  const usable = trimming.find((t) => t.figure === 'usable');
  if (!usable?.learned) return undefined;
  const usablePct = round(Math.min(100, Math.max(0.01, usable.learned.mean * 100)), 2);
  // Learned apart, together they may be a hair more than the whole: what comes off gives way.
  let room = 100 - usablePct;
  const share = (t: Taught | undefined): number => {
    const pct = Math.min(room, round(Math.max(0, (t?.learned?.mean ?? 0) * 100), 2));
    room = round(room - pct, 2);
    return pct;
  };
  const stockTrimPct = share(trimming.find((t) => t.figure === 'stock trim'));
  const byProducts = trimming
    .filter((t) => t.figure.startsWith('by-product:'))
    .map((t) => ({ ingredient: t.figure.slice('by-product:'.length), pct: share(t) }));
  return {
    usablePct,
    stockTrimPct,
    byProducts,
    source: counted(usable) > 0 ? 'measured' : 'estimate',
    low: round(Math.max(0, usable.learned.low * 100), 2),
    high: round(Math.min(100, usable.learned.high * 100), 2),
    basis: basisOf(usable),
  };
}

/** A kitchen with a proposal accepted, as if it had taken effect on a day. */
export function withProposal(
  state: KitchenState,
  ingredientId: string,
  { yields, cooked }: Proposal,
  on: string,
  recordedAt: string,
): KitchenState {
  return {
    ...state,
    ingredients: state.ingredients.map((i) =>
      i.id === ingredientId
        ? {
            ...i,
            yields: yields ? [...i.yields, { ...yields, on, recordedAt }] : i.yields,
            cooked: [...i.cooked, ...cooked.map((c) => ({ ...c, on, recordedAt }))],
          }
        : i,
    ),
  };
}

/** One cost that is another before and after: a usable kilo, a litre, a plate. Null while it is not known. */
export interface ProposalEffect {
  readonly key: string;
  readonly name: string;
  readonly per: 'a usable kilo' | 'per litre' | 'per dish';
  readonly before: number | null;
  readonly after: number | null;
}

/** Less than this share is rounding of the machine. */
const NOTHING = 1e-9;

/** Every cost that two costings of one kitchen have differently: what moved, and from what to what. */
export function proposalEffects(before: KitchenCosting, after: KitchenCosting): ProposalEffect[] {
  const all: ProposalEffect[] = [
    ...[...after.supplies.values()].map((s): ProposalEffect => ({
      key: usableOf(s.ingredient.id),
      name: s.ingredient.name,
      per: 'a usable kilo',
      before: before.supplies.get(s.ingredient.id)?.usablePerKg ?? null,
      after: s.usablePerKg ?? null,
    })),
    ...after.state.recipes.map((r): ProposalEffect => ({
      key: productOf(r.id),
      name: r.name,
      per: 'per litre',
      before: costOfProduct(before, r.id).perL,
      after: costOfProduct(after, r.id).perL,
    })),
    ...after.state.plates.map((p): ProposalEffect => ({
      key: `plate:${p.id}`,
      name: p.name,
      per: 'per dish',
      before: costOfPlate(before, p.id).cost,
      after: costOfPlate(after, p.id).cost,
    })),
  ];
  return all.filter(({ before: a, after: b }) =>
    a === null || b === null ? a !== b : Math.abs(a - b) > NOTHING * Math.max(1, Math.abs(a)),
  );
}
