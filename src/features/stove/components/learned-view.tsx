'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import { v7 } from 'uuid';
import Button from 'react-bootstrap/Button';
import type { WrittenBatchEvent } from '@/core/kitchen-file';
import { Dots } from '@/ui/drawings/dots';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave, type SaveAnswer } from '@/ui/forms/use-save';
import type { JudgedRow, LearnedPage, LearnedRow } from '../learned';
import type { TimesRow } from '../learned-times';
import type { EffectCell } from '../learned-effect';
import { heatWords } from '../words';
import { learnFrom, learnTimesFrom, undoEvent, sendBatchEvent } from '../wire';

/** What the kitchen’s own pots teach: how fast they really boil away, what that would move, and how often what was foretold held. */
export function LearnedView({ page }: { readonly page: LearnedPage }) {
  const waits = [...page.rows, ...page.times].filter((r) => r.waits).length;
  return (
    <>
      <div className="page-head">
        <h1>Learned from batches</h1>
        <p className="lead-line">
          {page.rows.length + page.times.length === 0
            ? 'Nothing yet. Finish a batch with dips read while it cooked, and what it shows appears here.'
            : `From ${page.batches} finished batches. ${waits === 0 ? 'Nothing to accept.' : `${waits} ${waits === 1 ? 'figure' : 'figures'} to accept.`}`}{' '}
          <Link prefetch={false} href="/stove">
            all pots
          </Link>
        </p>
      </div>
      <Held rows={page.judged} />
      {waits > 0 && <p className="quiet mb-1">Nothing changes until you accept it.</p>}
      {waitingFirst(page.rows).map((row) => (
        <Boils key={`${row.vessel} ${heatWords(row)}`} row={row} page={page} />
      ))}
      {waitingFirst(page.times).map((row) => (
        <Times key={`${row.kind} ${row.of}`} row={row} page={page} />
      ))}
    </>
  );
}

const waitingFirst = <Row extends { readonly waits: boolean }>(rows: readonly Row[]): Row[] =>
  [...rows].sort((a, b) => Number(b.waits) - Number(a.waits));

/** How often four bands out of five really held. */
function Held({ rows }: { readonly rows: readonly JudgedRow[] }) {
  const { bare, hours } = useFormatters();
  if (rows.length === 0) return null;
  const count = (of: JudgedRow['of']): string => {
    const all = rows.filter((r) => r.of === of);
    return `${all.filter((r) => r.within).length} of ${all.length}`;
  };
  const missed = rows.filter((r) => !r.within);
  const show = (r: JudgedRow, v: number): string => (r.of === 'hours' ? hours(v) : `${bare(v, 2)} l`);
  return (
    <section aria-label="How often the forecast was right">
      <h2>How often the forecast was right</h2>
      <p className="fs-5 m-0">
        Forecasts give a range that should hold in 8 of 10 batches. The time of reductions was inside it in{' '}
        <b className="fig">{count('hours')}</b>, the final litres in <b className="fig">{count('litres')}</b>.
      </p>
      {missed.length > 0 && (
        <details className="mt-2">
          <summary>Outside the range ({missed.length})</summary>
          <SheetTable className="list-table w-auto">
            <thead>
              <tr>
                <th scope="col">Batch</th>
                <th scope="col">forecast</th>
                <th scope="col">came</th>
              </tr>
            </thead>
            <tbody>
              {missed.map((r) => (
                <tr key={`${r.batch} ${r.step ?? ''}`}>
                  <td>
                    <Link prefetch={false} href={`/stove/${r.batch}`}>
                      {r.name}
                    </Link>
                    <div className="quiet small-line">{r.line ?? 'litres in the end'}</div>
                  </td>
                  <td className="fig">
                    {show(r, r.foretold.low)} to {show(r, r.foretold.high)}
                  </td>
                  <td className="fig strong">{show(r, r.came)}</td>
                </tr>
              ))}
            </tbody>
          </SheetTable>
        </details>
      )}
    </section>
  );
}

/** How fast a vessel boils away at a heat under a lid. */
function Boils({ row, page }: { readonly row: LearnedRow; readonly page: LearnedPage }) {
  const { bare } = useFormatters();
  const { vessel, heat, lid, inForce } = row;
  const learn = (accept: boolean) => () => learnFrom({ vessel, heat, lid, accept });
  return (
    <Figure
      row={row}
      title={`${row.vesselName}, ${heatWords(row)}`}
      says={(mean) => `boils away ${mean} times as fast as the table says`}
      inForce={inForce?.times ?? 1}
      stands={inForce ? `In use: ${bare(inForce.times, 2)}.` : 'In use: the standard value.'}
      accept={row.waits && page.mayAccept ? learn(true) : undefined}
      back={inForce && page.mayAccept ? learn(false) : undefined}
      leave={{ is: 'left out', heat, lid }}
      far={(times) => (times > 1 ? 'was it left to boil?' : 'was a lid forgotten?')}
    />
  );
}

const TIMES_SAY: Readonly<Record<TimesRow['kind'], (mean: string) => string>> = {
  gives: (mean) => `${mean} times the value in use, by the refractometer or a chilled spoonful`,
  keeps: (mean) => `${mean} times the value in use, by litres before and after the strainer`,
  clings: (mean) => `${mean} times the value in use, by litres before and after`,
  loses: (mean) => `${mean} times what its line says, by litres before and after the machine`,
  pours: (mean) => `${mean} times what its line says, by litres over portions`,
  hands: (mean) => `${mean} times the minutes that are usual`,
};

/** How nearly each figure is said. */
const DIGITS = { 'g/kg': 1, 'ml/kg': 0, ml: 0, '%': 1, '% over': 1, 'times the usual': 2 } as const;

/** What bones give and keep, what stays behind, how full portions are, or how long hands are at it, in times of what is reckoned with. */
function Times({ row, page }: { readonly row: TimesRow; readonly page: LearnedPage }) {
  const { bare } = useFormatters();
  const { kind, of, figure, weighed } = row;
  const amount = (x: number): string => (figure ? `${bare(x, DIGITS[figure.unit])} ${figure.unit}` : '');
  const stands = weighed
    ? 'In use: the result of a yield test.'
    : figure
      ? `In use: ${amount(figure.now)}.`
      : '';
  return (
    <Figure
      row={row}
      title={row.title}
      says={(mean) => TIMES_SAY[kind](mean)}
      inForce={1}
      stands={stands}
      becomes={figure && amount(figure.after)}
      accept={row.waits && page.mayAccept ? () => learnTimesFrom({ kind, of }) : undefined}
      back={undefined}
      leave={{ is: 'not learned', kind, of }}
      far={() => 'was it misread?'}
    >
      {row.suppliers.length > 0 && <Suppliers row={row} mayAccept={page.mayAccept} say={amount} />}
    </Figure>
  );
}

/** What bones of each supplier gave: they may be reckoned with as those do that are bought from now on. */
function Suppliers({
  row: { kind, of, suppliers },
  mayAccept,
  say,
}: {
  readonly row: TimesRow;
  readonly mayAccept: boolean;
  readonly say: (figure: number) => string;
}) {
  const { bare } = useFormatters();
  const [keep, state] = useSave();
  return (
    <>
      <SheetTable className="list-table w-auto" aria-label="By who they came from">
        <tbody>
          {suppliers.map(({ id, name, batches, mean, figure }) => (
            <tr key={id}>
              <td>{name}</td>
              <td className="fig">{bare(mean, 2)} ×</td>
              <td className="quiet">{batches === 1 ? 'one batch' : `${batches} batches`}</td>
              <td>
                {mayAccept && figure && !figure.stays && (
                  <Button
                    variant="link"
                    size="sm"
                    disabled={state.busy}
                    onClick={() => void keep(() => learnTimesFrom({ kind, of, supplier: id }))}
                  >
                    Use {say(figure.after)}, as theirs give
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </SheetTable>
      <TroubleText says={state.message} />
    </>
  );
}

type Lessons = LearnedRow['lessons'] | TimesRow['lessons'];
type Leave =
  | Pick<Extract<WrittenBatchEvent, { is: 'left out' }>, 'is' | 'heat' | 'lid'>
  | Pick<Extract<WrittenBatchEvent, { is: 'not learned' }>, 'is' | 'kind' | 'of'>;

type Taught = Pick<LearnedRow, 'prior' | 'learned' | 'waits' | 'moves' | 'moreMoves'> & {
  readonly lessons: Lessons;
};
type Act = (() => Promise<SaveAnswer>) | undefined;

/** Batches as dots under what was believed, and what both together say. */
function Drawn({
  title,
  row,
  inForce,
}: {
  readonly title: string;
  readonly row: Taught;
  readonly inForce: number;
}) {
  const { day } = useFormatters();
  const { learned } = row;
  return (
    <Dots
      figure={{
        title: `${title}: times the value in use`,
        unit: '×',
        digits: 2,
        prior: row.prior,
        learned,
        inForce,
        rows: ['batches'],
        dots: row.lessons.map((l) => ({
          id: l.batch,
          value: l.times,
          row: 'batches',
          weight: l.weight,
          outlier: l.outlier,
          not: l.leftOut === undefined ? undefined : 'left out',
          words: `${l.name}, ${day(l.on.slice(0, 10))}`,
        })),
      }}
    />
  );
}

/** It is accepted, or gone back from. */
function Acts({
  row: { learned },
  stands,
  becomes,
  accept,
  back,
}: {
  readonly row: Taught;
  readonly stands: string;
  readonly becomes: string | undefined;
  readonly accept: Act;
  readonly back: Act;
}) {
  const { bare } = useFormatters();
  const [keep, state] = useSave();
  return (
    <>
      <p className="d-flex flex-wrap gap-3 align-items-baseline justify-content-end m-0">
        <span className="quiet">{stands}</span>
        {accept && (
          <Button disabled={state.busy} onClick={() => void keep(accept)}>
            Use {becomes ?? bare(learned?.mean ?? 1, 2)}
          </Button>
        )}
        {back && (
          <Button variant="outline-primary" disabled={state.busy} onClick={() => void keep(back)}>
            Use the standard value
          </Button>
        )}
      </p>
      <TroubleText says={state.message} />
    </>
  );
}

/** A figure that batches teach: dots, band, what it would move, and what is done about it. */
function Figure({
  row,
  title,
  says,
  inForce,
  stands,
  becomes,
  accept,
  back,
  leave,
  far,
  children,
}: {
  readonly row: Taught;
  readonly title: string;
  readonly says: (mean: string) => string;
  readonly inForce: number;
  readonly stands: string;
  /** What it would be, in the figure’s own unit; left out where it is told in times. */
  readonly becomes?: string | undefined;
  readonly accept: Act;
  readonly back: Act;
  readonly leave: Leave;
  readonly far: (times: number) => string;
  readonly children?: ReactNode;
}) {
  const { bare } = useFormatters();
  const { learned } = row;
  const odd = row.lessons.find((l) => l.outlier);
  return (
    <section aria-label={title} className="learned">
      <div className="learned-head">
        <div>
          <h2 className="fs-5 m-0">{title}</h2>
          <p className="quiet m-0">
            {learned
              ? `${says(bare(learned.mean, 2))}, likely ${bare(learned.low, 2)} to ${bare(learned.high, 2)}`
              : 'no batch counts'}
          </p>
        </div>
        <Acts row={row} stands={stands} becomes={becomes} accept={accept} back={back} />
      </div>
      <details>
        <summary>
          {row.lessons.length === 1 ? 'One batch' : `${row.lessons.length} batches`}
          {row.moves.length > 0 && ' and what would change'}
          {odd && <b className="hot"> · one is far off: {far(odd.times)}</b>}
        </summary>
        <Drawn title={title} row={row} inForce={inForce} />
        {row.moves.length > 0 && <Moved row={row} />}
        {children}
        <Lessons lessons={row.lessons} leave={leave} />
      </details>
    </section>
  );
}

/** What each column of what would move says. */
const CELLS: Readonly<Record<EffectCell, string>> = {
  litres: 'litres',
  hours: 'on the hob',
  hands: 'labour minutes',
  gelatin: 'gelatin, g per litre',
  portions: 'portions',
  perL: 'per litre',
  perPortion: 'a portion',
};

/** What accepting it would move. */
function Moved({ row }: { readonly row: Pick<Taught, 'moves' | 'moreMoves'> }) {
  const { bare, money, hours } = useFormatters();
  const say = (of: EffectCell, x: number | null): string => {
    if (of === 'perL' || of === 'perPortion') return money(x);
    if (x === null) return '–';
    if (of === 'hours') return hours(x);
    return bare(x, of === 'portions' || of === 'hands' ? 0 : of === 'gelatin' ? 1 : 2);
  };
  return (
    <>
      <SheetTable className="list-table w-auto" aria-label="What it would move">
        <thead>
          <tr>
            <th scope="col">It would move</th>
            {row.moves[0]?.cells.map(({ of }) => (
              <th scope="col" key={of} className={of === 'hours' ? 'roomy' : undefined}>
                {CELLS[of]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {row.moves.map((m) => (
            <tr key={m.recipe}>
              <td>
                <Link prefetch={false} href={`/pot/${m.recipe}`}>
                  {m.name}
                </Link>
              </td>
              {m.cells.map(({ of, before, after }) => (
                <td key={of} className={of === 'hours' ? 'fig roomy' : 'fig'}>
                  {say(of, before)} → {say(of, after)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </SheetTable>
      {row.moreMoves > 0 && (
        <p className="quiet small-line m-0">
          and {row.moreMoves} {row.moreMoves === 1 ? 'sheet' : 'sheets'} more
        </p>
      )}
    </>
  );
}

/** The batches that teach it; one that lies far off is left out by a person or not at all. */
function Lessons({ lessons, leave: leaves }: { readonly lessons: Lessons; readonly leave: Leave }) {
  const { bare, day } = useFormatters();
  const [keep, state] = useSave();
  const sorted = [...lessons].sort((a, b) => Number(b.outlier) - Number(a.outlier));
  const leave = (batch: string): void => {
    const at = new Date().toISOString();
    void keep(() => sendBatchEvent({ batch, event: { id: v7(), at, recordedAt: at, ...leaves } }));
  };
  return (
    <>
      <SheetTable className="list-table w-auto">
        <tbody>
          {sorted.map((l) => (
            <tr key={l.batch}>
              <td>
                <Link prefetch={false} href={`/stove/${l.batch}`}>
                  {l.name}
                </Link>{' '}
                <span className="quiet small-line">{day(l.on.slice(0, 10))}</span>
              </td>
              <td className="fig">{bare(l.times, 2)} ×</td>
              <td>{l.outlier && <span className="hot">far from the others</span>}</td>
              <td>
                {l.leftOut === undefined ? (
                  <Button variant="link" size="sm" disabled={state.busy} onClick={() => leave(l.batch)}>
                    Leave out
                  </Button>
                ) : (
                  <Button
                    variant="link"
                    size="sm"
                    disabled={state.busy}
                    onClick={() => void keep(() => undoEvent({ batch: l.batch, event: l.leftOut ?? '' }))}
                  >
                    Count it again
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </SheetTable>
      <TroubleText says={state.message} />
    </>
  );
}
