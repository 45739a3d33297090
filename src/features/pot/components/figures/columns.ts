import type { RowCost } from '@/core/layers';
import { LOSSES, maxFillMl, type LedgerRow } from '@/core/pot';
import type { Formatters } from '@/ui/formatters-context';
import * as texts from './texts';

/** What a column says of the pot after a step; nothing of a pot that is all but empty. */
export interface LedgerColumn {
  readonly head: string;
  readonly of: (row: LedgerRow, money: RowCost | undefined, f: Formatters) => string;
  /** Drawn behind the figure, as a share of the fullest pot. */
  readonly bar?: true;
  readonly strong?: true;
}

const there = (row: LedgerRow): boolean => row.ml > 0.5;
const pct =
  (of: (row: LedgerRow) => number) =>
  (row: LedgerRow, _m: unknown, { bare }: Formatters): string =>
    there(row) ? bare(of(row), 2) : '';
const lostG = (row: LedgerRow): number =>
  LOSSES.reduce((sum, loss) => sum + (loss === 'evaporated' ? 0 : (row.lost[loss] ?? 0)), 0);

const litres: LedgerColumn = {
  head: texts.litres,
  bar: true,
  of: (row, _m, { bare }) => (there(row) ? bare(row.ml / 1000, row.ml < 995 ? 2 : 1) : ''),
};
const dip: LedgerColumn = {
  head: texts.belowRim,
  of: (row, _m, { bare }) => (there(row) ? bare(row.dipCm, 1) : ''),
};
const body: LedgerColumn = { head: texts.body, of: pct((r) => r.body) };
const salt: LedgerColumn = { head: texts.saltPercent, of: pct((r) => r.saltPct) };
const perLitre = (sign: string): LedgerColumn => ({
  head: texts.perLitreWithSign(sign),
  strong: true,
  of: (_r, money, { bare }) => (money?.perL === null || money?.perL === undefined ? '' : bare(money.perL)),
});

/** What one may want to follow through a pot, by its name on the screen; five columns each, the last of them what counts. */
export const VIEWS: Readonly<Record<string, (sign: string) => readonly LedgerColumn[]>> = {
  usual: (sign) => [litres, dip, body, salt, perLitre(sign)],
  money: (sign) => [
    litres,
    {
      head: texts.pot(sign),
      of: (_r, m, { bare }) => (m?.inPot === null || m?.inPot === undefined ? '' : bare(m.inPot)),
    },
    perLitre(sign),
  ],
  'salt and body': () => [
    litres,
    salt,
    { head: texts.gelatinPercent, of: pct((r) => r.gelatinPct) },
    { head: texts.bindsGL, of: (r, _m, { bare }) => (there(r) ? bare(r.bindingGPerL, 0) : '') },
    { ...body, strong: true },
  ],
  'fat and alcohol': () => [
    litres,
    { head: texts.fatPercent, of: pct((r) => r.fatPct) },
    { head: texts.alcoholPercent, of: pct((r) => r.ethanolPct), strong: true },
  ],
  time: () => [
    litres,
    { head: '°C', of: (r, _m, { bare }) => bare(r.celsius, 0) },
    {
      head: texts.step,
      of: (r, _m, { hours }) => (r.upHours + r.heatHours > 1 / 120 ? hours(r.upHours + r.heatHours) : ''),
    },
    { head: texts.hob, of: (r, _m, { hours }) => (r.hobHours > 1 / 120 ? hours(r.hobHours) : '') },
    {
      head: texts.sinceStart,
      strong: true,
      of: (r, _m, { hours }) => (r.elapsedHours > 1 / 120 ? hours(r.elapsedHours) : ''),
    },
  ],
  dip: () => [
    litres,
    { head: texts.standsL, of: (r, _m, { bare }) => (there(r) ? bare(r.standingMl / 1000, 1) : '') },
    {
      head: texts.roomL,
      of: (r, _m, { bare }) => (there(r) ? bare((maxFillMl(r.vessel) - r.standingMl) / 1000, 1) : ''),
    },
    {
      head: texts.coldDip,
      of: (r, _m, { bare }) => (there(r) ? bare(r.vessel.heightCm - r.coldLevelCm, 1) : ''),
    },
    { ...dip, strong: true },
  ],
  'what was lost': () => [
    litres,
    {
      head: texts.boiledOffKg,
      of: (r, _m, { bare }) => ((r.lost.evaporated ?? 0) > 0.5 ? bare((r.lost.evaporated ?? 0) / 1000) : ''),
    },
    {
      head: texts.elseLostKg,
      strong: true,
      of: (r, _m, { bare }) => (lostG(r) > 0.5 ? bare(lostG(r) / 1000) : ''),
    },
  ],
};
