/** What people read in find. */

// go-to.tsx
export const findAnythingGo = 'Find anything and go there ( / )';
export const controlK = '/ Control+K';
export const find = 'Find';
export const findGo = 'Find and go';
export const findAnything = 'Find anything';
export const potDishIngredientInvoice = 'a pot, a dish, an ingredient, an invoice, a screen';
