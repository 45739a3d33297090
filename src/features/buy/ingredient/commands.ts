import 'server-only';
import { mannerIn, weigh, type Basis } from '@/core/kitchen-file';
import { priceText, readDays, readPrice } from '@/core/larder';
import { readAmountOf } from '@/core/quantity';
import { under } from '@/core/trouble';
import { addCount, addWeighing, setIngredient } from '@/db/buying/larder-edits';
import { idsIn, Refused, declare, refused, type Looking } from '@/server/door';

import { articleCommands } from './articles';
import { BASIS, COUNT, SETTING, WEIGHING } from './wire';
import * as texts from './texts';

const gone = () => refused('gone', '', texts.ingredientNoLongerLarder);

/** An ingredient at the version seen; nothing of the other side is shown, the page is read again. */
const ONE_INGREDIENT = {
  table: 'ingredient' as const,
  id: (body: { readonly id: string }) => body.id,
  theirs: () => Promise.resolve(undefined),
};

async function ingredientIn({ state }: Looking, id: string) {
  const here = await state();
  const ingredient = here.ingredients.find((i) => i.id === id);
  if (!ingredient) throw gone();
  return { here, ingredient };
}

function basisTyped(
  wanted: { readonly by: string; readonly days: string; readonly price: string; readonly per: string },
  mark: '.' | ',',
): Basis {
  if (wanted.by === 'average') {
    const days = readDays(wanted.days);
    if (!days.ok) throw new Refused(days.trouble);
    return { by: 'average', days: days.value };
  }
  if (wanted.by === 'fixed') {
    const price = readPrice(wanted.price, mark);
    if (!price.ok) throw new Refused(price.trouble);
    return { by: 'fixed', price: priceText(price.value), per: wanted.per.trim() };
  }
  return { by: wanted.by === 'stock' ? 'stock' : 'latest' };
}

const setBasis = declare({
  wire: BASIS,
  role: 'changer',
  moves: 'costs',
  changes: ONE_INGREDIENT,
  async look(wanted, looking) {
    const { here, ingredient } = await ingredientIn(looking, wanted.id);
    const basis = wanted.by === 'kitchen' ? null : basisTyped(wanted, here.kitchen.decimalMark);
    if (basis?.by === 'fixed') {
      const g = weigh(basis.per, ingredient, mannerIn(here));
      if (!g.ok) throw new Refused(under('per', g.trouble));
      if (!(g.value > 0)) throw refused('empty-pack', 'per', texts.holds0GPrice(basis.per));
    }
    return { basis, before: ingredient.priceBasis ?? null };
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId }, { id }, { basis, before }) {
    await setIngredient(sql, kitchenId, id, { priceBasis: basis });
    return { value: null, what: 'price basis', subject: id, before: { basis: before }, after: { basis } };
  },
});

const setSetting = declare({
  wire: SETTING,
  role: 'changer',
  moves: 'costs',
  changes: ONE_INGREDIENT,
  async look({ id, boughtAs }, looking) {
    const { here, ingredient } = await ingredientIn(looking, id);
    if (boughtAs && here.articles.find((a) => a.id === boughtAs)?.ingredient !== id) throw gone();
    return { boughtAs: ingredient.boughtAs ?? null, partPack: ingredient.partPack };
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId }, { id, ...setting }, before) {
    await setIngredient(sql, kitchenId, id, setting);
    return { value: null, what: 'ingredient', subject: id, before, after: setting };
  },
});

/** Books how much is there: the quantity a first-in-first-out price stands on. */
const count = declare({
  wire: COUNT,
  role: 'changer',
  moves: 'costs',
  changes: ONE_INGREDIENT,
  async look({ id, typed }, looking) {
    const { here, ingredient } = await ingredientIn(looking, id);
    const g = weigh(typed, ingredient, mannerIn(here));
    if (!g.ok) throw new Refused(g.trouble);
    return g.value;
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId, who, at, today }, { id, typed }, g) {
    const count = await addCount(sql, kitchenId, id, who.person.id, today, at, typed.trim(), g);
    return { value: null, what: 'count', subject: id, before: null, after: { count, counted: typed, g } };
  },
});

/** A pack may hold this much more or less than its text before a slipped unit is more likely than a bad pack. */
const FARTHEST = 3;

/** Books what a pack really held when it was weighed: its price per kilo follows. */
const weighPack = declare({
  wire: WEIGHING,
  role: 'changer',
  moves: 'costs',
  changes: ONE_INGREDIENT,
  async look({ id, article: articleId, typed }, looking) {
    const { here, ingredient } = await ingredientIn(looking, id);
    const article = here.articles.find((a) => a.id === articleId && a.ingredient === id);
    if (!article) throw gone();
    const read = readAmountOf(['mass'], typed, mannerIn(here));
    if (!read.ok) throw new Refused(read.trouble);
    const nominal = weigh(article.pack, ingredient, mannerIn(here));
    const said = nominal.ok ? nominal.value : read.value.value;
    const g = read.value.value;
    if (!(g > said / FARTHEST && g < said * FARTHEST))
      throw refused(
        'weighing-far-off',
        '',
        texts.kgPackKgCannot((g / 1000).toFixed(2), article.pack, (said / 1000).toFixed(2)),
        { value: g, limit: said },
      );
    return { pack: article.pack, g };
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId, at, today }, { id, article, typed }, { pack, g }) {
    const weighing = await addWeighing(sql, kitchenId, article, today, at, typed.trim(), g);
    return {
      value: null,
      what: 'pack weighing',
      subject: id,
      before: null,
      after: { weighing, article, pack, held: typed, g },
    };
  },
});

export const commands = [setBasis, setSetting, count, weighPack, ...articleCommands];
