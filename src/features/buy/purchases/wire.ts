import { z } from 'zod';
import { Day } from '@/core/written';
import { sender, wire } from '@/wire';
import { CHOSEN, ID, TYPED } from '@/wire/fields';
import * as texts from './texts';

const NOTE = z.string().max(200, texts.noteMost200Characters);

/** An article that is not in the book yet, as it was typed on the invoice form. */
const NewArticle = z.object({
  ingredient: CHOSEN,
  name: z.string().max(120, texts.nameMost120Characters),
  code: z.string().max(40, texts.codeMost40Characters),
  pack: TYPED,
  /** What one piece weighs, and a litre: asked for where the pack cannot be weighed without. */
  eachWeighs: TYPED,
  litreWeighs: TYPED,
});
export type NewArticle = z.infer<typeof NewArticle>;

const Line = z.union([
  z.object({
    is: z.literal('goods'),
    article: CHOSEN,
    newArticle: NewArticle.optional(),
    packs: TYPED,
    packPrice: TYPED,
    delivered: TYPED,
    rejected: TYPED,
    inPlaceOf: CHOSEN,
    note: NOTE,
  }),
  z.object({ is: z.enum(['deposit', 'tax', 'delivery', 'discount']), amount: TYPED, note: NOTE }),
]);
export type LineTyped = z.infer<typeof Line>;

export const Purchase = z.object({
  kind: z.enum(['invoice', 'credit note']),
  corrects: ID.optional(),
  supplier: CHOSEN,
  on: Day.catch(''),
  number: z.string().max(60, texts.invoiceNumberMost60),
  lines: z.array(Line).max(300, texts.invoiceMost300Lines),
});
export type PurchaseTyped = z.infer<typeof Purchase>;

/** An invoice or credit note as it came. */
export const PURCHASE = wire<{ readonly id: string }>()({
  kind: 'purchase.write',
  version: 1,
  body: Purchase,
});

/** Takes an invoice or credit note back that was entered wrong, or lets it stand again. */
export const PURCHASE_BACK = wire()({
  kind: 'purchase.back',
  version: 1,
  body: z.object({ id: ID, back: z.boolean() }),
});

export const savePurchase = sender(PURCHASE);
export const deleteInvoice = sender(PURCHASE_BACK);
