import type { LedgerRow } from './ledger';
import { isTray } from './aside';
import { liquidG, liquidMl } from './liquid';
import { piecesG, type PotState, type StandLevel } from './state';
import { kilos, litres } from './figures';
import { maxFillMl } from './vessel';
import type { PotVerb } from './verb';
import type { Warning } from './warnings';
import * as texts from './texts';

/** What a row's verb does to the filling of its vessel. */
export type FillingOf = (row: LedgerRow) => PotVerb<never>['filling'];

/** What only shows when the whole pot is known: room left for what follows, salt that stays, vessels never combined. */
export function lookAhead(rows: readonly LedgerRow[], filling: FillingOf, pot?: PotState): LedgerRow[] {
  return standsAside(saltThatStays(roomAhead(rows, filling)), pot);
}

/** Where what follows in the same vessel will stand above the maximum fill, the step that filled it says so while something can still be done. */
function roomAhead(rows: readonly LedgerRow[], filling: FillingOf): LedgerRow[] {
  const isOver = (row: LedgerRow | undefined): boolean =>
    row?.warnings.some((w) => w.code === 'over-max-fill') ?? false;
  const filledFor = new Map<LedgerRow, LedgerRow>();
  for (const [i, worst] of rows.entries()) {
    if (!isOver(worst) || (isOver(rows[i - 1]) && rows[i - 1]?.vessel === worst.vessel)) continue;
    // Back through the same filling, to the last step that put in as much liquid as there will be too much.
    for (let j = i - 1; j >= 0; j -= 1) {
      const [row, before] = [rows[j] as LedgerRow, rows[j - 1]];
      if (row.vessel !== worst.vessel || filling(row) === 'ends') break;
      const poured = row.ml - (before?.vessel === row.vessel ? before.ml : 0);
      if (filling(row) !== 'adds' || poured < worst.standingMl - maxFillMl(row.vessel)) continue;
      filledFor.set(row, worst);
      break;
    }
  }
  return rows.map((row) => {
    const worst = filledFor.get(row);
    if (!worst) return row;
    const most = maxFillMl(row.vessel);
    const over = worst.standingMl - most;
    const warning: Warning = {
      code: 'no-room-ahead',
      message: texts.leavesNoRoomStep(worst.step + 1, litres(over)),
      value: worst.standingMl,
      limit: most,
      unit: 'ml',
      cure: {
        do: 'fill less',
        message: texts.fillLessHere(litres(over)),
        step: row.step,
        value: over,
        unit: 'ml',
      },
    };
    return { ...row, warnings: [...row.warnings, warning] };
  });
}

const isSalted = (row: LedgerRow | undefined): boolean =>
  row?.warnings.some((w) => w.code === 'oversalted') ?? false;

/** A spoonful of juice under a kilo of shells may be as salty as it likes: only salt that no later step thins is told, and once. */
function saltThatStays(rows: readonly LedgerRow[]): LedgerRow[] {
  let from = rows.length;
  while (from > 0 && isSalted(rows[from - 1])) from -= 1;
  return rows.map((row, i) =>
    i !== from && isSalted(row)
      ? { ...row, warnings: row.warnings.filter((w) => w.code !== 'oversalted') }
      : row,
  );
}

function standsAside(rows: LedgerRow[], pot: PotState | undefined): LedgerRow[] {
  const last = rows[rows.length - 1];
  if (!last || !pot || pot.aside.length === 0) return rows;
  const warnings = pot.aside.map((s): Warning => {
    const ml = liquidMl(s.liquid);
    if (isTray(s.vessel)) return stillSetAside(s);
    return {
      code: 'stands-aside',
      message: texts.stillStandTheyCounted(litres(ml), s.vessel.name),
      value: ml,
      limit: 0,
      unit: 'ml',
      cure: { do: 'combine', message: texts.combine(s.vessel.name), value: ml, unit: 'ml' },
    };
  });
  return [...rows.slice(0, -1), { ...last, warnings: [...last.warnings, ...warnings] }];
}

function stillSetAside(tray: StandLevel): Warning {
  const g = piecesG(tray) + liquidG(tray.liquid);
  return {
    code: 'stands-aside',
    message: texts.stillSetAsideThey(kilos(g)),
    value: g,
    limit: 0,
    unit: 'g',
    cure: {
      do: 'return',
      message: texts.returnPiecesPickThem,
      value: g,
      unit: 'g',
    },
  };
}
