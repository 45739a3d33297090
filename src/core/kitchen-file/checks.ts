import { checkShares, checkStuff } from '../larder';
import { measureUnit } from '../quantity';
import { refuse, under, type Trouble } from '../trouble';
import { checkBuying } from './checks-buying';
import { checkRecipes } from './checks-recipes';
import { checkTests } from './checks-tests';
import { LISTS, readable, type Sparse } from './sparse';
import { stuffOf } from './stuff';
import * as texts from './texts';

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

function checkIds(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  const seen = new Map<string, string>();
  for (const list of LISTS)
    for (const [i, item] of readable<{ id: string }>(file[list])) {
      const first = seen.get(item.id);
      if (first)
        found.push(refuse('id-twice', `${list}[${i}].id`, texts.idAlreadyUsed(item.id, first)).trouble);
      else seen.set(item.id, `${list}[${i}]`);
    }
  const names = new Map<string, string>();
  for (const list of ['ingredients', 'recipes'] as const)
    for (const [i, item] of readable<{ name: string }>(file[list])) {
      const key = item.name.toLowerCase();
      const first = names.get(key);
      if (first)
        found.push(
          refuse('name-twice', `${list}[${i}].name`, texts.alreadyUsedRecipeLines(item.name, first)).trouble,
        );
      else names.set(key, `${list}[${i}]`);
    }
  return found;
}

function checkIngredients(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  for (const [i, written] of readable(file.ingredients)) {
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
      found.push(refuse('name-twice', `measures[${i}].name`, texts.twoMeasuresCalled(name)).trouble);
    seen.add(name);
  }
  return found;
}
