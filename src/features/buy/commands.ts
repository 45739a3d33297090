import 'server-only';
import { checkShares, readPct, readPrice } from '@/core/larder';
import { yieldOn } from '@/core/kitchen-file';
import { priceAfterTrim, comesOffShare } from '@/core/knife';
import { addQuote, addYield } from '@/db/edits';
import { Refused, declare, idsIn, refused } from '@/server/door';
import type { CostedKitchen } from '@/server/kitchen';
import { priceRow } from './queries';
import { PRICE, YIELD } from './wire';
import * as texts from './texts';

const gone = () => refused('gone', '', texts.noLongerPriceBook);

/** A row as it is now; undefined where it is no ingredient's. */
const rowOf = (costed: CostedKitchen, id: string) =>
  costed.costing.supplies.has(id) ? priceRow(costed, id) : undefined;

/**
 * A new pack price: adds a quote that takes effect today; earlier prices and invoices stay as they are.
 * Refuses what is not a price and what the ingredient's trim school cannot bear.
 */
const changePrice = declare({
  wire: PRICE,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'supplier_article',
    id: (body) => body.article,
    theirs: async ({ row }, { costed }) => rowOf(await costed(), row),
  },
  async look({ article, typed }, { supplies, state }) {
    const supply = [...(await supplies()).values()].find((s) => s.price?.article.id === article);
    if (!supply?.price) throw gone();
    const price = readPrice(typed, (await state()).kitchen.decimalMark);
    if (!price.ok) throw new Refused(price.trouble);
    const perKg = price.value.times(1000).div(supply.price.pack.g).toNumber();
    const { trouble } = priceAfterTrim(supply.knife, perKg, supply.usable, supply.stockTrim);
    if (trouble) throw new Refused(trouble);
    return { price: price.value, before: supply.price.packPrice.toString() };
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId, at, today }, { article, typed }, { price, before }) {
    await addQuote(sql, kitchenId, article, today, at, typed.trim(), price.toFixed(4));
    return {
      value: null,
      what: 'price',
      subject: article,
      before: { price: before },
      after: { price: price.toString(), typed },
    };
  },
});

/** A new usable yield, set by hand: dated today, an estimate until a test measures it. */
const changeYield = declare({
  wire: YIELD,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'ingredient',
    id: (body) => body.ingredient,
    theirs: async ({ ingredient }, { costed }) => rowOf(await costed(), ingredient),
  },
  async look({ ingredient, typed }, { supplies, state, today }) {
    const supply = (await supplies()).get(ingredient);
    if (!supply) throw gone();
    const usable = readPct(typed, (await state()).kitchen.decimalMark);
    if (!usable.ok) throw new Refused(usable.trouble);
    const wrong = checkShares({
      usable: usable.value / 100,
      stockTrim: comesOffShare(supply.stockTrim, supply.knife),
    });
    if (wrong) throw new Refused(wrong.trouble);
    const { byProducts } = yieldOn(supply.ingredient, today);
    return { supply, usablePct: usable.value, byProducts };
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId, who, at, today }, { ingredient, typed }, { supply, usablePct, byProducts }) {
    await addYield(sql, kitchenId, ingredient, {
      on: today,
      recordedAt: at,
      usablePct,
      stockTrimPct: Number((supply.stockTrim * 100).toFixed(5)),
      byProducts,
      source: 'estimate',
      basis: texts.set(who.person.name),
    });
    return {
      value: null,
      what: 'yield',
      subject: ingredient,
      before: { usablePct: supply.usable * 100 },
      after: { usablePct, typed },
    };
  },
});

export const commands = [changePrice, changeYield];
