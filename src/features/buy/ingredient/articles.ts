import 'server-only';
import { mannerIn, packOn } from '@/core/kitchen-file';
import type { KitchenState, StateArticle } from '@/core/kitchen-state';
import { priceText, readPrice } from '@/core/larder';
import { addQuote } from '@/db/edits';
import { newId } from '@/db/mapping/ids';
import { setIngredient } from '@/db/buying/larder-edits';
import { insertArticles } from '@/db/buying/larder-rows';
import { articleCalled, nowOf, setArchived } from '@/db/archive';
import { database } from '@/server/database';
import { Refused, declare, refused } from '@/server/door';
import { ARTICLE, ARTICLE_AWAY } from './wire';
import * as texts from './texts';

const LONGEST = { name: 120, code: 40 } as const;

function articleIn(here: KitchenState, id: string): StateArticle {
  const found = here.articles.find((a) => a.id === id);
  if (!found) throw refused('gone', '', texts.articleArchivedAlready);
  return found;
}

function short(typed: string, field: 'name' | 'code'): string {
  const text = typed.trim();
  if (text.length > LONGEST[field])
    throw refused('too-long', field, texts.mostCharactersKept(LONGEST[field], text.length), {
      value: text.length,
      limit: LONGEST[field],
    });
  return text;
}

/** Whether an ingredient stays with this very article, whichever was priced last. */
const pinned = (here: KitchenState, article: StateArticle): boolean =>
  here.ingredients.find((i) => i.id === article.ingredient)?.boughtAs === article.id;

/**
 * What a supplier calls an article, and how it is packed. Another pack is another article: what was bought in the old one stays what
 * it was, and the old one is put away.
 */
const article = declare({
  wire: ARTICLE,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'supplier_article',
    id: ({ id }) => id,
    theirs: async ({ id }, { state }) => {
      const theirs = (await state()).articles.find((a) => a.id === id);
      return theirs && { name: theirs.name, code: theirs.code ?? '', pack: theirs.pack, price: '' };
    },
  },
  async look({ id, name, code, pack, price }, { state, today }) {
    const here = await state();
    const before = articleIn(here, id);
    const called = short(name, 'name');
    if (called === '') throw refused('no-name', 'name', texts.whatDoesSupplierCall);
    const codeNow = short(code, 'code');
    const named = { name: called, code: codeNow === '' ? undefined : codeNow };
    if (pack.trim() === before.pack) return { before, named, other: undefined, moves: false };
    const other: StateArticle = { ...before, ...named, id: newId(), pack: pack.trim(), weighings: [] };
    const ingredient = here.ingredients.find((i) => i.id === before.ingredient);
    if (!ingredient) throw refused('gone', '', texts.ingredientNoLongerLarder);
    if (other.pack === '') throw refused('no-pack', 'pack', texts.howPackedWriteSuch);
    const read = packOn(other, ingredient, today, mannerIn(here));
    if (!read.ok) throw new Refused({ ...read.trouble, path: 'pack' });
    if (price.trim() === '') throw refused('no-price', 'price', texts.whatDoesPackCost(other.pack));
    const cost = readPrice(price, here.kitchen.decimalMark);
    if (!cost.ok) throw new Refused({ ...cost.trouble, path: 'price' });
    return {
      before,
      named,
      other: {
        article: other,
        pack: read.value,
        typed: price.trim(),
        price: priceText(cost.value),
        place: here.articles.length,
      },
      moves: pinned(here, before),
    };
  },
  async write({ sql, kitchenId, today, at }, { id }, { before, named, other, moves }) {
    if (!other) {
      await articleCalled(sql, kitchenId, id, named.name, named.code ?? null);
      const was = { name: before.name, code: before.code ?? null };
      return {
        value: { id },
        what: 'article called',
        subject: id,
        before: was,
        after: { ...named, code: named.code ?? null },
      };
    }
    await insertArticles(sql, kitchenId, [{ article: other.article, pack: other.pack }], other.place);
    await addQuote(sql, kitchenId, other.article.id, today, at, other.typed, other.price);
    await setArchived(sql, 'supplier_article', kitchenId, id, at);
    if (moves) await setIngredient(sql, kitchenId, before.ingredient, { boughtAs: other.article.id });
    return {
      value: { id: other.article.id },
      what: 'article',
      subject: other.article.id,
      before: null,
      after: { ...other.article, price: other.price },
      also: [
        { what: 'article away', subject: id, before: { away: false }, after: { away: true } },
        ...(moves
          ? [
              {
                what: 'ingredient',
                subject: before.ingredient,
                before: { boughtAs: id },
                after: { boughtAs: other.article.id },
              },
            ]
          : []),
      ],
    };
  },
});

/** Puts an article away, or brings it back. What was bought of it stays bought. */
const away = declare({
  wire: ARTICLE_AWAY,
  role: 'changer',
  moves: 'costs',
  async look({ id, away: gone }, { state, who }) {
    const here = await state();
    if (gone) {
      const before = articleIn(here, id);
      return { ingredient: before.ingredient, moves: pinned(here, before) };
    }
    const now = await nowOf(database(), 'supplier_article', who.kitchenId, id);
    if (!now?.away) throw refused('gone', '', texts.articleAlreadyPriceBook);
    return { ingredient: '', moves: false };
  },
  async write({ sql, kitchenId, at }, { id, away: gone }, { ingredient, moves }) {
    await setArchived(sql, 'supplier_article', kitchenId, id, gone ? at : null);
    if (moves) await setIngredient(sql, kitchenId, ingredient, { boughtAs: null });
    return {
      value: null,
      what: 'article away',
      subject: id,
      before: { away: !gone },
      after: { away: gone },
      also: moves
        ? [{ what: 'ingredient', subject: ingredient, before: { boughtAs: id }, after: { boughtAs: null } }]
        : [],
    };
  },
});

export const articleCommands = [article, away];
