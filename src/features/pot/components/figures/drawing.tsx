'use client';

import { levelAt, type LedgerRow } from '@/core/pot';
import { useFormatters } from '@/ui/formatters-context';
import { TypedField } from '@/ui/forms/typed-field';
import { PotSection, type TideMark } from '@/ui/drawings/pot-section';
import type { LivePot } from './use-pot';
import * as texts from './texts';

interface Props {
  readonly pot: LivePot;
  readonly chosen: number;
  readonly mayEdit: boolean;
  readonly onDrag: (levelCm: number) => void;
  readonly onDrop: (levelCm: number) => void;
  /** A dip that was typed, cm from the rim. */
  readonly onDip: (dipCm: number) => void;
}

/** The pot after the chosen step, with the marks it has left on that vessel's wall before. */
export function Drawing({ pot, chosen, mayEdit, onDrag, onDrop, onDip }: Props) {
  const { litres, kilos } = useFormatters();
  const rows = pot.run.rows;
  const row = rows[Math.min(chosen, rows.length - 1)];
  if (!row) return <p className="drawing-title">{texts.potEmptyDrawnHere}</p>;
  const step = pot.steps[row.step];
  const before = rows[row.step - 1];
  const draggable = mayEdit && step?.do === 'reduce' && before !== undefined && row.step === chosen;
  return (
    <figure style={{ margin: 0 }}>
      <figcaption className="drawing-title">
        {texts.afterStep(row.step + 1)} <b>{row.vessel.name}</b>
        {texts.cmBelowRimStands(row.celsius, draggable)}
        {draggable && <Dip row={row} onDip={onDip} />}
        {row.aside.trayG > 0.5 && <span> {texts.setAsideTray(kilos(row.aside.trayG))}</span>}
        {row.aside.vessels.map((s) => (
          <span key={s.vessel.id}>
            {' '}
            {texts.beside(litres(s.standingMl))} <b>{s.vessel.name}</b>.
          </span>
        ))}
      </figcaption>
      <PotSection
        vessel={row.vessel}
        levelCm={row.levelCm}
        heapCm={row.heapCm}
        nowWords={`now ${litres(row.ml)}`}
        marks={withRoom(marksFor(rows, row, litres), row)}
        hot={row.celsius > 30}
        drag={
          draggable
            ? {
                fromCm:
                  before.vessel === row.vessel ? Math.max(before.levelCm, row.levelCm) : row.vessel.heightCm,
                move: onDrag,
                done: onDrop,
              }
            : undefined
        }
      />
    </figure>
  );
}

/** The dip at which a reduction stops, typed. */
function Dip({ row, onDip }: { readonly row: LedgerRow; readonly onDip: Props['onDip'] }) {
  const now = row.dipCm.toFixed(1);
  return (
    <TypedField
      label={texts.stopDipCm}
      value={now}
      onTyped={() => undefined}
      onDone={(typed) => {
        const cm = Number(typed.replace(',', '.'));
        // What is no number leaves the mark where it is.
        if (typed.trim() !== '' && Number.isFinite(cm) && typed !== now) onDip(cm);
      }}
    />
  );
}

/** Room one mark's words need on the wall, as a share of the vessel's height or width, whichever sets the scale. */
const ROOM = 0.055;

/** Drops marks whose words would lie over another's: the level now comes first, then the order given. */
function withRoom(marks: readonly TideMark[], row: LedgerRow): TideMark[] {
  const { vessel } = row;
  const widest = vessel.shape === 'box' ? vessel.lengthCm : Math.max(vessel.baseCm, vessel.topCm);
  const room = ROOM * Math.max(vessel.heightCm, widest * 1.28);
  const kept: TideMark[] = [];
  for (const mark of marks)
    if ([row.levelCm, ...kept.map((k) => k.levelCm)].every((cm) => Math.abs(cm - mark.levelCm) > room))
      kept.push(mark);
  return kept;
}

/** Filled, strained, half: where the liquid stood in this vessel, up to the chosen step. */
function marksFor(rows: readonly LedgerRow[], row: LedgerRow, litres: (ml: number) => string): TideMark[] {
  const here = rows.filter((r) => r.vessel === row.vessel && r.step < row.step && r.ml > 0);
  const filled = here.reduce<LedgerRow | undefined>(
    (most, r) => (!most || r.ml > most.ml ? r : most),
    undefined,
  );
  const strained = [...here].reverse().find((r) => r.do === 'strain');
  const marks: TideMark[] = [];
  if (filled && filled.ml > row.ml * 1.02)
    marks.push({ name: 'filled', levelCm: filled.levelCm, words: texts.filled(litres(filled.ml)) });
  if (strained && strained !== filled && strained.ml > row.ml * 1.02)
    marks.push({ name: 'strained', levelCm: strained.levelCm, words: texts.strained(litres(strained.ml)) });
  const start = strained ?? filled;
  if (row.do === 'reduce' && start && row.ml < start.ml * 0.47) {
    const half = start.ml / 2;
    marks.push({
      name: 'half',
      levelCm: levelAt(row.vessel, (start.standingMl - start.piecesMl) / 2 + row.piecesMl),
      words: texts.half(litres(half)),
    });
  }
  return marks;
}
