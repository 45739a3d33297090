'use client';

import Link from 'next/link';
import { useId } from 'react';
import { readAmount, writeAmount, type Manner } from '@/core/quantity';
import { useFigures } from '@/ui/figures';
import { TypedField } from '@/ui/typed-field';
import { WhyFigure } from '@/ui/why-panel';
import type { PlateData } from '../queries';
import { Verdict } from './plate-list';
import { usePlate } from './use-plate';

/** What arithmetic in a portion comes to; nothing for a plain amount. */
function workedOut(text: string, manner: Manner): string | undefined {
  const read = /[-+*/×(]/.test(text) ? readAmount(text, manner) : undefined;
  return read?.ok ? `= ${writeAmount(read.value, manner.mark, manner.measures)}` : undefined;
}

/** A plate: what stands on it, in which portions, and what that costs. */
export function PlatePage({ data }: { data: PlateData }) {
  const plate = usePlate(data);
  const { money, small, bare, kilos } = useFigures();
  const ids = useId();
  const most = Math.max(...plate.lines.map((l) => l.cost ?? 0), 0.01);
  return (
    <>
      <h1>{data.plate.name}</h1>
      <p className="lead-line">Type another portion or price; Enter keeps it.</p>
      <div className="plate-page">
        <table className="sheet-table list-table plate-lines">
          <thead>
            <tr>
              <th scope="col">On the plate</th>
              <th scope="col">portion</th>
              <th scope="col">weight</th>
              <th scope="col" className="left">
                share
              </th>
              <th scope="col">costs</th>
            </tr>
          </thead>
          <tbody>
            {data.lines.map((line, i) => {
              const live = plate.lines[i];
              return (
                <tr key={i}>
                  <td>
                    <Link prefetch={false} href={line.href}>
                      {line.name}
                    </Link>
                    {line.yield && (
                      <div className="quiet small-line">
                        <span className={line.yield.guess ? 'estimate' : ''}>
                          {bare(line.yield.pct, 1)} %
                        </span>{' '}
                        usable, {line.yield.guess ? 'an estimate' : (line.yield.basis ?? 'measured')}
                      </div>
                    )}
                    {live?.trouble && (
                      <div id={`${ids}-${i}`} role="alert" className="trouble">
                        {live.trouble}
                      </div>
                    )}
                  </td>
                  <td>
                    <TypedField
                      label={`${line.name}, portion`}
                      value={line.amount}
                      understood={(t) => workedOut(t, plate.manner)}
                      trouble={live?.trouble}
                      describedBy={`${ids}-${i}`}
                      disabled={!data.mayEdit}
                      onTyped={(t) => plate.typeAmount(i, t)}
                      onDone={(t) => plate.keepAmount(i, t)}
                    />
                  </td>
                  <td className="fig">{live?.g === undefined ? '–' : kilos(live.g)}</td>
                  <td className="bar-cell">
                    <i style={{ width: `${((live?.cost ?? 0) / most) * 100}%` }} />
                  </td>
                  <td className="fig strong">
                    {live?.cost === null || live === undefined ? (
                      <span className="incomplete">incomplete</span>
                    ) : (
                      <WhyFigure
                        of={line.key}
                        label={`${line.name} on the plate`}
                        className={line.yield?.guess ? 'estimate' : ''}
                      >
                        {small(live.cost)}
                      </WhyFigure>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <aside className="plate-answer" aria-label="The plate’s cost">
          <span className="fig-large hot">
            {plate.cost === null ? (
              <span className="incomplete">incomplete</span>
            ) : (
              <WhyFigure of={`plate:${data.plate.id}`} label={`${data.plate.name}, a plate`} className="hot">
                {money(plate.cost)}
              </WhyFigure>
            )}
          </span>
          <span className="fig-label">a plate, ingredients</span>
          <dl>
            <dt>On the menu, tax {bare(data.plate.taxPct, 1)} % in it</dt>
            <dd>
              <TypedField
                label="Price on the menu"
                value={data.plate.menuPrice ?? ''}
                trouble={plate.priceTrouble}
                describedBy={`${ids}-price`}
                disabled={!data.mayEdit}
                onTyped={plate.typePrice}
                onDone={plate.keepPrice}
              />
            </dd>
            <dt>Net of tax</dt>
            <dd className="fig">{money(plate.net)}</dd>
            <dt>Food cost</dt>
            <dd className="fig strong">{plate.pct === null ? '–' : `${bare(plate.pct, 1)} %`}</dd>
            <dt>Target</dt>
            <dd>
              <Verdict pct={plate.pct} target={data.plate.targetFoodCostPct} />
            </dd>
            <dt>Left after ingredients</dt>
            <dd className="fig">
              {plate.net === null || plate.cost === null ? '–' : money(plate.net - plate.cost)}
            </dd>
          </dl>
          {plate.priceTrouble && (
            <p id={`${ids}-price`} role="alert" className="trouble">
              {plate.priceTrouble}
            </p>
          )}
          <p role="status" className="save-state">
            {plate.answer?.ok && <span className="kept">✓ kept</span>}
          </p>
          {plate.answer && !plate.answer.ok && (
            <p role="alert" className="trouble">
              {plate.answer.message}{' '}
              {plate.answer.stale && (
                <button type="button" className="plain-button" onClick={() => window.location.reload()}>
                  Take theirs
                </button>
              )}
            </p>
          )}
        </aside>
      </div>
    </>
  );
}
