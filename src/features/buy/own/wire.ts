import { z } from 'zod';
import { COUNT_UNITS } from '@/core/quantity';
import { sender, wire } from '@/wire';
import { ID, TYPED } from '@/wire/fields';
import * as texts from './texts';

const NAME = z.string().max(5000);

/** The figures of a nutrition table as they are copied; empty where the packet says nothing. */
export const LabelTyped = z.object({
  per: z.enum(['100 g', '100 ml']),
  energyKj: TYPED,
  fat: TYPED,
  carbohydrate: TYPED,
  sugars: TYPED,
  fibre: TYPED,
  protein: TYPED,
  salt: TYPED,
  alcoholVolPct: TYPED,
});
export type LabelTyped = z.infer<typeof LabelTyped>;

/** An ingredient that no starting point is like: what its label states, and what one of it weighs. */
export const OwnTyped = z.object({
  name: z.string().trim().min(1, texts.whatCalledKitchen).max(5000),
  role: z.enum(['piece', 'liquid']),
  label: LabelTyped,
  allergens: z.array(z.string().min(1).max(40)).max(30),
  /** Whether its label has been read for them: what names none and was not read is not known. */
  allergensRead: z.boolean().optional(),
  eachUnit: z.string().max(20),
  eachWeighs: TYPED,
  usable: TYPED,
});
export type OwnTyped = z.infer<typeof OwnTyped>;
export const OWN = wire<{ readonly id: string; readonly remarks: readonly string[] }>()({
  kind: 'ingredient.own',
  version: 1,
  body: OwnTyped,
});

/** The first price of an ingredient: who sells it, in which pack, for how much. */
export const FirstPriceTyped = z.object({
  ingredient: ID,
  /** A supplier's id, or nothing where the name is a new one's. */
  supplier: z.union([z.object({ own: ID }), z.object({ called: NAME })]),
  pack: TYPED,
  price: TYPED,
  /** What one weighs, where the pack is counted and nobody knows yet. */
  eachWeighs: TYPED,
});
export type FirstPriceTyped = z.infer<typeof FirstPriceTyped>;
export const FIRST_PRICE = wire<{ readonly article: string }>()({
  kind: 'article.first',
  version: 1,
  body: FirstPriceTyped,
});

/** What one bunch, bottle or piece of an ingredient weighs. */
export const ONE_WEIGHS = wire()({
  kind: 'ingredient.one-weighs',
  version: 1,
  body: z.object({ id: ID, unit: z.enum(COUNT_UNITS), typed: TYPED }),
});

export const INGREDIENT_NAMED = wire<null, { readonly name: string }>()({
  kind: 'ingredient.name',
  version: 1,
  body: z.object({ id: ID, name: NAME }),
});

/** Puts an ingredient away with what it was bought as, another in its place everywhere where that is said; or brings it back. */
export const INGREDIENT_AWAY = wire<null, { readonly users: readonly string[] }>()({
  kind: 'ingredient.away',
  version: 1,
  body: z.object({ id: ID, away: z.boolean(), instead: ID.nullable() }),
});

/** What an ingredient carries, as read from its label: all of it. */
export const ALLERGENS = wire<null, { readonly allergens: readonly string[] }>()({
  kind: 'ingredient.allergens',
  version: 1,
  body: z.object({ id: ID, allergens: z.array(z.string().trim().min(1).max(40)).max(30) }),
});

export const makeOwn = sender(OWN);
export const saveFirstPrice = sender(FIRST_PRICE);
export const saveOneWeighs = sender(ONE_WEIGHS);
export const saveAllergens = sender(ALLERGENS);
export const nameIngredient = sender(INGREDIENT_NAMED);
export const archiveIngredient = sender(INGREDIENT_AWAY);
