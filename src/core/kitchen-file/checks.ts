import { checkShares, checkStuff } from '../larder';
import { measureUnit } from '../quantity';
import { refuse, under, type Trouble } from '../trouble';
import { inOrder, loopSentence, partsOf } from './loops';
import { mannerIn, packFacts, packOn, receivedOn, weigh } from './packs';
import type { KitchenFile, WrittenIngredient } from './schema';
import type { Of } from './schema-steps';
import { stuffOf } from './stuff';
import { drainedIn, isDrained, weighTestIn } from './tests';

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
  'tests',
  'wastes',
] as const;

/** A kitchen some of whose things could not be read: those are left out, but their ids are known. */
export type Sparse = Pick<KitchenFile, 'kitchen'> & {
  readonly measures?: KitchenFile['measures'];
  readonly counts?: KitchenFile['counts'];
} & {
  readonly [L in (typeof LISTS)[number]]: readonly (KitchenFile[L][number] | undefined)[];
} & {
  readonly ids?: { readonly [L in (typeof LISTS)[number]]: readonly string[] };
};

/** What a shape cannot say: references, yields, compositions, packs, names twice, loops. */
export function checkKitchen(file: Sparse): Trouble[] {
  return [
    ...checkIds(file),
    ...checkMeasures(file),
    ...checkIngredients(file),
    ...checkBuying(file),
    ...checkRecipes(file),
    ...checkTests(file),
  ];
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
      const off = y.byProducts.reduce((sum, b) => sum + b.pct, y.stockTrimPct);
      const wrong = checkShares({ usable: y.usablePct / 100, stockTrim: off / 100 });
      if (wrong)
        found.push(under(`${place}.yields[${j}]`, { ...wrong.trouble, path: `${wrong.trouble.path}Pct` }));
    }
    const stuff = stuffOf(written);
    if (!stuff.ok) found.push(under(place, stuff.trouble));
    else found.push(...checkStuff(stuff.value).map((t) => under(place, t)));
  }
  return found;
}

function checkMeasures(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  const seen = new Set<string>();
  for (const [i, measure] of (file.measures ?? []).entries()) {
    const unit = measureUnit(measure, file.kitchen.decimalMark);
    if (!unit.ok) found.push(under(`measures[${i}]`, unit.trouble));
    const name = measure.name.toLowerCase();
    if (seen.has(name))
      found.push(
        refuse('name-twice', `measures[${i}].name`, `There are two measures called “${name}”.`).trouble,
      );
    seen.add(name);
  }
  return found;
}

function checkBuying(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  const manner = mannerIn({ kitchen: file.kitchen, measures: file.measures ?? [] });
  const facts = packFacts(manner);
  const ingredients = new Map([...sound(file.ingredients)].map(([, i]) => [i.id, i]));
  const articles = new Map([...sound(file.articles)].map(([, a]) => [a.id, a]));
  const known = {
    supplier: idsIn(file, 'suppliers'),
    ingredient: idsIn(file, 'ingredients'),
    article: idsIn(file, 'articles'),
    invoice: idsIn(file, 'purchases'),
  };
  const want = (what: keyof typeof known, id: string | undefined, path: string): void => {
    if (id !== undefined && !known[what].has(id))
      found.push(refuse('unknown-id', path, `There is no ${what} with the id ${id}.`).trouble);
  };
  for (const [i, ingredient] of sound(file.ingredients)) {
    want('ingredient', ingredient.mergedInto, `ingredients[${i}].mergedInto`);
    want('article', ingredient.boughtAs, `ingredients[${i}].boughtAs`);
    if (inCircle(ingredient.id, ingredients, (x) => x?.mergedInto))
      found.push(
        refuse('merge-loop', `ingredients[${i}].mergedInto`, `${ingredient.name} is merged into itself.`)
          .trouble,
      );
  }
  for (const [i, article] of sound(file.articles)) {
    const place = `articles[${i}]`;
    want('supplier', article.supplier, `${place}.supplier`);
    want('ingredient', article.ingredient, `${place}.ingredient`);
    const written = ingredients.get(article.ingredient);
    if (!written || !stuffOf(written).ok) continue;
    for (const [j, { held }] of article.weighings.entries()) {
      const weighed = packOn({ pack: held, weighings: [] }, written, '', manner);
      if (!weighed.ok) found.push(under(`${place}.weighings[${j}].held`, weighed.trouble));
    }
    const pack = packOn(article, written, '9999-12-31', manner);
    if (!pack.ok) found.push(under(`${place}.pack`, pack.trouble));
  }
  for (const [i, purchase] of sound(file.purchases)) {
    want('supplier', purchase.supplier, `purchases[${i}].supplier`);
    want('invoice', purchase.corrects, `purchases[${i}].corrects`);
    for (const [j, line] of purchase.lines.entries()) {
      if (line.is !== 'goods') continue;
      const place = `purchases[${i}].lines[${j}]`;
      want('article', line.article, `${place}.article`);
      want('article', line.inPlaceOf, `${place}.inPlaceOf`);
      const article = articles.get(line.article);
      const written = article && ingredients.get(article.ingredient);
      if (!article || !written) continue;
      const came = receivedOn(purchase, line, article, written, manner, facts);
      // A pack that cannot be read has been told at its article.
      if (!came.ok && !came.trouble.path.startsWith('pack')) found.push(under(place, came.trouble));
    }
  }
  for (const [i, count] of (file.counts ?? []).entries()) {
    want('ingredient', count.ingredient, `counts[${i}].ingredient`);
    const written = ingredients.get(count.ingredient);
    const amount = written && weigh(count.amount, written, manner);
    if (amount && !amount.ok) found.push(under(`counts[${i}].amount`, amount.trouble));
  }
  return found;
}

/** Follows pointers from one ingredient to another; true where they come back to where they began. */
function inCircle(
  id: string,
  ingredients: ReadonlyMap<string, WrittenIngredient>,
  next: (i: WrittenIngredient | undefined) => string | undefined,
): boolean {
  let at = next(ingredients.get(id));
  for (let i = 0; at !== undefined && i <= ingredients.size; i += 1) {
    if (at === id) return true;
    at = next(ingredients.get(at));
  }
  return false;
}

function checkTests(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  const manner = mannerIn({ kitchen: file.kitchen, measures: file.measures ?? [] });
  const ingredients = new Map([...sound(file.ingredients)].map(([, i]) => [i.id, i]));
  const known = {
    ingredient: idsIn(file, 'ingredients'),
    person: idsIn(file, 'people'),
    invoice: idsIn(file, 'purchases'),
    supplier: idsIn(file, 'suppliers'),
  };
  const want = (what: keyof typeof known, id: string | undefined, path: string): void => {
    if (id !== undefined && !known[what].has(id))
      found.push(refuse('unknown-id', path, `There is no ${what} with the id ${id}.`).trouble);
  };
  for (const [i, ingredient] of sound(file.ingredients)) {
    const place = `ingredients[${i}]`;
    want('ingredient', ingredient.comesOff?.ingredient, `${place}.comesOff.ingredient`);
    want('supplier', ingredient.learnFrom?.supplier, `${place}.learnFrom.supplier`);
    if (inCircle(ingredient.id, ingredients, (x) => x?.comesOff?.ingredient))
      found.push(
        refuse('comes-off-loop', `${place}.comesOff`, `${ingredient.name} would come off itself.`).trouble,
      );
    for (const [j, y] of ingredient.yields.entries())
      for (const [k, b] of y.byProducts.entries()) {
        const path = `${place}.yields[${j}].byProducts[${k}].ingredient`;
        want('ingredient', b.ingredient, path);
        const product = ingredients.get(b.ingredient);
        if (product && product.comesOff?.ingredient !== ingredient.id)
          found.push(
            refuse(
              'not-a-by-product',
              path,
              `${product.name} does not say that it comes off ${ingredient.name}.`,
            ).trouble,
          );
      }
  }
  for (const [i, test] of sound(file.tests)) {
    const place = `tests[${i}]`;
    want('ingredient', test.ingredient, `${place}.ingredient`);
    want('person', test.by, `${place}.by`);
    want('person', test.leftOut?.by, `${place}.leftOut.by`);
    want('invoice', test.purchase, `${place}.purchase`);
    want('supplier', test.supplier, `${place}.supplier`);
    for (const [j, part] of test.parts.entries())
      want('ingredient', part.product, `${place}.parts[${j}].product`);
    for (const [j, part] of (test.second?.parts ?? []).entries())
      want('ingredient', part.product, `${place}.second.parts[${j}].product`);
    // One still being weighed may say anything.
    if (test.state === 'open') continue;
    const read = isDrained(test.kind) ? drainedIn(test, manner) : weighTestIn(test, manner);
    if (!read.ok) found.push(under(place, read.trouble));
  }
  for (const [i, waste] of sound(file.wastes)) {
    want('ingredient', waste.ingredient, `wastes[${i}].ingredient`);
    want('person', waste.by, `wastes[${i}].by`);
    const written = ingredients.get(waste.ingredient);
    const g = written && weigh(waste.amount, written, manner);
    if (g && !g.ok) found.push(under(`wastes[${i}].amount`, g.trouble));
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
    if ('product' in of || 'lastBatchOf' in of) {
      const [id, key] = 'product' in of ? [of.product, 'product'] : [of.lastBatchOf, 'lastBatchOf'];
      want('recipe', id, `${path}.${key}`);
      const from = [...sound(file.recipes)].find(([, r]) => r.id === id)?.[1];
      if (of.part !== undefined && from && !partsOf(from).includes(of.part))
        found.push(
          refuse('unknown-part', `${path}.part`, `Nothing called “${of.part}” parts from ${from.name}.`)
            .trouble,
        );
    } else if ('ingredient' in of) want('ingredient', of.ingredient, `${path}.ingredient`);
    else want('ingredient', of.stockTrimOf, `${path}.stockTrimOf`);
  };
  for (const [i, recipe] of sound(file.recipes)) {
    want('vessel', recipe.vessel, `recipes[${i}].vessel`);
    want('hob', recipe.hob, `recipes[${i}].hob`);
    for (const [j, step] of recipe.steps.entries()) {
      const place = `recipes[${i}].steps[${j}]`;
      if ('of' in step) wantOf(step.of, `${place}.of`);
      if (step.do === 'portion' && step.container !== undefined)
        want('ingredient', step.container, `${place}.container`);
      if (step.do === 'pick' && step.piece !== undefined) want('ingredient', step.piece, `${place}.piece`);
      if (step.do === 'strain')
        for (const [k, id] of (step.keep ?? []).entries()) want('ingredient', id, `${place}.keep[${k}]`);
      if (
        'as' in step &&
        step.as !== undefined &&
        partsOf(recipe).indexOf(step.as) !== partsOf(recipe).lastIndexOf(step.as)
      )
        found.push(
          refuse(
            'part-twice',
            `${place}.as`,
            `Two things part from ${recipe.name} as “${step.as}”: call one of them otherwise.`,
          ).trouble,
        );
      if (step.do === 'brown' && (step.as !== undefined || step.fatKept)) {
        const wrong =
          step.fatRunOff === undefined
            ? `${recipe.name}, step ${j + 1}: no fat runs off that could be kept.`
            : step.as !== undefined && step.fatKept
              ? `${recipe.name}, step ${j + 1}: the fat cannot stay in the pot and go on as “${step.as}” as well.`
              : undefined;
        if (wrong) found.push(refuse('fat-nowhere', `${place}.fatRunOff`, wrong).trouble);
      }
      if ('vessel' in step) want('vessel', step.vessel, `${place}.vessel`);
      if ('hob' in step) want('hob', step.hob, `${place}.hob`);
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
