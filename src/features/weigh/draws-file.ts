import { stringify } from 'csv-stringify/browser/esm/sync';
import { SIMULATED, type SimulatedFigure } from '@/core/uncertainty';
import * as texts from './texts';

const COLUMNS: Readonly<Record<SimulatedFigure, string>> = {
  litres: 'litres',
  saltPct: 'salt %',
  body: 'body',
  elapsedHours: 'hours',
  perL: texts.perLitre,
  perPortion: texts.portion,
};

/**
 * What was drawn, as a table for a spreadsheet: a row for each draw, of each way the figures of `TOLD`, with every digit; empty where
 * nothing came of it.
 */
export const drawsCsv = (ways: readonly string[], values: Float64Array): string => {
  const width = ways.length * SIMULATED.length;
  const many = Math.floor(values.length / width);
  return stringify(
    [
      ['draw', ...ways.flatMap((way) => SIMULATED.map((told) => `${way}: ${COLUMNS[told]}`))],
      ...Array.from({ length: many }, (_, n) => [
        n + 1,
        ...Array.from(values.subarray(n * width, (n + 1) * width), (v) => (Number.isNaN(v) ? '' : v)),
      ]),
    ],
    { bom: true, escape_formulas: true },
  );
};

/** Downloads a table as a file. */
export function handOut(csv: string, name: string): void {
  const url = URL.createObjectURL(new Blob([csv], { type: 'text/csv' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `${name.replace(/[^\p{L}\p{N} ,-]/gu, '')}.csv`;
  link.click();
  URL.revokeObjectURL(url);
}
