import 'server-only';
import type { KitchenCosting } from '@/core/costing';
import { mannerIn, yieldOn, type WrittenTrial } from '@/core/kitchen-file';
import { type Trouble } from '@/core/trouble';
import { applyTrials, type TrialResult } from '@/core/trials';
import { addQuote, addYield } from '@/db/edits';
import { setKitchenTrim } from '@/db/buying/larder-edits';
import { bumpVersion, setArchived, putPlate, putRecipe } from '@/db/archive';
import { readTrayRows } from '@/db/recipes/trays';
import { database } from '@/server/database';
import { Refused, declare, refused, type Writing } from '@/server/door';
import { costedWith } from '@/server/kitchen';
import { may } from '@/server/roles';
import { plateMissing } from './queries';
import { APPLY } from './wire';
import * as texts from './texts';

/** One thing that is written: how, and what the change log says of it. */
interface Done {
  readonly what: string;
  readonly subject: string;
  readonly before: unknown;
  readonly after: unknown;
  readonly write: (writing: Writing) => Promise<void>;
}

/** Prices that are tried: a quote of today for the article that each is costed from. */
function pricesDone({ supplies, day }: KitchenCosting, { times }: TrialResult): Done[] {
  return [...times].flatMap(([id, by]): Done[] => {
    const supply = supplies.get(id);
    const price = supply?.price;
    if (!supply || !price || by === 1) return [];
    if (price.basis.by !== 'latest')
      throw refused('not-a-quote', '', texts.costedNewQuoteWould(supply.ingredient.name, price.basis.by));
    const text = price.packPrice.times(by).toFixed(4);
    return [
      {
        what: 'price',
        subject: price.article.id,
        before: { price: price.packPrice.toString() },
        after: { price: text, typed: text },
        write: async ({ sql, kitchenId, at }) => {
          await bumpVersion(sql, 'supplier_article', kitchenId, price.article.id);
          await addQuote(sql, kitchenId, price.article.id, day, at, text, text);
        },
      },
    ];
  });
}

function yieldsDone({ supplies, day }: KitchenCosting, trials: readonly WrittenTrial[]): Done[] {
  const last = new Map(
    trials.flatMap((t) => (t.of === 'yield' ? [[t.ingredient, t.usablePct] as const] : [])),
  );
  return [...last].flatMap(([id, usablePct]): Done[] => {
    const supply = supplies.get(id);
    if (!supply) return [];
    const { byProducts } = yieldOn(supply.ingredient, day);
    return [
      {
        what: 'yield',
        subject: id,
        before: { usablePct: supply.usable * 100 },
        after: { usablePct, typed: String(usablePct) },
        write: async ({ sql, kitchenId, who, at, today }) => {
          await bumpVersion(sql, 'ingredient', kitchenId, id);
          await addYield(sql, kitchenId, id, {
            on: today,
            recordedAt: at,
            usablePct,
            stockTrimPct: Number((supply.stockTrim * 100).toFixed(5)),
            byProducts,
            source: 'estimate',
            basis: texts.set(who.person.name).slice(0, 200),
          });
        },
      },
    ];
  });
}

/** Pots and plates that stand otherwise with the trials done. */
function cookedDone({ state: was }: KitchenCosting, { state: now }: TrialResult): Done[] {
  const manner = mannerIn(was);
  const [recipes, plates] = [
    new Map(was.recipes.map((r) => [r.id, r])),
    new Map(was.plates.map((p) => [p.id, p])),
  ];
  return [
    ...now.recipes
      .filter((r) => recipes.get(r.id) !== r)
      .map((after): Done => ({
        what: 'recipe',
        subject: after.id,
        before: recipes.get(after.id),
        after,
        write: ({ sql, kitchenId, today, at }) => putRecipe(sql, kitchenId, after, today, at, manner),
      })),
    ...now.plates
      .filter((p) => plates.get(p.id) !== p)
      .map((after): Done => ({
        what: 'plate',
        subject: after.id,
        before: plates.get(after.id),
        after,
        write: ({ sql, kitchenId }) => putPlate(sql, kitchenId, after, manner),
      })),
  ];
}

/** Who pays for trim, and what hands and energy cost. */
function settingsDone(
  { state: { kitchen: was } }: KitchenCosting,
  { state: { kitchen: now } }: TrialResult,
): Done[] {
  if (was === now) return [];
  const of = (k: typeof was) => ({
    school: k.trim.school,
    setValuePerKg: k.trim.setValuePerKg,
    wagePerHour: k.wagePerHour ?? null,
    electricityPerKwh: k.energyPerKwh.electricity ?? null,
    gasPerKwh: k.energyPerKwh.gas ?? null,
    learning: k.learning,
    scale: k.scale ?? null,
  });
  const after = of(now);
  return [
    {
      what: 'trimming',
      subject: was.id,
      before: of(was),
      after,
      write: async ({ sql, kitchenId }) => {
        await bumpVersion(sql, 'kitchen', kitchenId, kitchenId);
        await setKitchenTrim(sql, kitchenId, after);
      },
    },
  ];
}

/** Why a tray cannot be applied; nothing of it is then. */
function flawOf(tried: TrialResult): Trouble | undefined {
  const flaw = tried.flaws.find((f) => f !== undefined);
  return flaw && { ...flaw, message: texts.removeFirstWhatIf(flaw.message) };
}

/** Does to the book what is on a tray, all of it as one change that can be taken back; the tray is put away with it. */
export const apply = declare({
  wire: APPLY,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'tray',
    id: ({ id }) => id,
    theirs: async ({ id }, { who }) => {
      const theirs = (await readTrayRows(database(), who.kitchenId)).find((t) => t.id === id);
      return theirs && { name: theirs.name, trials: theirs.trials };
    },
  },
  async look({ id }, { costed, who }) {
    const tray = (await readTrayRows(database(), who.kitchenId)).find((t) => t.id === id);
    if (!tray) throw refused('gone', '', texts.whatIfDeletedOr);
    const kitchen = await costed();
    const { costing } = kitchen;
    const tried = applyTrials(costing, tray.trials);
    const flaw = flawOf(tried);
    if (flaw) throw new Refused(flaw);
    const then = await costedWith(
      kitchen,
      () => tried.state,
      (past) => ({ ...past, times: (ingredient) => tried.times.get(ingredient) ?? 1 }),
    );
    const lost = plateMissing(costing, then);
    if (lost !== undefined) throw refused('lost', '', texts.removeFromWhatIf(lost));
    const settings = settingsDone(costing, tried);
    if (settings.length > 0 && !may(who.role, 'manager'))
      throw refused('not-allowed', '', texts.onlyManagerCanChange);
    const done = [
      ...settings,
      ...pricesDone(costing, tried),
      ...yieldsDone(costing, tray.trials),
      ...cookedDone(costing, tried),
    ];
    if (done.length === 0) throw refused('nothing', '', texts.nothingWhatIfWould);
    return { done, name: tray.name };
  },
  async write(writing, { id }, { done, name }) {
    const { sql, kitchenId, at } = writing;
    for (const { write } of done) await write(writing);
    await setArchived(sql, 'tray', kitchenId, id, at);
    const also = done.map(({ write: _w, ...change }) => change);
    return {
      value: null,
      what: 'tray away',
      subject: id,
      before: { away: false },
      after: { away: true, name },
      also,
    };
  },
});
