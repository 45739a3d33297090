import type { Formatters } from '@/ui/formatters';
import type { WallSheet } from './queries';

/** The head of a paper: what it is, of which version, by whom. */
export function versionWords({ no, on, name, by }: WallSheet['version'], { day }: Formatters): string {
  return `version ${no}${name ? `, “${name}”` : ''}, ${day(on)}${by ? `, ${by}` : ''}`;
}

/** How much it makes, in what. */
export const sizeWords = (sheet: WallSheet, { litres, hours, bare }: Formatters): string =>
  [
    `${sheet.batches > 1 ? `${sheet.batches} batches, each ` : ''}${litres(sheet.litres * 1000)} in the ${sheet.vessel} on ${sheet.hob}`,
    ...(sheet.portions ? [`${sheet.portions.whole} portions of ${bare(sheet.portions.ml, 0)} ml`] : []),
    `${hours(sheet.hobHours)} on the hob`,
    ...(sheet.by === 1 ? [] : [`the list times ${bare(sheet.by, 3)}`]),
  ].join(' · ');
