'use client';

import { useFormatters } from '@/ui/formatters-context';
import type { BatchResult } from '@/core/batch';
import type { BatchShown } from '../../queries';

/** A difference smaller than this is no news: no jug is read that closely, l. */
const NOISE_L = 0.015;

/** Money that no till counts. */
const NOISE_MONEY = 0.005;

/** How it ended: litres, what a litre of them truly cost, and where the difference comes from. */
export function FinishedBatch({ batch, known }: { readonly batch: BatchShown; readonly known: boolean }) {
  const { end } = batch;
  const { bare, money, small } = useFormatters();
  if (!end && !known)
    return <p className="fs-5">Finished. The result is calculated when the server answers.</p>;
  if (!end)
    return <p className="fs-5">Finished. One of its steps could not be calculated, so there is no result.</p>;
  const { got, should, thin, perL, shouldPerL, variance } = end;
  return (
    <section aria-label="How it ended">
      <p className="batch-left m-0">{bare(got, 2)} l</p>
      <p className="fs-5 mb-1">
        {Math.abs(got - should) < NOISE_L
          ? 'as planned'
          : `${bare(Math.abs(got - should), 2)} l ${got < should ? 'less' : 'more'} than planned`}
        {thin > NOISE_L && (
          <>
            ; <b className="hot">thin, by {bare(thin, 2)} l of water</b>
          </>
        )}
      </p>
      {perL !== null && variance && (
        <>
          <p className="batch-dip m-0">
            <span className="fig">{money(perL)}</span> per litre{thin > NOISE_L && ' at full strength'};
            planned {money(shouldPerL)}
          </p>
          <dl className="facts">
            {(
              [
                ['prices', variance.price],
                ['amounts used', variance.mix],
                ['yield', variance.yield],
                ['total difference', variance.difference],
              ] as const
            ).flatMap(([what, amount]) => [
              <dt key={`${what} dt`}>{what}</dt>,
              <dd key={what} className="fig">
                {Math.abs(amount) < NOISE_MONEY ? 'as planned' : `${amount > 0 ? '+' : ''}${small(amount)}`}
              </dd>,
            ])}
          </dl>
        </>
      )}
      <Made batch={batch} end={end} />
      {perL === null && <p className="quiet">Cost not known: a price is missing.</p>}
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
          <p className="m-0">Where the difference in litres comes from:</p>
          <ul>
            {named.map(({ line, l }) => (
              <li key={line ?? 'end'}>
                <b className="fig">{signed(l)}</b>{' '}
                {line === undefined
                  ? 'between the last reading and the litres at the end'
                  : lines[line]?.words}
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
    of ? `, ${money(of[0])} (planned ${money(of[1])})` : '';
  return (
    <p className="quiet m-0">
      On the hob {hours(end.hobHours[0])}, planned {hours(end.hobHours[1])}: energy {end.kWh[0].toFixed(1)}{' '}
      kWh{both(beside?.energy)}. Labour {hours(end.handsHours[0])}, planned {hours(end.handsHours[1])}
      {both(beside?.hands)}. Neither is in the cost of a litre above.
    </p>
  );
}
