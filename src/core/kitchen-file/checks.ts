import { checkShares, checkStuff } from '../larder';
import { readAmount, toGrams } from '../quantity';
import { refuse, under, type Trouble } from '../trouble';
import { inOrder, loopSentence, ofStep } from './loops';
import type { KitchenFile, Of } from './schema';
import { measuringDensity, stuffOf } from './stuff';

/** The lists of a kitchen file whose things have ids. */
export const LISTS = [
  'people',
  'suppliers',
  'vessels',
  'hobs',
  'ingredients',
  'articles',
  'purchases',
  'recipes',
  'plates',
] as const;

/** A kitchen some of whose things could not be read: those are left out, but their ids are known. */
export type Sparse = Pick<KitchenFile, 'kitchen'> & {
  readonly [L in (typeof LISTS)[number]]: readonly (KitchenFile[L][number] | undefined)[];
} & {
  readonly ids?: { readonly [L in (typeof LISTS)[number]]: readonly string[] };
};

/** What a shape cannot say: references, yields, compositions, packs, names twice, loops. */
export function checkKitchen(file: Sparse): Trouble[] {
  return [...checkIds(file), ...checkIngredients(file), ...checkBuying(file), ...checkRecipes(file)];
}

/** Things of a list that could be read, each with its place in the file. */
function* sound<T>(list: readonly (T | undefined)[]): Generator<[number, T]> {
  for (const [i, item] of list.entries()) if (item !== undefined) yield [i, item];
}

const idsIn = (file: Sparse, list: (typeof LISTS)[number]): Set<string> =>
  new Set(file.ids?.[list] ?? [...sound<{ id: string }>(file[list])].map(([, x]) => x.id));

function checkIds(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  const seen = new Map<string, string>();
  for (const list of LISTS)
    for (const [i, item] of sound<{ id: string }>(file[list])) {
      const first = seen.get(item.id);
      if (first)
        found.push(
          refuse('id-twice', `${list}[${i}].id`, `The id ${item.id} stands already at ${first}.`).trouble,
        );
      else seen.set(item.id, `${list}[${i}]`);
    }
  const names = new Map<string, string>();
  for (const list of ['ingredients', 'recipes'] as const)
    for (const [i, item] of sound<{ name: string }>(file[list])) {
      const key = item.name.toLowerCase();
      const first = names.get(key);
      if (first)
        found.push(
          refuse(
            'name-twice',
            `${list}[${i}].name`,
            `“${item.name}” stands already at ${first}: recipe lines could mean either.`,
          ).trouble,
        );
      else names.set(key, `${list}[${i}]`);
    }
  return found;
}

function checkIngredients(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  for (const [i, written] of sound(file.ingredients)) {
    const place = `ingredients[${i}]`;
    for (const [j, y] of written.yields.entries()) {
      const wrong = checkShares({ usable: y.usablePct / 100, stockTrim: y.stockTrimPct / 100 });
      if (wrong)
        found.push(under(`${place}.yields[${j}]`, { ...wrong.trouble, path: `${wrong.trouble.path}Pct` }));
    }
    const stuff = stuffOf(written);
    if (!stuff.ok) found.push(under(place, stuff.trouble));
    else found.push(...checkStuff(stuff.value).map((t) => under(place, t)));
  }
  return found;
}

function checkBuying(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  const ingredients = new Map([...sound(file.ingredients)].map(([, i]) => [i.id, i]));
  const known = {
    supplier: idsIn(file, 'suppliers'),
    ingredient: idsIn(file, 'ingredients'),
    article: idsIn(file, 'articles'),
  };
  const want = (what: keyof typeof known, id: string, path: string): void => {
    if (!known[what].has(id))
      found.push(refuse('unknown-id', path, `There is no ${what} with the id ${id}.`).trouble);
  };
  for (const [i, article] of sound(file.articles)) {
    const place = `articles[${i}]`;
    want('supplier', article.supplier, `${place}.supplier`);
    want('ingredient', article.ingredient, `${place}.ingredient`);
    const written = ingredients.get(article.ingredient);
    const stuff = written && stuffOf(written);
    if (!written || !stuff?.ok) continue;
    const pack = readAmount(article.pack, file.kitchen.decimalMark);
    const weight = pack.ok
      ? toGrams(pack.value, {
          name: written.name,
          densityGPerMl: measuringDensity(written, stuff.value),
          eachG: written.eachG,
        })
      : pack;
    if (!weight.ok) found.push(under(`${place}.pack`, weight.trouble));
    else if (!(weight.value.grams > 0))
      found.push(
        refuse('empty-pack', `${place}.pack`, `“${article.pack}” holds 0 g: a pack holds something.`, {
          value: 0,
          limit: 0,
        }).trouble,
      );
  }
  for (const [i, purchase] of sound(file.purchases)) {
    want('supplier', purchase.supplier, `purchases[${i}].supplier`);
    for (const [j, line] of purchase.lines.entries())
      if (line.is === 'goods') want('article', line.article, `purchases[${i}].lines[${j}].article`);
  }
  return found;
}

function checkRecipes(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  const ids = {
    ingredient: idsIn(file, 'ingredients'),
    recipe: idsIn(file, 'recipes'),
    vessel: idsIn(file, 'vessels'),
    hob: idsIn(file, 'hobs'),
  };
  const want = (kind: keyof typeof ids, id: string, path: string): void => {
    if (!ids[kind].has(id))
      found.push(refuse('unknown-id', path, `There is no ${kind} with the id ${id}.`).trouble);
  };
  const wantOf = (of: Of, path: string): void => {
    if ('product' in of) want('recipe', of.product, `${path}.product`);
    else if ('ingredient' in of) want('ingredient', of.ingredient, `${path}.ingredient`);
    else want('ingredient', of.stockTrimOf, `${path}.stockTrimOf`);
  };
  for (const [i, recipe] of sound(file.recipes)) {
    want('vessel', recipe.vessel, `recipes[${i}].vessel`);
    want('hob', recipe.hob, `recipes[${i}].hob`);
    for (const [j, step] of recipe.steps.entries()) {
      const place = `recipes[${i}].steps[${j}]`;
      const of = ofStep(step);
      if (of) wantOf(of, `${place}.of`);
      if (step.do === 'into') {
        want('vessel', step.vessel, `${place}.vessel`);
        want('hob', step.hob, `${place}.hob`);
      }
    }
  }
  for (const [i, plate] of sound(file.plates))
    for (const [j, line] of plate.lines.entries()) wantOf(line.of, `plates[${i}].lines[${j}].of`);
  const recipes = [...sound(file.recipes)];
  const nameOf = new Map(recipes.map(([, r]) => [r.id, r.name]));
  for (const loop of inOrder(recipes.map(([, r]) => r)).loops) {
    const at = recipes.find(([, r]) => r.id === loop[0])?.[0] ?? 0;
    found.push(
      refuse('recipe-loop', `recipes[${at}]`, loopSentence(loop.map((id) => nameOf.get(id) ?? id))).trouble,
    );
  }
  return found;
}
