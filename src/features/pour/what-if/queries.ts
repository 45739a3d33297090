import 'server-only';
import {
  besideCost,
  costByLayer,
  costOfPlate,
  gapsOf,
  namesToRead,
  type KitchenCosting,
} from '@/core/costing';
import type { WrittenMenu, WrittenTrial } from '@/core/kitchen-file';
import type { Layer } from '@/core/layers';
import type { DecimalMark, HouseMeasure } from '@/core/quantity';
import { groupOf } from '@/core/reference';
import { isSlider, ingredientsPriced, slidersOf, applyTrials, type Sliders } from '@/core/trials';
import { writeStep } from '@/core/verbs';
import { readTrayRows, type TrayRow } from '@/db/recipes/trays';
import { archivedRows } from '@/server/archived';
import { countedLayers } from '@/server/counted-layers';
import { database } from '@/server/database';
import { costedKitchen, costedWith } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import * as texts from './texts';

/** A plate as it is, and as it is with what does not slide. */
export interface TrayPlate {
  readonly id: string;
  readonly name: string;
  readonly now: number | null;
  readonly cost: number | null;
  /** What stands beside the ingredients in the layers that are counted, now and with the trials. */
  readonly besideNow: number | null;
  readonly besideThen: number | null;
  /** Why it would have no cost any more, where it has one now. */
  readonly lost?: string | undefined;
  readonly menuPrice: number | undefined;
  readonly taxPct: number;
  readonly target: number | undefined;
}

/** A trial in words: what it is of, what stands there now, and why it does nothing where it does nothing. */
export interface TrialText {
  readonly title: string;
  readonly now: string | undefined;
  /** Money a kilo, or a price, that its `times` is of. */
  readonly money: number | undefined;
  readonly slides: boolean;
  readonly flaw: string | undefined;
}

/** What a tray does, as far as the browser does not work it out itself. */
export interface TrayAnswer {
  readonly plates: readonly TrayPlate[];
  readonly said: readonly TrialText[];
  readonly slid: Sliders;
  readonly menus: readonly WrittenMenu[];
  /** Energy and hands of all plates together, before and with the trials: only where one of them is tried. */
  readonly layers: readonly { readonly layer: Layer; readonly before: number; readonly then: number }[];
}

export interface TraysPage {
  readonly trays: readonly { readonly id: string; readonly name: string }[];
  readonly tray: TrayRow | undefined;
  readonly answer: TrayAnswer | undefined;
  readonly gone: boolean;
  readonly mayEdit: boolean;
  readonly mark: DecimalMark;
  readonly measures: readonly HouseMeasure[];
  readonly groups: readonly string[];
  readonly suppliers: readonly { readonly id: string; readonly name: string }[];
  readonly away: Awaited<ReturnType<typeof archivedRows>>;
}

/** All trays by name, and one of them with what it does: the first unless told. */
export async function traysPage(who: Worker, asked: string | undefined): Promise<TraysPage> {
  const { costing } = await costedKitchen(who.kitchenId);
  const [rows, away] = await Promise.all([
    readTrayRows(database(), who.kitchenId),
    archivedRows(who, 'tray'),
  ]);
  const tray = asked === undefined ? rows[0] : rows.find((t) => t.id === asked);
  const { kitchen, measures, suppliers, ingredients } = costing.state;
  return {
    trays: rows.map(({ id, name }) => ({ id, name })),
    tray,
    answer: tray && (await trayAnswer(who, tray.trials)),
    gone: asked !== undefined && tray === undefined,
    mayEdit: may(who.role, 'changer'),
    mark: kitchen.decimalMark,
    measures,
    groups: [...new Set(ingredients.map(groupOf))].sort(),
    suppliers: suppliers.map(({ id, name }) => ({ id, name })),
    away,
  };
}

/** What some trials do: those that run pots are done here, the rest is sent what it takes to slide. */
export async function trayAnswer(who: Worker, trials: readonly WrittenTrial[]): Promise<TrayAnswer> {
  const kitchen = await costedKitchen(who.kitchenId);
  const counts = await countedLayers();
  const { costing } = kitchen;
  const heavy = trials.filter((t) => !isSlider(costing, t));
  const { state } = applyTrials(costing, heavy);
  const then = heavy.length === 0 ? costing : await costedWith(kitchen, () => state);
  return {
    plates: [...costing.plates.values()].map(({ plate: p }): TrayPlate => ({
      ...lostIn(costing, then, p.id),
      id: p.id,
      name: p.name,
      now: costOfPlate(costing, p.id).cost,
      cost: costOfPlate(then, p.id).cost,
      besideNow: besideCost(costing, `plate:${p.id}`, counts),
      besideThen: besideCost(then, `plate:${p.id}`, counts),
      menuPrice: p.menuPrice === undefined ? undefined : Number(p.menuPrice),
      taxPct: p.taxPct,
      target: p.targetFoodCostPct,
    })),
    said: saidOf(costing, trials),
    slid: slidersOf(then, trials),
    menus: costing.state.menus,
    layers: layersOf(costing, then, trials),
  };
}

/** Why a plate would have no cost with the trials done, where it has one now. */
function lostIn(now: KitchenCosting, then: KitchenCosting, id: string): Pick<TrayPlate, 'lost'> {
  if (costOfPlate(now, id).cost === null || costOfPlate(then, id).cost !== null) return {};
  return {
    lost: gapsOf(then, `plate:${id}`)[0]?.message ?? texts.somethingMadeFromNo,
  };
}

/** The first plate that has a cost now and would have none with the trials done, and why. */
export function plateMissing(now: KitchenCosting, then: KitchenCosting): string | undefined {
  for (const { plate } of now.plates.values()) {
    const { lost } = lostIn(now, then, plate.id);
    if (lost !== undefined) return texts.wouldNoCostAny(plate.name, lost);
  }
  return undefined;
}

function layersOf(before: KitchenCosting, then: KitchenCosting, trials: readonly WrittenTrial[]) {
  const tried = new Set(trials.flatMap((t) => (t.of === 'layer' ? [t.layer] : [])));
  const sum = (costing: KitchenCosting, layer: Layer): number =>
    [...costing.plates.keys()].reduce((n, id) => n + (costByLayer(costing, `plate:${id}`)[layer] ?? 0), 0);
  return [...tried].map((layer) => ({ layer, before: sum(before, layer), then: sum(then, layer) }));
}

/** Trials in words. */
function saidOf(costing: KitchenCosting, trials: readonly WrittenTrial[]): TrialText[] {
  const { flaws } = applyTrials(costing, trials);
  return trials.map((t, i) => ({
    ...wordsOf(costing, t),
    slides: isSlider(costing, t),
    flaw: flaws[i]?.message,
  }));
}

type Words = Pick<TrialText, 'title' | 'now' | 'money'>;
const GONE = texts.somethingArchived;

function wordsOf(costing: KitchenCosting, t: WrittenTrial): Words {
  const { state } = costing;
  const name = (list: readonly { readonly id: string; readonly name: string }[], id: string): string =>
    list.find((x) => x.id === id)?.name ?? GONE;
  const plain = (title: string, now?: string, money?: number): Words => ({ title, now, money });
  const many = (): string => {
    const n = ingredientsPriced(costing, t).length;
    return n === 1 ? texts.oneThing : texts.things(n);
  };
  switch (t.of) {
    case 'price': {
      const perKg = costing.supplies.get(t.ingredient)?.price?.perKg.toNumber();
      return plain(texts.price(name(state.ingredients, t.ingredient)), undefined, perKg);
    }
    case 'group':
      return plain(texts.allPrices(t.group), many());
    case 'supplier':
      return plain(texts.allFromPrices(name(state.suppliers, t.supplier)), many());
    case 'yield': {
      const usable = costing.supplies.get(t.ingredient)?.usable;
      return plain(
        texts.usable(name(state.ingredients, t.ingredient)),
        usable === undefined ? undefined : `${Number((usable * 100).toFixed(1))} %`,
      );
    }
    case 'line': {
      const recipe = state.recipes.find((r) => r.id === t.recipe);
      const step = recipe?.steps.find((s) => s.id === t.step);
      return plain(
        texts.line(recipe?.name ?? GONE),
        step && writeStep(step, { ...namesToRead(costing), self: t.recipe }),
      );
    }
    case 'portion': {
      const plate = costing.plates.get(t.plate);
      const line = plate?.lines.find((l) => l.written.id === t.line);
      const what = line?.resolved.ok ? line.resolved.value.what : undefined;
      const called = what === undefined ? GONE : what.is === 'stuff' ? what.stuff.name : what.name;
      return plain(texts.on(called, plate?.plate.name ?? GONE), line?.written.amount);
    }
    case 'menu price': {
      const price = state.plates.find((p) => p.id === t.plate)?.menuPrice;
      return plain(
        texts.menu(name(state.plates, t.plate)),
        undefined,
        price === undefined ? undefined : Number(price),
      );
    }
    case 'school':
      return plain(texts.howTrimCosted, SCHOOL_WORDS[state.kitchen.trim.school]);
    case 'layer':
      return plain(t.layer === 'hands' ? texts.labourPerHour : texts.energyAll);
    case 'instead': {
      const list = t.kind === 'ingredient' ? state.ingredients : state.recipes;
      return plain(texts.place(name(list, t.to), name(list, t.from)));
    }
  }
}

export const SCHOOL_WORDS = {
  free: texts.trimFree,
  value: texts.trimSetValue,
  weight: texts.sharedWeight,
} as const;
