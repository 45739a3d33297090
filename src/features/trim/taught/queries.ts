import { olderFirst } from '@/core/day';
import 'server-only';
import type { DecimalMark } from '@/core/quantity';
import type { KitchenCosting } from '@/core/costing';
import { notFound } from 'next/navigation';
import { priceBeforeTrim, isGuess, type Supply } from '@/core/prices';
import {
  proposalOf,
  taught,
  proposalEffects,
  withProposal,
  type ProposalEffect,
  type Taught,
} from '@/core/taught';
import type { Learned, Prior, Season, TestKind } from '@/core/learning';
import type { TrimSchool } from '@/core/larder';
import type { WrittenTest } from '@/core/bench';
import { peopleOf } from '@/db/people/people';
import { database } from '@/server/database';
import { takesIngredient, usedBy } from '@/server/used-by';
import { costedKitchen, costedWith } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { TERMS, testResults } from '../test-results';
import * as texts from './texts';

/** One test of one figure, with all that is known of it in words. */
export interface TestDot {
  readonly id: string;
  readonly on: string;
  readonly value: number;
  readonly season: Season;
  readonly supplier?: string | undefined;
  readonly by?: string | undefined;
  readonly note?: string | undefined;
  readonly kind: TestKind;
  readonly weight: number;
  readonly outlier: boolean;
  readonly not?: 'left out' | 'another season' | 'another supplier' | undefined;
  readonly why?: string | undefined;
}

/** What tests have taught of one figure, in the unit it is shown in: % or ml per kg. */
export interface FigurePage {
  readonly figure: string;
  readonly title: string;
  readonly unit: '%' | 'ml/kg';
  readonly prior?: Prior | undefined;
  readonly learned?: Learned | undefined;
  readonly inForce?: number | undefined;
  readonly measured: boolean;
  readonly waits: boolean;
  readonly dots: readonly TestDot[];
}

export interface TaughtPage {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly mayEdit: boolean;
  readonly mark: DecimalMark;
  readonly mayTest: boolean;
  readonly asks: boolean;
  readonly usable: number;
  readonly stockTrim: number;
  readonly guess: boolean;
  readonly basis?: string | undefined;
  readonly since: string;
  readonly usablePerKg: number | null;
  readonly trouble?: string | undefined;
  readonly figures: readonly FigurePage[];
  /** What accepting would move; null where nothing waits. */
  readonly moved: readonly ProposalEffect[] | null;
  /** Says which proposal was looked at, so that no other is accepted in its place. */
  readonly proposed: string;
  readonly learnFrom: {
    readonly season?: Season | 'now' | undefined;
    readonly supplier?: string | undefined;
  };
  readonly suppliers: readonly { readonly id: string; readonly name: string }[];
  readonly trim: {
    readonly own?: TrimSchool | undefined;
    readonly kitchens: TrimSchool;
    readonly setValue: string;
    readonly ownValue: boolean;
    readonly takenPct: number;
  };
  readonly comesOff?:
    | {
        readonly of: { readonly id: string; readonly name: string };
        readonly setValue: string;
        readonly ownValue: boolean;
        readonly sold: boolean;
        readonly perKg: number | null;
      }
    | undefined;
  readonly bought: number | null;
  readonly past: readonly { readonly on: string; readonly words: string; readonly guess: boolean }[];
  readonly usedBy: readonly { readonly name: string; readonly href: string }[];
}

const TITLES: Readonly<Record<string, string>> = {
  usable: texts.usableYield,
  'stock trim': texts.stockTrim,
  'browned off': texts.browningGoneVapour,
  'fat run off': texts.browningFatRunOff,
  'sweated off': texts.sweatingWeightLost,
  'wilted off': texts.wiltingWaterGivenUp,
  'clear fat': texts.clarifyingClearFat,
  retention: texts.keptBackStrainerDrained,
  'retention pressed': texts.keptBackStrainerPressed,
};

export async function taughtPage(who: Worker, id: string): Promise<TaughtPage> {
  const kitchen = await costedKitchen(who.kitchenId);
  const { costing, versions } = kitchen;
  const supply = costing.supplies.get(id);
  if (!supply) notFound();
  const { state, day } = costing;
  const { tests } = await testResults(who.kitchenId, costing);
  const all = taught(state, supply.ingredient, tests, day, TERMS);
  const proposal = proposalOf(all);
  const after =
    proposal &&
    (await costedWith(kitchen, (f) => withProposal(f, id, proposal, day, `${day}T00:00:00.000Z`)));
  const names = {
    people: new Map((await peopleOf(database(), who.kitchenId)).map((p) => [p.id, p.name])),
    suppliers: new Map(state.suppliers.map((s) => [s.id, s.name])),
    ingredients: new Map(state.ingredients.map((i) => [i.id, i.name])),
  };
  const { learnFrom } = supply.ingredient;
  return {
    id,
    name: supply.ingredient.name,
    version: versions.ingredients.get(id) ?? 1,
    mayEdit: may(who.role, 'manager'),
    mark: costing.state.kitchen.decimalMark,
    mayTest: may(who.role, 'cook'),
    asks: state.kitchen.learning === 'ask',
    usable: supply.usable,
    stockTrim: supply.stockTrim,
    guess: isGuess(supply),
    basis: supply.yieldBasis,
    since: supply.yieldOn,
    usablePerKg: supply.usablePerKg ?? null,
    trouble: supply.trouble?.message,
    figures: all
      .filter(saysSomething)
      .map((t) => figurePage(t, names))
      .sort((a, b) => place(a.figure) - place(b.figure)),
    moved: after ? proposalEffects(costing, after) : null,
    proposed: JSON.stringify(proposal ?? null),
    learnFrom: { season: learnFrom?.season, supplier: learnFrom?.supplier },
    suppliers: state.suppliers.map(({ id: supplier, name }) => ({ id: supplier, name })),
    ...whoPays(costing, supply),
    past: pastYields(supply),
    usedBy: usedBy(state, takesIngredient(id)),
  };
}

/** Who pays for what comes off it, and what it comes off itself. */
function whoPays(
  { state, supplies }: KitchenCosting,
  supply: Supply,
): Pick<TaughtPage, 'trim' | 'comesOff' | 'bought'> {
  const { trim, comesOff } = supply.ingredient;
  return {
    trim: {
      own: trim?.school,
      kitchens: state.kitchen.trim.school,
      setValue: trim?.setValuePerKg ?? state.kitchen.trim.setValuePerKg,
      ownValue: trim?.setValuePerKg !== undefined,
      takenPct: trim?.takenPct ?? 100,
    },
    comesOff: comesOff && {
      of: { id: comesOff.ingredient, name: supplies.get(comesOff.ingredient)?.ingredient.name ?? '' },
      setValue: comesOff.setValuePerKg ?? state.kitchen.trim.setValuePerKg,
      ownValue: comesOff.setValuePerKg !== undefined,
      sold: comesOff.sold,
      perKg: supply.comesOff?.perKg ?? null,
    },
    bought: priceBeforeTrim(supply) ?? null,
  };
}

/** Values used before, the last first. */
const pastYields = ({ ingredient }: Supply): TaughtPage['past'] =>
  [...ingredient.yields]
    .sort((a, b) => olderFirst(b, a))
    .map((y) => ({
      on: y.on,
      guess: y.source === 'estimate',
      words: `${y.usablePct} %${y.stockTrimPct > 0 ? texts.trim(y.stockTrimPct) : ''}${y.basis ? ` · ${y.basis}` : ''}`,
    }));

/** Stock trim that no test has found and nobody expected is not worth a picture. */
const saysSomething = (t: Taught): boolean =>
  t.tests.some((x) => x.value > 0) || (t.prior?.value ?? 0) > 0 || (t.inForce ?? 0) > 0;

const ORDER = Object.keys(TITLES);
const place = (figure: string): number => (figure.startsWith('by-product:') ? 1.5 : ORDER.indexOf(figure));

function figurePage(
  t: Taught,
  names: {
    readonly people: ReadonlyMap<string, string>;
    readonly suppliers: ReadonlyMap<string, string>;
    readonly ingredients: ReadonlyMap<string, string>;
  },
): FigurePage {
  const unit = t.figure.startsWith('retention') ? 'ml/kg' : '%';
  const scale = unit === '%' ? 100 : 1;
  const title = t.figure.startsWith('by-product:')
    ? `Comes off: ${names.ingredients.get(t.figure.slice('by-product:'.length)) ?? 'a by-product'}`
    : (TITLES[t.figure] ?? t.figure);
  const scaled = <T extends { readonly low: number; readonly high: number }>(
    x: T,
    ...keys: (keyof T)[]
  ): T => ({
    ...x,
    ...Object.fromEntries(keys.map((k) => [k, (x[k] as number) * scale])),
  });
  return {
    figure: t.figure,
    title,
    unit,
    prior: t.prior && scaled(t.prior, 'value', 'low', 'high'),
    // A share is never below nothing, however wide its band.
    learned:
      t.learned && scaled({ ...t.learned, low: Math.max(0, t.learned.low) }, 'mean', 'sd', 'low', 'high'),
    inForce: t.inForce === undefined ? undefined : t.inForce * scale,
    measured: t.measured,
    waits: t.waits,
    dots: t.tests.map(({ test, value, weight, outlier, not }) => ({
      id: test.id,
      on: test.on,
      value: value * scale,
      ...who(test, names),
      season: test.season,
      kind: test.kind,
      weight,
      outlier,
      not,
      why: test.leftOut?.why,
    })),
  };
}

const who = (
  test: WrittenTest,
  names: { readonly people: ReadonlyMap<string, string>; readonly suppliers: ReadonlyMap<string, string> },
) => ({
  supplier: names.suppliers.get(test.supplier ?? ''),
  by: names.people.get(test.by ?? ''),
  note: test.note,
});
