import { useMemo } from 'react';
import {
  layerMoney,
  layerShares,
  moneyWentIn,
  rowCosts,
  type LayerShare,
  type MoneyWent,
  type RowCost,
} from '@/core/layers';
import { inForce } from '@/core/kitchen-file';
import { openedPacks, type OpenedPacks } from '@/core/prices';
import { batchesTaken, overdrawn, potOf, type Batches } from '@/core/shelf';
import {
  amountOfStep,
  countedIn,
  ofStep,
  runPotFrom,
  type Counted,
  type Pot,
  type PotTrace,
  type Shelf,
  type WrittenStep,
} from '@/core/verbs';
import { type PotRun } from '@/core/pot';
import { mannerOf } from '@/core/quantity';
import { fine, refuse, type Trouble } from '@/core/trouble';
import { batchBefore, productOf, readSupply } from '@/core/supply';
import type { OpenPack } from '@/core/larder';
import type { PotSheetData } from '../../queries';
import type { ExtraLayer } from '../../reach';
import { readLine, stepsOf, type Draft } from '../sheet/sheet-lines';
import * as texts from './texts';

const EXTRA_LAYERS: readonly ExtraLayer[] = ['packaging', 'energy', 'hands'];

/** A pot sheet as it is in its lines: run, priced, and with what is wrong beside each line. */
export interface LivePot {
  readonly steps: readonly WrittenStep[];
  /** By line: whether it is done, or stands there switched off or for another way. */
  readonly done: readonly boolean[];
  readonly run: PotRun;
  readonly money: readonly RowCost[];
  readonly inputMoney: readonly (number | null)[];
  /** The running book, as-purchased money followed through the pot; null while a price is missing. */
  readonly book: MoneyWent | null;
  /** What the layers beside the ingredients come to in the pot; null where one is not known. */
  readonly layers: readonly (readonly [ExtraLayer, number | null])[];
  /** Who brings how much of one of them; asked for where it is drawn. */
  readonly sharesOf: (layer: ExtraLayer) => readonly LayerShare[] | null;
  /** Packs it opens, and what is left of each. */
  readonly packs: readonly OpenedPacks[];
  /** By line: what a count of something comes to that is trimmed before it goes in. */
  readonly counted: ReadonlyMap<number, Counted>;
  /** By line: what more is taken of than one batch gives. */
  readonly batches: ReadonlyMap<number, Batches>;
  /** By line: what cannot be read, or cannot be done. */
  readonly troubles: ReadonlyMap<number, Trouble>;
  /** The first line that cannot be done at all: nothing is kept while there is one. */
  readonly refusedAt: number | undefined;
}

export function shelfFrom(data: PotSheetData): Shelf {
  const stuffs = new Map(data.stuffs);
  const products = new Map(data.products.map((p) => [p.id, p]));
  const vessels = new Map(data.vessels.map((v) => [v.id, v]));
  const hobs = new Map(data.hobs.map((h) => [h.id, h]));
  return {
    manner: mannerOf(data.mark, data.measures),
    stuff: (id) => stuffs.get(id),
    vessel: (id) => vessels.get(id),
    hob: (id) => hobs.get(id),
    product(id, part) {
      const p = products.get(id);
      const product = part === undefined ? p?.product : p?.parts.find((x) => x.part === part)?.product;
      return p && product && !p.loops
        ? fine({ name: part === undefined ? p.name : texts.partOf(part, p.name), product })
        : refuse('no-product', 'of', p?.trouble ?? texts.recipeNotKitchen);
    },
    // What the book as it was kept last leaves: the batch before this one.
    lastBatch(id, part) {
      const p = products.get(id);
      const product = part === undefined ? p?.last : p?.parts.find((x) => x.part === part)?.product;
      return p && product
        ? fine({ name: texts.lastBatch(part, p.name), product })
        : refuse('no-product', 'of', texts.noBatchCanMade);
    },
  };
}

/** Currency per unit of a supply; what a last batch left goes by its fixed value, or by what the batch costs as it was kept. */
function pricesFrom(list: readonly (readonly [string, number | null])[], shelf: Shelf, set: boolean) {
  const prices = new Map(list);
  return (supply: string): number | null => {
    if (supply === 'free') return 0;
    const known = prices.get(supply);
    const from = readSupply(supply);
    if (known !== undefined || from?.is !== 'last') return known ?? null;
    if (from.perLitre === undefined) return prices.get(batchBefore(from)) ?? null;
    const last = shelf.lastBatch(from.id, from.part);
    if (!last.ok) return null;
    return set ? (Number(from.perLitre) / 1000) * (last.value.product.ml / last.value.product.g) : 0;
  };
}

/** The pot that the lines make, and what is wrong with them, line by line. */
function runLines(
  data: PotSheetData,
  draft: Draft,
  shelf: Shelf,
  looping: ReadonlyMap<string, string>,
  cook: (pot: Pot) => PotRun,
) {
  const troubles = new Map<number, Trouble>();
  const steps = stepsOf(draft.lines, data.names);
  const sheet = { ...draft, choices: [...draft.choices], steps };
  const isDone = inForce(sheet);
  const done = steps.map(isDone);
  for (const [i, line] of draft.lines.entries()) {
    const read = readLine(line.text, data.names);
    if (!read.ok && done[i]) troubles.set(i, read.trouble);
  }
  const loopAt = steps.findIndex((step, i) => {
    const of = ofStep(step);
    return done[i] && of !== undefined && 'product' in of && looping.has(of.product);
  });
  const run = cook(potOf(sheet, shelf));
  for (const { step, trouble } of run.unread) if (!troubles.has(step)) troubles.set(step, trouble);
  const eats = overdrawn(run, productOf(data.recipe.id), run.product?.g ?? Infinity);
  if (eats) troubles.set(eats.step, eats.trouble);
  if (run.refused) troubles.set(run.refused.step, run.refused.trouble);
  const counted = new Map<number, Counted>();
  for (const [i, step] of steps.entries()) {
    const found = done[i] && countedIn(ofStep(step), amountOfStep(step), shelf);
    if (found) counted.set(i, found);
  }
  const gives = new Map<string, number | undefined>(
    data.products.flatMap((p) => [
      [productOf(p.id), p.product?.g] as const,
      ...p.parts.map(({ part, product }) => [productOf(p.id, part), product.g] as const),
    ]),
  );
  const batches = new Map(batchesTaken(run, (supply) => gives.get(supply)).map((b) => [b.step, b]));
  return { steps, done, run, troubles, loopAt, eats, counted, batches };
}

/** What a run's inputs cost, whole packs where they are charged whole, and the money in the pot row by row. */
function pricedRun(
  run: PotRun,
  price: (supply: string) => number | null,
  opens: ReadonlyMap<string, OpenPack>,
  eats: number | undefined,
) {
  const packs = openedPacks(run.inputs, (id) => opens.get(id));
  const factors = new Map(packs.map((o) => [o.supply, o.factor]));
  const inputMoney = run.inputs.map(({ supply, g }) => {
    const perG = price(supply);
    return perG === null ? null : perG * g * (factors.get(supply) ?? 1);
  });
  const undone = [...run.unread.map((u) => u.step), ...(eats === undefined ? [] : [eats])];
  return {
    packs,
    factors,
    inputMoney,
    money: rowCosts(run.rows, inputMoney, undone),
    whole: !inputMoney.includes(null) && undone.length === 0 && !run.refused,
  };
}

/** What is worked out when it is first asked for. */
function once<T>(work: () => T): () => T {
  let found: { readonly is: T } | undefined;
  return () => (found ??= { is: work() }).is;
}

/**
 * Reads the lines of a sheet, runs its pot and prices it: a few milliseconds, done again at every keystroke. What does not change
 * while one types is prepared once.
 */
export function potFor(data: PotSheetData): (draft: Draft) => LivePot {
  const shelf = shelfFrom(data);
  const price = pricesFrom(data.prices, shelf, true);
  const layerPrices = EXTRA_LAYERS.map(
    (name) => [name, pricesFrom(data.layers[name], shelf, false)] as const,
  );
  const opens = new Map(data.opens);
  const asPurchased = new Map(data.asPurchased);
  const looping = new Map(data.products.filter((p) => p.loops).map((p) => [p.id, p.trouble ?? '']));
  let before: PotTrace | undefined;
  // What is cooked next is mostly what was cooked before: the same sheet with another line in hand.
  const cook = (pot: Pot): PotRun => {
    before = runPotFrom(pot, data.constants, before);
    return before.run;
  };
  return (draft) => {
    const { steps, done, run, troubles, loopAt, eats, counted, batches } = runLines(
      data,
      draft,
      shelf,
      looping,
      cook,
    );
    const { packs, factors, inputMoney, money, whole } = pricedRun(run, price, opens, eats?.step);
    // What explains the figures is worked out where it is drawn, after the line in hand has been.
    const book = once(() =>
      whole ? moneyWentIn(run, inputMoney as number[], (supply) => asPurchased.get(supply), factors) : null,
    );
    const layers = once(() => layerPrices.map(([name, of]) => [name, layerMoney(run, name, of)] as const));
    return {
      steps,
      done,
      run,
      money,
      inputMoney,
      get book() {
        return book();
      },
      get layers() {
        return layers();
      },
      sharesOf: (layer) => {
        const found = layerPrices.find(([name]) => name === layer);
        return found ? layerShares(run, layer, found[1]) : null;
      },
      packs,
      counted,
      batches,
      troubles,
      refusedAt: loopAt >= 0 ? loopAt : run.refused?.step,
    };
  };
}

/** The pot of a sheet as it is in its lines, and what runs variants of it: with another line, in another way, in another vessel. */
export function useLivePot(data: PotSheetData, draft: Draft) {
  const run = useMemo(() => potFor(data), [data]);
  const pot = useMemo(() => run(draft), [run, draft]);
  return { pot, run };
}
