import { z } from 'zod';
import { Id, Name, Price } from './parts';

const SOURCES = [
  z
    .strictObject({
      ingredient: Id,
      counted: z
        .literal('trimmed')
        .optional()
        .describe('a count is of trimmed pieces, as in files of version 1; left out, of pieces as bought'),
    })
    .describe('the usable part of an ingredient'),
  z.strictObject({ stockTrimOf: Id }).describe('the stock trim of an ingredient'),
  z
    .strictObject({
      product: Id,
      part: Name.optional().describe('a joint product of it, by the name it parts under'),
    })
    .describe('what another recipe makes'),
] as const;

/** What stands on a plate: an ingredient's usable part, its stock trim, or a recipe's product. */
export const PlateOf = z.union(SOURCES);

/** What a line takes: any of these, or what an earlier batch has left. */
export const Of = z.union([
  ...SOURCES,
  z
    .strictObject({
      lastBatchOf: Id,
      part: Name.optional().describe('a joint product of it, by the name it parts under'),
      perLitre: Price.optional().describe('a fixed value; left out, what the last batch cost'),
    })
    .describe('what an earlier batch of a recipe has left: that is no loop'),
]);
export type Of = z.infer<typeof Of>;

/** How a joint product shares the cost up to where it parts. */
export const Cost = z.union([
  z.strictObject({ by: z.literal('credit'), perKg: Price }).describe('a credit at a set value'),
  z.strictObject({ by: z.literal('weight') }),
  z
    .strictObject({ by: z.literal('market'), perKg: Price, restPerKg: Price })
    .describe('by what it and what stays would fetch'),
]);
export type WrittenCost = z.infer<typeof Cost>;
