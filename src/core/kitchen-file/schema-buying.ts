import { z } from 'zod';
import { Day, Id, Instant, Name, Percent, Price, Typed } from '../written';

export const Quote = z.strictObject({ on: Day, recordedAt: Instant, price: Price });
export const Article = z.strictObject({
  id: Id,
  supplier: Id,
  ingredient: Id,
  name: Name,
  code: z.string().max(40).optional(),
  pack: Typed,
  weighings: z
    .array(z.strictObject({ on: Day, recordedAt: Instant, held: Typed }))
    .default([])
    .describe('what a pack really held when somebody weighed it'),
  label: z
    .strictObject({
      allergens: z.array(z.string().min(1).max(40)).optional(),
      saltPct: Percent.optional(),
      gelatinPct: Percent.optional(),
    })
    .optional()
    .describe("what this supplier's label says, where it differs from the ingredient"),
  quotes: z.array(Quote).default([]),
});

/** A line's own id, kept through edits; given when it is loaded where it has none. */
const LineId = Id.optional().describe('its own; given when it is loaded where it has none');

export const PurchaseLine = z.union([
  z.strictObject({
    is: z.literal('goods'),
    id: LineId,
    article: Id,
    packs: z.number().positive().describe('invoiced; for catch weight the article is a pack of 1 kg'),
    packPrice: Price,
    delivered: Typed.optional().describe(
      'what really came, where it differs from packs × pack; on a credit note: what went back',
    ),
    rejected: Typed.optional().describe('of what came, what was sent back at the door'),
    inPlaceOf: Id.optional().describe('the article that was ordered'),
    note: z.string().max(200).optional(),
  }),
  z.strictObject({
    is: z.enum(['deposit', 'tax', 'delivery', 'discount']),
    id: LineId,
    amount: Price,
    note: z.string().max(200).optional(),
  }),
]);
export const Purchase = z.strictObject({
  id: Id,
  kind: z.enum(['invoice', 'credit note']).default('invoice'),
  corrects: Id.optional().describe('the invoice a credit note belongs to'),
  supplier: Id,
  on: Day,
  recordedAt: Instant,
  number: z.string().min(1).max(60),
  lines: z.array(PurchaseLine).min(1),
});

export const Count = z
  .strictObject({ ingredient: Id, on: Day, recordedAt: Instant, amount: Typed })
  .describe('how much of an ingredient was there when somebody counted');

/** Where a supplier's list has its columns: the words at their heads. */
export const Columns = z.strictObject({
  code: z.string().max(80).optional(),
  name: z.string().max(80).optional(),
  pack: z.string().max(80).optional(),
  unit: z.string().max(80).optional(),
  price: z.string().max(80),
  mark: z.enum(['.', ',']).optional().describe("the list's decimal mark, where the file does not show it"),
});

export const Supplier = z.strictObject({
  id: Id,
  name: Name,
  priceList: z
    .url({ protocol: /^https?$/ })
    .max(300)
    .optional()
    .describe('where its price list is fetched'),
  columns: Columns.optional(),
});

export const Measure = z.strictObject({ id: Id, name: Name, amount: Typed });
