import { z } from 'zod';
import { sender, wire } from '@/wire';
import { ID } from '@/wire/fields';
import * as texts from './texts';

const TEXT = z.string().max(200, texts.most200CharactersKept);

/** A starting point taken into the kitchen under a name. */
export const TAKE = wire<{ readonly id: string }>()({
  kind: 'ingredient.take',
  version: 1,
  body: z.object({ reference: ID, name: TEXT }),
});
/** One spelling merged into another. */
export const MERGE = wire()({ kind: 'ingredient.merge', version: 1, body: z.object({ id: ID, into: ID }) });
export const APART = wire()({ kind: 'ingredient.apart', version: 1, body: z.object({ id: ID }) });
/** A measure of the house's own. */
export const MEASURE = wire<{ readonly id: string }>()({
  kind: 'measure.define',
  version: 1,
  body: z.object({ name: TEXT, amount: TEXT }),
});
export const NO_MEASURE = wire()({ kind: 'measure.drop', version: 1, body: z.object({ id: ID }) });
/** Which price counts for every ingredient that does not say otherwise. */
export const USUAL_BASIS = wire()({
  kind: 'kitchen.basis',
  version: 1,
  body: z.object({ by: z.enum(['latest', 'average', 'stock']), days: TEXT }),
});

export const saveTaken = sender(TAKE);
export const saveMerge = sender(MERGE);
export const saveApart = sender(APART);
export const saveMeasure = sender(MEASURE);
export const saveNoMeasure = sender(NO_MEASURE);
export const saveUsualBasis = sender(USUAL_BASIS);
