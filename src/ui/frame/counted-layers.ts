import { COUNTED_COOKIE, layerName, type Layer } from '@/core/layers';
import * as texts from './texts';

/** What stands in a cost, in words: `ingredients`, `ingredients, energy and labour`. */
export function layersText(counted: readonly Layer[]): string {
  const names = counted.map(layerName);
  return names.length < 2 ? (names[0] ?? '') : texts.and(names.slice(0, -1).join(', '), names.at(-1) ?? '');
}

/** How long a device keeps the choice, s. */
const A_YEAR = 31_536_000;

/** Has this device count these layers beside the ingredients from now on. */
export function saveCountedLayers(beside: readonly string[]): void {
  document.cookie = `${COUNTED_COOKIE}=${beside.join('.')}; path=/; max-age=${A_YEAR}; samesite=lax`;
}
