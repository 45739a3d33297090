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
import * as texts from './texts';

/** What the kitchen’s own pots teach: how fast they really boil away, what that would move, and how often what was foretold held. */
export function LearnedView({ page }: { readonly page: LearnedPage }) {
  const waits = [...page.rows, ...page.times].filter((r) => r.waits).length;
  return (
    <>
      <div className="page-head">
        <h1>{texts.learnedFromBatches}</h1>
        <p className="lead-line">
          {page.rows.length + page.times.length === 0
            ? texts.nothingYetFinishBatch
            : texts.fromFinishedBatches(page.batches, waits)}{' '}
          <Link prefetch={false} href="/stove">
            {texts.allBatches}
          </Link>
        </p>
      </div>
      <Held rows={page.judged} />
      {waits > 0 && <p className="quiet mb-1">{texts.nothingChangesUntilYou}</p>}
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
    return texts.partOf(all.filter((r) => r.within).length, all.length);
  };
  const missed = rows.filter((r) => !r.within);
  const show = (r: JudgedRow, v: number): string => (r.of === 'hours' ? hours(v) : `${bare(v, 2)} l`);
  return (
    <section aria-label={texts.howOftenForecastRight}>
      <h2>{texts.howOftenForecastRight}</h2>
      <p className="fs-5 m-0">
        {texts.forecastsGiveRangeShould} <b className="fig">{count('hours')}</b>
        {texts.finalLitres} <b className="fig">{count('litres')}</b>.
      </p>
      {missed.length > 0 && (
        <details className="mt-2">
          <summary>{texts.outsideRange(missed.length)}</summary>
          <SheetTable className="list-table w-auto">
            <thead>
              <tr>
                <th scope="col">{texts.batch}</th>
                <th scope="col">{texts.forecast}</th>
                <th scope="col">{texts.came}</th>
              </tr>
            </thead>
            <tbody>
              {missed.map((r) => (
                <tr key={`${r.batch} ${r.step ?? ''}`}>
                  <td>
                    <Link prefetch={false} href={`/stove/${r.batch}`}>
                      {r.name}
                    </Link>
                    <div className="quiet small-line">{r.line ?? texts.litresEnd}</div>
                  </td>
                  <td className="fig">{texts.to(show(r, r.foretold.low), show(r, r.foretold.high))}</td>
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
      says={(mean) => texts.boilsAwayTimesFast(mean)}
      inForce={inForce?.times ?? 1}
      stands={inForce ? texts.use(bare(inForce.times, 2)) : texts.useStandardValue}
      accept={row.waits && page.mayAccept ? learn(true) : undefined}
      back={inForce && page.mayAccept ? learn(false) : undefined}
      leave={{ is: 'left out', heat, lid }}
      far={(times) => (times > 1 ? texts.leftBoil : texts.lidForgotten)}
    />
  );
}

const TIMES_SAY: Readonly<Record<TimesRow['kind'], (mean: string) => string>> = {
  gives: (mean) => texts.timesValueUseRefractometer(mean),
  keeps: (mean) => texts.timesValueUseLitres(mean),
  clings: (mean) => texts.timesValueUseLitresBeforeAfter(mean),
  loses: (mean) => texts.timesWhatLineSays(mean),
  pours: (mean) => texts.timesWhatLineSaysLitresOver(mean),
  hands: (mean) => texts.timesMinutesUsual(mean),
};

/** How nearly each figure is said. */
const DIGITS = { 'g/kg': 1, 'ml/kg': 0, ml: 0, '%': 1, '% over': 1, 'times the usual': 2 } as const;

/** What bones give and keep, what stays behind, how full portions are, or how long labour takes, as a multiple of the value in use. */
function Times({ row, page }: { readonly row: TimesRow; readonly page: LearnedPage }) {
  const { bare } = useFormatters();
  const { kind, of, figure, weighed } = row;
  const amount = (x: number): string => (figure ? `${bare(x, DIGITS[figure.unit])} ${figure.unit}` : '');
  const stands = weighed ? texts.useResultYieldTest : figure ? texts.use(amount(figure.now)) : '';
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
      far={() => texts.misread}
    >
      {row.suppliers.length > 0 && <Suppliers row={row} mayAccept={page.mayAccept} say={amount} />}
    </Figure>
  );
}

/** What bones of each supplier gave: they may be used for those bought from now on. */
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
      <SheetTable className="list-table w-auto" aria-label={texts.supplier}>
        <tbody>
          {suppliers.map(({ id, name, batches, mean, figure }) => (
            <tr key={id}>
              <td>{name}</td>
              <td className="fig">{bare(mean, 2)} ×</td>
              <td className="quiet">{batches === 1 ? texts.oneBatch : texts.batches(batches)}</td>
              <td>
                {mayAccept && figure && !figure.stays && (
                  <Button
                    variant="link"
                    size="sm"
                    disabled={state.busy}
                    onClick={() => void keep(() => learnTimesFrom({ kind, of, supplier: id }))}
                  >
                    {texts.useTheirsGives(say(figure.after))}
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
        title: texts.timesValueUse(title),
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
          not: l.leftOut === undefined ? undefined : texts.leftOut,
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
            {texts.useBecomes(becomes ?? bare(learned?.mean ?? 1, 2))}
          </Button>
        )}
        {back && (
          <Button variant="outline-primary" disabled={state.busy} onClick={() => void keep(back)}>
            {texts.useStandardValueHeading}
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
              ? texts.likely(says(bare(learned.mean, 2)), bare(learned.low, 2), bare(learned.high, 2))
              : texts.noBatchCounts}
          </p>
        </div>
        <Acts row={row} stands={stands} becomes={becomes} accept={accept} back={back} />
      </div>
      <details>
        <summary>
          {row.lessons.length === 1 ? texts.oneBatchHeading : texts.batchesCount(row.lessons.length)}
          {row.moves.length > 0 && texts.whatWouldChange}
          {odd && <b className="hot"> {texts.oneFarOff(far(odd.times))}</b>}
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
  hours: texts.hob,
  hands: texts.labourMinutes,
  gelatin: texts.gelatinGPerLitre,
  portions: 'portions',
  perL: texts.perLitre,
  perPortion: texts.portion,
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
      <SheetTable className="list-table w-auto" aria-label={texts.whatWouldMove}>
        <thead>
          <tr>
            <th scope="col">{texts.wouldMove}</th>
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
      {row.moreMoves > 0 && <p className="quiet small-line m-0">{texts.sheetSheetsMore(row.moreMoves)}</p>}
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
              <td>{l.outlier && <span className="hot">{texts.farFromOthers}</span>}</td>
              <td>
                {l.leftOut === undefined ? (
                  <Button variant="link" size="sm" disabled={state.busy} onClick={() => leave(l.batch)}>
                    {texts.leaveOut}
                  </Button>
                ) : (
                  <Button
                    variant="link"
                    size="sm"
                    disabled={state.busy}
                    onClick={() => void keep(() => undoEvent({ batch: l.batch, event: l.leftOut ?? '' }))}
                  >
                    {texts.countAgain}
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
