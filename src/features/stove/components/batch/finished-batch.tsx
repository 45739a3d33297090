'use client';

import { useFormatters } from '@/ui/formatters-context';
import type { BatchResult } from '@/core/batch';
import type { BatchShown } from '../../queries';
import * as texts from './texts';

/** A difference smaller than this is no news: no jug is read that closely, l. */
const NOISE_L = 0.015;

/** Money that no till counts. */
const NOISE_MONEY = 0.005;

/** How it ended: litres, what a litre of them truly cost, and where the difference comes from. */
export function FinishedBatch({ batch, known }: { readonly batch: BatchShown; readonly known: boolean }) {
  const { end } = batch;
  const { bare, money, small } = useFormatters();
  if (!end && !known) return <p className="fs-5">{texts.finishedResultCalculatedWhen}</p>;
  if (!end) return <p className="fs-5">{texts.finishedOneStepsCould}</p>;
  const { got, should, thin, perL, shouldPerL, variance } = end;
  return (
    <section aria-label={texts.howEnded}>
      <p className="batch-left m-0">{texts.l(bare(got, 2))}</p>
      <p className="fs-5 mb-1">
        {Math.abs(got - should) < NOISE_L
          ? texts.planned
          : texts.lThanPlanned(bare(Math.abs(got - should), 2), got, should)}
        {thin > NOISE_L && (
          <>
            ; <b className="hot">{texts.thinLWater(bare(thin, 2))}</b>
          </>
        )}
      </p>
      {perL !== null && variance && (
        <>
          <p className="batch-dip m-0">
            <span className="fig">{money(perL)}</span> {texts.perLitre}
            {thin > NOISE_L && texts.fullStrength}
            {texts.plannedMoney(money(shouldPerL))}
          </p>
          <dl className="facts">
            {(
              [
                ['prices', variance.price],
                [texts.amountsUsed, variance.mix],
                ['yield', variance.yield],
                [texts.totalDifference, variance.difference],
              ] as const
            ).flatMap(([what, amount]) => [
              <dt key={`${what} dt`}>{what}</dt>,
              <dd key={what} className="fig">
                {Math.abs(amount) < NOISE_MONEY ? texts.planned : `${amount > 0 ? '+' : ''}${small(amount)}`}
              </dd>,
            ])}
          </dl>
        </>
      )}
      <Made batch={batch} end={end} />
      {perL === null && <p className="quiet">{texts.costNotKnownPrice}</p>}
    </section>
  );
}

/** Lines that are named as having made a difference. */
const MOST_NAMED = 3;

/** Which lines made the difference, and how long hob and hands really took. */
function Made({ batch: { lines, beside }, end }: { readonly batch: BatchShown; readonly end: BatchResult }) {
  const { bare } = useFormatters();
  const named = [...end.byLine].sort((a, b) => Math.abs(b.l) - Math.abs(a.l)).slice(0, MOST_NAMED);
  const signed = (l: number): string => `${l > 0 ? '+' : '−'}${bare(Math.abs(l), 2)} l`;
  return (
    <>
      {named.some((n) => Math.abs(n.l) > 0.05) && (
        <>
          <p className="m-0">{texts.whereDifferenceLitresComes}</p>
          <ul>
            {named.map(({ line, l }) => (
              <li key={line ?? 'end'}>
                <b className="fig">{signed(l)}</b>{' '}
                {line === undefined ? texts.betweenLastReadingLitres : lines[line]?.words}
              </li>
            ))}
          </ul>
        </>
      )}
      <Took end={end} beside={beside} />
    </>
  );
}

/** How long hob and hands really took, and what that cost: beside what went in. */
function Took({ end, beside }: { readonly end: BatchResult; readonly beside: BatchShown['beside'] }) {
  const { hours, money } = useFormatters();
  const both = (of: readonly [was: number, should: number] | null | undefined): string =>
    of ? texts.moneyAndPlanned(money(of[0]), money(of[1])) : '';
  return (
    <p className="quiet m-0">
      {texts.hobPlannedEnergyKwh(
        hours(end.hobHours[0]),
        hours(end.hobHours[1]),
        end.kWh[0].toFixed(1),
        both(beside?.energy),
        hours(end.handsHours[0]),
        hours(end.handsHours[1]),
        both(beside?.hands),
      )}
    </p>
  );
}
