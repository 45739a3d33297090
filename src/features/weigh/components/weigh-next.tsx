'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import type { QuestionPage } from '../queries';
import { measureNext } from '../certainty';
import { FROM_WORDS, uncertainWords, whereWeighed } from '../uncertain-words';
import type { SimulatedValues } from './use-simulations';
import * as texts from './texts';

/** What to weigh to be surer: the figures that share the doubt, and what one more test of each would take off it. */
export function MeasureNextTable({
  page,
  drawn,
  of: [a, b],
}: {
  readonly page: QuestionPage;
  readonly drawn: SimulatedValues;
  readonly of: readonly [number, number];
}) {
  const { money, bare } = useFormatters();
  const resting = !drawn.running && drawn.done > 0;
  const next = useMemo(
    () => (resting && page.setup ? measureNext(page.setup, drawn.values, a, b) : []),
    [resting, page.setup, drawn.values, a, b],
  );
  if (!resting) return null;
  return (
    <section aria-label={texts.whatMeasureNext}>
      <h2>{texts.whatMeasureNext}</h2>
      {next.length === 0 ? (
        <p className="quiet">{texts.noneUncertainFiguresMakes}</p>
      ) : (
        <SheetTable className="list-table">
          <thead>
            <tr>
              <th scope="col">{texts.uncertainFigures}</th>
              <th scope="col">{texts.doubt}</th>
              <th scope="col">{texts.oneMoreTestNarrows}</th>
            </tr>
          </thead>
          <tbody>
            {next.map(({ of: u, share, takesOff }) => {
              const where = whereWeighed(u, page.asks.recipe, page.setup?.apart.recipes ?? []);
              return (
                <tr key={`${u.kind} ${u.id}`}>
                  <td>
                    {uncertainWords(u)}
                    {where && (
                      <>
                        {' · '}
                        <Link prefetch={false} className="way-on" href={where.href}>
                          {where.words}
                        </Link>
                      </>
                    )}
                    <div className="quiet small-line">
                      {bare(u.low)} – {bare(u.high)} {u.unit}, {FROM_WORDS[u.from]}
                    </div>
                  </td>
                  <td className="fig">{bare(share * 100, 0)} %</td>
                  <td className="fig">{texts.perLitreMoney(money(takesOff))}</td>
                </tr>
              );
            })}
          </tbody>
        </SheetTable>
      )}
    </section>
  );
}
