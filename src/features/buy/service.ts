import 'server-only';
import { afterTheKnife, comesOffShare, yieldOn, type Supply } from '@/core/costing';
import { checkShares, readPct, readPrice } from '@/core/larder';
import { refuse } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { addQuote, addYield } from '@/db/edits';
import { dayIn, now } from '@/server/clock';
import { costedKitchen } from '@/server/kitchen';
import { edit, mustBeFresh, Refused, type Edited } from '@/server/write';
import { priceRow } from './queries';

const gone = () => new Refused(refuse('gone', '', 'This is no longer in the price book.').trouble);

/**
 * A new pack price: adds a quote that takes effect today; earlier prices and invoices stay as they are.
 * Refuses what is not a price and what the ingredient's trim school cannot bear.
 */
export function changePrice(articleId: string, seen: number, typed: string): Promise<Edited> {
  return edit('manager', async (sql, who) => {
    const kitchen = await costedKitchen(who.kitchenId);
    const supply = [...kitchen.costing.supplies.values()].find((s) => s.price?.article.id === articleId);
    if (!supply?.price) throw gone();
    const { kitchen: k } = kitchen.costing.file;
    const price = readPrice(typed, k.decimalMark);
    if (!price.ok) throw new Refused(price.trouble);
    const knife = afterTheKnife(
      supply.knife,
      price.value.times(1000).div(supply.price.pack.g).toNumber(),
      supply.usable,
      supply.stockTrim,
    );
    if (knife.trouble) throw new Refused(knife.trouble);
    await mustBeFresh(sql, who, 'supplier_article', articleId, seen, () =>
      Promise.resolve(priceRow(kitchen, supply.ingredient.id)),
    );
    const at = now();
    await addQuote(
      sql,
      who.kitchenId,
      articleId,
      dayIn(k.zone, at),
      at,
      typed.trim(),
      price.value.toFixed(4),
    );
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at,
      what: 'price',
      subjectId: articleId,
      before: { price: supply.price.packPrice.toString() },
      after: { price: price.value.toString(), typed },
    });
    return seen + 1;
  });
}

/** A new usable yield, set by hand: dated today, an estimate until a test measures it. */
export function changeYield(ingredientId: string, seen: number, typed: string): Promise<Edited> {
  return edit('manager', async (sql, who) => {
    const kitchen = await costedKitchen(who.kitchenId);
    const supply: Supply | undefined = kitchen.costing.supplies.get(ingredientId);
    if (!supply) throw gone();
    const { kitchen: k } = kitchen.costing.file;
    const usable = readPct(typed, k.decimalMark);
    if (!usable.ok) throw new Refused(usable.trouble);
    const wrong = checkShares({
      usable: usable.value / 100,
      stockTrim: comesOffShare(supply.stockTrim, supply.knife),
    });
    if (wrong) throw new Refused(wrong.trouble);
    await mustBeFresh(sql, who, 'ingredient', ingredientId, seen, () =>
      Promise.resolve(priceRow(kitchen, ingredientId)),
    );
    const at = now();
    const stockTrimPct = Number((supply.stockTrim * 100).toFixed(5));
    await addYield(sql, who.kitchenId, ingredientId, {
      on: dayIn(k.zone, at),
      recordedAt: at,
      usablePct: usable.value,
      stockTrimPct,
      byProducts: yieldOn(supply.ingredient, dayIn(k.zone, at)).byProducts,
      source: 'estimate',
      basis: `set by ${who.person.name}`,
    });
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at,
      what: 'yield',
      subjectId: ingredientId,
      before: { usablePct: supply.usable * 100 },
      after: { usablePct: usable.value, typed },
    });
    return seen + 1;
  });
}
