import { allergenPage } from '@/core/safety';
import type { CarriesRow } from './queries';

type Known = Pick<CarriesRow, 'unread' | 'lines' | 'unsure'>;

/** Whether nothing stands between what is known of a row and what is true of it. */
export const isWhole = ({ unread, lines, unsure }: Known): boolean =>
  unread.length === 0 && lines === 0 && unsure.length === 0;

/** What a cell says in words: what it comes from, that it is not known, or nothing where all is known. */
export function cellWords(row: CarriesRow, allergen: string): string {
  const from = row.from[allergen];
  return from ? from.join(', ') : isWhole(row) ? '' : allergenPage.unknown;
}

/** Why something is not known of a row. */
export function partialReason({ unread, lines, unsure }: Known): string {
  const labels = unread.length > 0 ? `label not checked: ${unread.map((u) => u.name).join(', ')}` : '';
  const said = lines > 0 ? `${lines === 1 ? 'a line' : `${lines} lines`} that cannot be looked up` : '';
  const pots = unsure.length > 0 ? `lines not understood, or not done, in ${unsure.join(', ')}` : '';
  return [labels, said, pots].filter(Boolean).join('; ');
}
