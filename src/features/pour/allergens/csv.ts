import 'server-only';
import { stringify } from 'csv-stringify/sync';
import type { AllergensPage } from './queries';
import { cellWords, partialReason } from './words';
import * as texts from './texts';

/** The matrix as a table for a spreadsheet; what begins like a formula is written as words. */
export const allergensCsv = ({ what, allergens, rows }: AllergensPage): string =>
  stringify(
    [
      [what === 'plates' ? 'dish' : 'pot', ...allergens, texts.notKnownBecause],
      ...rows.map((r) => [r.name, ...allergens.map((a) => cellWords(r, a)), partialReason(r)]),
    ],
    { bom: true, escape_formulas: true },
  );
