import { costFile } from '../../costing';
import { CONSTANTS } from '../../reference';
import { potOf } from '../../shelf';
import { demoKitchen } from '../../testing/demo';
import { readKitchenText } from '../../kitchen-file';
import { scaleTo } from '../../verbs';

const read = readKitchenText(JSON.stringify(demoKitchen()));
if (!read.ok) throw new Error('the demo has mistakes');
const costing = costFile(read.file, read.file.referenceDay, CONSTANTS);

test.each(costing.state.recipes.map((r) => [r.name, r] as const))(
  '%s can be made in its own vessel at its own size, and at three times it',
  (_name, recipe) => {
    const pot = potOf(recipe, costing.shelf);
    const ml = costing.recipes.get(recipe.id)?.run.product?.ml ?? NaN;
    for (const times of [1, 3]) {
      const scaled = scaleTo(pot, ml * times, CONSTANTS);
      if (!scaled.ok) throw new Error(scaled.trouble.message);
      const { run, batches } = scaled.value;
      expect(((run.product?.ml ?? NaN) * batches) / (ml * times)).toBeCloseTo(1, 5);
      // At its own size it is the sheet as it is written, unless that stands above the maximum fill.
      if (times === 1 && batches === 1) expect(scaled.value.factor).toBeCloseTo(1, 5);
    }
  },
);
