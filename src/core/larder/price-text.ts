/** A price as the kitchen file writes it: at least two decimals, and as many more as it has. */
export const priceText = (price: { toFixed(places: number): string; decimalPlaces(): number }): string =>
  price.toFixed(Math.max(2, price.decimalPlaces()));
