import 'server-only';
import { mannerIn, writtenOver, type WrittenPlate, type WrittenRecipe } from '@/core/kitchen-file';
import type { KitchenState } from '@/core/kitchen-state';
import { capacityMl } from '@/core/pot';
import { newId } from '@/db/mapping/ids';
import { putPlate, putRecipe } from '@/db/archive';
import { declare, refused } from '@/server/door';
import { newLarderName } from '@/server/unique-name';
import { CHANGES, parentIn } from './making';
import { FINISH } from './wire';
import * as texts from './texts';

const NAMED = {
  none: texts.whatSmallPotCalled,
  twice: (twin: string) => texts.kitchenAlreadyChooseAnother(twin),
};

/** The smallest vessel there is. */
const smallest = (here: KitchenState) => [...here.vessels].sort((a, b) => capacityMl(a) - capacityMl(b))[0];

/**
 * Finishes what stands on a plate in a small pot of its own: a sheet whose batch is one plate, that begins with what stood there;
 * the plate then takes a batch of it.
 */
const finish = declare({
  wire: FINISH,
  role: 'changer',
  moves: 'costs',
  changes: CHANGES,
  async look({ id, line, name }, { costed }) {
    const { state, plates } = (await costed()).costing;
    const before = state.plates.find((p) => p.id === id);
    const stands = plates.get(id)?.plate;
    const from = stands?.lines.find((l) => l.id === line);
    if (!before || !stands || !from) throw refused('gone', '', texts.lineNoLongerDish);
    if (!('product' in from.of)) throw refused('not-cooked', '', texts.onlyWhatComesFrom);
    const source = from.of.product;
    const of = state.recipes.find((r) => r.id === source);
    const vessel = smallest(state);
    if (!of || !vessel) throw refused('no-vessel', '', texts.kitchenNoVesselYet);
    const recipe: WrittenRecipe = {
      id: newId(),
      name: newLarderName(state, name, NAMED),
      vessel: vessel.id,
      hob: of.hob,
      batchesAWeek: 1,
      steps: [{ id: newId(), do: 'add', of: from.of, amount: from.amount }],
    };
    const lines = stands.lines.map((l) =>
      l.id === line ? { ...l, id: newId(), of: { product: recipe.id }, amount: '1 batch' } : l,
    );
    const manner = mannerIn(state);
    const after: WrittenPlate = writtenOver(before, parentIn(state, before), lines, manner);
    return { before, after, recipe, manner };
  },
  async write({ sql, kitchenId, today, at }, { id }, { before, after, recipe, manner }) {
    await putRecipe(sql, kitchenId, recipe, today, at, manner);
    await putPlate(sql, kitchenId, after, manner, { taken: true });
    return {
      value: { pot: recipe.id },
      what: 'plate',
      subject: id,
      before,
      after,
      also: [{ what: 'recipe', subject: recipe.id, before: null, after: recipe }],
    };
  },
});

export const finishing = [finish];
