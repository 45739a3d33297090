import { drainedIn, isDrained, weighTestIn } from '../bench';
import { refuse, under, type Trouble } from '../trouble';
import { mannerIn, weigh } from './packs';
import {
  isCircular,
  ingredientsById,
  readable,
  missingReferences,
  type Sparse,
  type ReportMissing,
} from './sparse';
import * as texts from './texts';

/** What yields, tests and wastes say that cannot be. */
export function checkTests(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  const manner = mannerIn({ kitchen: file.kitchen, measures: file.measures ?? [] });
  const ingredients = ingredientsById(file);
  const want = missingReferences(file, found);
  found.push(...checkComesOff(file, want));
  for (const [i, test] of readable(file.tests)) {
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
  for (const [i, waste] of readable(file.wastes)) {
    want('ingredient', waste.ingredient, `wastes[${i}].ingredient`);
    want('person', waste.by, `wastes[${i}].by`);
    const written = ingredients.get(waste.ingredient);
    const g = written && weigh(waste.amount, written, manner);
    if (g && !g.ok) found.push(under(`wastes[${i}].amount`, g.trouble));
  }
  return found;
}

/** What comes off what: no circle, and both sides say the same. */
function checkComesOff(file: Sparse, want: ReportMissing): Trouble[] {
  const found: Trouble[] = [];
  const ingredients = ingredientsById(file);
  for (const [i, ingredient] of readable(file.ingredients)) {
    const place = `ingredients[${i}]`;
    want('ingredient', ingredient.comesOff?.ingredient, `${place}.comesOff.ingredient`);
    want('supplier', ingredient.learnFrom?.supplier, `${place}.learnFrom.supplier`);
    if (isCircular(ingredient.id, ingredients, (x) => x?.comesOff?.ingredient))
      found.push(
        refuse('comes-off-loop', `${place}.comesOff`, texts.wouldComeOffItself(ingredient.name)).trouble,
      );
    for (const [j, y] of ingredient.yields.entries())
      for (const [k, b] of y.byProducts.entries()) {
        const path = `${place}.yields[${j}].byProducts[${k}].ingredient`;
        want('ingredient', b.ingredient, path);
        const product = ingredients.get(b.ingredient);
        if (product && product.comesOff?.ingredient !== ingredient.id)
          found.push(
            refuse('not-a-by-product', path, texts.doesNotSayComes(product.name, ingredient.name)).trouble,
          );
      }
  }
  return found;
}
