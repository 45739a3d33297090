import type { WrittenBatchEvent } from '../kitchen-file';

/** Until when nobody is at a pot, ms: since somebody said so, and has said nothing since. */
export function unattendedUntil(events: readonly WrittenBatchEvent[], now: number): number | undefined {
  const last = [...events].sort((a, b) => Date.parse(a.at) - Date.parse(b.at)).at(-1);
  if (last?.is !== 'night') return undefined;
  const until = Date.parse(last.until);
  return until > now ? until : undefined;
}
