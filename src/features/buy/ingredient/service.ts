import 'server-only';
import type { PoolConnection } from 'mysql2/promise';
import type { Supply } from '@/core/costing';
import { mannerIn, weigh, type Basis } from '@/core/kitchen-file';
import { readDays, readPrice } from '@/core/larder';
import { readAmountOf } from '@/core/quantity';
import { refuse, under } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { addCount, addWeighing, setIngredient, type IngredientSettings } from '@/db/larder-edits';
import { dayIn, now } from '@/server/clock';
import { costedKitchen, type CostedKitchen } from '@/server/kitchen';
import type { Worker } from '@/server/session';
import { edit, mustBeFresh, Refused, type Edited } from '@/server/write';

const gone = () => new Refused(refuse('gone', '', 'This ingredient is no longer in the larder.').trouble);

interface Asked {
  readonly kitchen: CostedKitchen;
  readonly supply: Supply;
  readonly today: string;
  readonly at: Date;
}

/** Changes one ingredient as a manager: taken at the version seen, with its before and after in the log. */
function change(
  id: string,
  seen: number,
  what: string,
  work: (sql: PoolConnection, who: Worker, asked: Asked) => Promise<{ before: unknown; after: unknown }>,
): Promise<Edited<number>> {
  return edit('manager', async (sql, who) => {
    const kitchen = await costedKitchen(who.kitchenId);
    const supply = kitchen.costing.supplies.get(id);
    if (!supply) throw gone();
    const at = now();
    const today = dayIn(kitchen.costing.file.kitchen.zone, at);
    const { before, after } = await work(sql, who, { kitchen, supply, today, at });
    await mustBeFresh(sql, who, 'ingredient', id, seen, () => Promise.resolve(undefined));
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at,
      what,
      subjectId: id,
      before,
      after,
    });
    return seen + 1;
  });
}

/** A basis as it was typed: days and price are still words. */
export interface BasisWanted {
  readonly by: 'kitchen' | Basis['by'];
  readonly days: string;
  readonly price: string;
  readonly per: string;
}

/** Sets which price an ingredient is costed at; `kitchen` goes back to the kitchen's own basis. */
export function setBasis(id: string, seen: number, wanted: BasisWanted): Promise<Edited<number>> {
  return change(id, seen, 'price basis', async (sql, who, { kitchen, supply }) => {
    const { file } = kitchen.costing;
    const basis = wanted.by === 'kitchen' ? null : understood(wanted, file.kitchen.decimalMark);
    if (basis?.by === 'fixed') {
      const g = weigh(basis.per, supply.ingredient, mannerIn(file));
      if (!g.ok) throw new Refused(under('per', g.trouble));
      if (!(g.value > 0))
        throw new Refused(
          refuse('empty-pack', 'per', `“${basis.per}” holds 0 g: a price is for something.`).trouble,
        );
    }
    await setIngredient(sql, who.kitchenId, id, { priceBasis: basis });
    return { before: { basis: supply.ingredient.priceBasis ?? null }, after: { basis } };
  });
}

function understood(wanted: BasisWanted, mark: '.' | ','): Basis {
  if (wanted.by === 'average') {
    const days = readDays(wanted.days);
    if (!days.ok) throw new Refused(days.trouble);
    return { by: 'average', days: days.value };
  }
  if (wanted.by === 'fixed') {
    const price = readPrice(wanted.price, mark);
    if (!price.ok) throw new Refused(price.trouble);
    return {
      by: 'fixed',
      price: price.value.toFixed(Math.max(2, price.value.decimalPlaces())),
      per: wanted.per.trim(),
    };
  }
  return { by: wanted.by === 'stock' ? 'stock' : 'latest' };
}

/** Sets which article it is costed from (null: whichever was priced last), or how opened packs are charged. */
export function setSetting(
  id: string,
  seen: number,
  setting: Pick<IngredientSettings, 'boughtAs' | 'partPack'>,
): Promise<Edited<number>> {
  return change(id, seen, 'ingredient', async (sql, who, { kitchen, supply }) => {
    if (setting.boughtAs) {
      const article = kitchen.costing.file.articles.find((a) => a.id === setting.boughtAs);
      if (article?.ingredient !== id) throw gone();
    }
    await setIngredient(sql, who.kitchenId, id, setting);
    const { boughtAs, partPack } = supply.ingredient;
    return { before: { boughtAs, partPack }, after: setting };
  });
}

/** Books how much is there: the quantity a first-in-first-out price stands on. */
export function countIngredient(id: string, seen: number, typed: string): Promise<Edited<number>> {
  return change(id, seen, 'count', async (sql, who, { kitchen, supply, today, at }) => {
    const g = weigh(typed, supply.ingredient, mannerIn(kitchen.costing.file));
    if (!g.ok) throw new Refused(g.trouble);
    await addCount(sql, who.kitchenId, id, who.person.id, today, at, typed.trim(), g.value);
    return { before: null, after: { counted: typed, g: g.value } };
  });
}

/** A pack may hold this much more or less than its text before a slipped unit is more likely than a bad pack. */
const FARTHEST = 3;

/** Books what a pack really held when it was weighed: its price per kilo follows. */
export function weighPack(
  id: string,
  seen: number,
  articleId: string,
  typed: string,
): Promise<Edited<number>> {
  return change(id, seen, 'pack weighing', async (sql, who, { kitchen, supply, today, at }) => {
    const { file } = kitchen.costing;
    const article = file.articles.find((a) => a.id === articleId && a.ingredient === id);
    if (!article) throw gone();
    const read = readAmountOf(['mass'], typed, mannerIn(file));
    if (!read.ok) throw new Refused(read.trouble);
    const nominal = weigh(article.pack, supply.ingredient, mannerIn(file));
    const said = nominal.ok ? nominal.value : read.value.value;
    const g = read.value.value;
    if (!(g > said / FARTHEST && g < said * FARTHEST))
      throw new Refused(
        refuse(
          'weighing-far-off',
          '',
          `${(g / 1000).toFixed(2)} kg in a pack of ${article.pack} (${(said / 1000).toFixed(2)} kg) cannot be: between a third and three times that.`,
          { value: g, limit: said },
        ).trouble,
      );
    await addWeighing(sql, who.kitchenId, articleId, today, at, typed.trim(), g);
    return { before: { pack: article.pack }, after: { held: typed, g } };
  });
}
