import { COUNTED_COOKIE } from '@/core/layers';

/** What stands in a cost, in words: `ingredients`, `ingredients, energy and hands`. */
export const countedWords = (counted: readonly string[]): string =>
  counted.length < 2 ? (counted[0] ?? '') : `${counted.slice(0, -1).join(', ')} and ${counted.at(-1) ?? ''}`;

/** How long a device keeps the choice, s. */
const A_YEAR = 31_536_000;

/** Has this device count these layers beside the ingredients from now on. */
export function keepCounted(beside: readonly string[]): void {
  document.cookie = `${COUNTED_COOKIE}=${beside.join('.')}; path=/; max-age=${A_YEAR}; samesite=lax`;
}
