'use client';

import Link from 'next/link';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { readPrice, TRIM_SCHOOLS, type TrimSchool } from '@/core/larder';
import { useFigures } from '@/ui/figures';
import { useKept } from '@/ui/use-kept';
import { SCHOOL_WORDS } from '../../words';
import { keepTrimming } from '../actions';
import type { SchoolsPage } from '../queries';
import { pricedIn, useSchools, type PlateInSchools } from './use-schools';

const PLATES = 3;

/** Who pays for what comes off: the three schools on three real plates, and the kitchen's choice among them. */
export function SchoolsView({ page }: { readonly page: SchoolsPage }) {
  const { bare, money, currencySign } = useFigures();
  const [school, setSchool] = useState<TrimSchool>(page.school);
  const [setValue, setSetValue] = useState(page.setValue);
  const [wage, setWage] = useState(page.wage);
  const [electricity, setElectricity] = useState(page.electricity);
  const [gas, setGas] = useState(page.gas);
  const [learning, setLearning] = useState(page.learning);
  const [scale, setScale] = useState(page.scale);
  const [keep, state] = useKept();
  const read = readPrice(setValue, page.mark);
  const value = read.ok ? read.value.toNumber() : Number(page.setValue);
  const plates = useSchools(page, value);
  const [chosen, setChosen] = useState<readonly string[]>(() =>
    [...plates]
      .sort((a, b) => b.apart - a.apart)
      .slice(0, PLATES)
      .map((p) => p.id),
  );
  const shown = chosen.flatMap((id) => plates.find((p) => p.id === id) ?? []);
  const form = { school, setValue, wage, electricity, gas, learning, scale };
  // What was kept as it was typed: a price may be worked out, and then reads otherwise on the page.
  const [asKept, setAsKept] = useState(() => JSON.stringify(form));
  const changed = JSON.stringify(form) !== asKept;
  return (
    <>
      <div className="price-book-head">
        <div>
          <h1>Who pays for what comes off</h1>
          <p className="lead-line">
            The same kitchen, the same prices, three ways to share them. Choose one and stay with it: trim
            that is free on one sheet and charged on another makes both wrong.
          </p>
        </div>
      </div>
      <table className="sheet-table schools-table">
        <thead>
          <tr>
            <th scope="col">A plate costs, in {currencySign}</th>
            {TRIM_SCHOOLS.map((s) => (
              <th key={s} scope="col" className={s === school ? 'here' : ''}>
                <label>
                  <input
                    type="radio"
                    name="school"
                    className="radio-large"
                    checked={s === school}
                    disabled={!page.mayEdit}
                    onChange={() => setSchool(s)}
                  />
                  <span>
                    {SCHOOL_WORDS[s].name}
                    <span className="small-line">{SCHOOL_WORDS[s].says}</span>
                  </span>
                </label>
              </th>
            ))}
            <th scope="col">apart by</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((p, i) => (
            <PlateRow
              key={p.id}
              plate={p}
              school={school}
              plates={plates}
              choose={(id) => setChosen((all) => all.map((x, j) => (j === i ? id : x)))}
            />
          ))}
        </tbody>
      </table>
      {shown.length === 0 && <p className="quiet">There are no plates yet to show it on.</p>}
      <div className="two-columns">
        <section>
          <h2>A usable kilo, and a kilo of what comes off</h2>
          <table className="sheet-table school-rows">
            <thead>
              <tr>
                <th scope="col">Ingredient</th>
                <th scope="col">bought at</th>
                {TRIM_SCHOOLS.map((s) => (
                  <th key={s} scope="col" className={s === school ? 'here' : ''}>
                    {SCHOOL_WORDS[s].name.toLowerCase()}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {page.rows
                .filter((r) => r.taken)
                .map((row) => (
                  <tr key={row.id}>
                    <th scope="row">
                      <Link prefetch={false} href={`/trim/${row.id}`}>
                        {row.name}
                      </Link>
                      {(row.own ?? row.ownValue) !== undefined && (
                        <span className="quiet small-line">
                          {' '}
                          stays with its own
                          {row.own ? `: ${SCHOOL_WORDS[row.own].name.toLowerCase()}` : ' set value'}
                        </span>
                      )}
                    </th>
                    <td className="fig">{bare(row.perKg)}</td>
                    {TRIM_SCHOOLS.map((s) => {
                      const priced = pricedIn(row, s, value);
                      return (
                        <td key={s} className={`fig${s === school ? ' here' : ''}`}>
                          {priced.trouble ? (
                            <span className="incomplete" title={priced.trouble.message}>
                              cannot be
                            </span>
                          ) : (
                            <>
                              {bare(priced.usablePerKg)}
                              <span className="quiet small-line">
                                {' '}
                                / {bare(row.stockTrim > 0 ? priced.trimPerKg : priced.cameOff[0]?.perKg)}
                              </span>
                            </>
                          )}
                        </td>
                      );
                    })}
                  </tr>
                ))}
            </tbody>
          </table>
          <p className="quiet small-line">
            {page.rows.filter((r) => !r.taken).length} more have trim that no pot takes: all schools cost them
            the same.
          </p>
        </section>
        <aside className="ingredient-side" aria-label="How this kitchen trims">
          <form
            className="trimming-form"
            onSubmit={(event) => {
              event.preventDefault();
              void keep(() => keepTrimming({ seen: page.version, ...form })).then(
                (ok) => ok && setAsKept(JSON.stringify(form)),
              );
            }}
          >
            <h2>This kitchen</h2>
            <label>
              A kilo of trim at its set value
              <input
                className="typed"
                aria-label="Set value of a kilo of trim"
                aria-invalid={read.ok ? undefined : true}
                disabled={!page.mayEdit}
                value={setValue}
                onChange={(event) => setSetValue(event.target.value)}
              />
            </label>
            {!read.ok && (
              <p role="alert" className="trouble">
                {read.trouble.message}
              </p>
            )}
            <label>
              An hour of hands
              <input
                className="typed"
                aria-label="An hour of hands costs"
                disabled={!page.mayEdit}
                value={wage}
                onChange={(event) => setWage(event.target.value)}
              />
            </label>
            <label>
              A kilowatt hour of electricity
              <input
                className="typed"
                aria-label="A kilowatt hour of electricity costs"
                disabled={!page.mayEdit}
                value={electricity}
                onChange={(event) => setElectricity(event.target.value)}
              />
            </label>
            <label>
              … and of gas
              <input
                className="typed"
                aria-label="A kilowatt hour of gas costs"
                disabled={!page.mayEdit}
                value={gas}
                onChange={(event) => setGas(event.target.value)}
              />
            </label>
            <label>
              What tests have taught
              <select
                className="form-select"
                aria-label="What tests have taught"
                value={learning}
                disabled={!page.mayEdit}
                onChange={(event) => setLearning(event.target.value as typeof learning)}
              >
                <option value="ask">waits until a manager accepts it</option>
                <option value="at once">counts as soon as a test is finished</option>
              </select>
            </label>
            <label>
              The bench scale answers at
              <input
                className="typed typed-text"
                aria-label="The bench scale answers at"
                placeholder="no scale"
                disabled={!page.mayEdit}
                value={scale}
                onChange={(event) => setScale(event.target.value)}
              />
            </label>
            {page.mayEdit && (
              <Button type="submit" disabled={!changed || state.busy || !read.ok}>
                {school === page.school
                  ? 'Keep it'
                  : `Cost ${SCHOOL_WORDS[school].name.toLowerCase()} from now on`}
              </Button>
            )}
            {state.kept && !changed && (
              <span role="status" className="kept">
                ✓ kept
              </span>
            )}
            {state.message && (
              <p role="alert" className="trouble">
                {state.message}
              </p>
            )}
            <p className="quiet small-line">
              {money(value)} a kilo counts where an ingredient has no set value of its own. Hands judge a
              second pass; hands and energy stand beside the ingredients of every litre.
            </p>
          </form>
        </aside>
      </div>
    </>
  );
}

function PlateRow({
  plate: p,
  school,
  plates,
  choose,
}: {
  readonly plate: PlateInSchools;
  readonly school: TrimSchool;
  readonly plates: readonly PlateInSchools[];
  readonly choose: (id: string) => void;
}) {
  const { bare } = useFigures();
  return (
    <tr>
      <th scope="row">
        <select
          className="form-select"
          aria-label={`Plate ${p.name}`}
          value={p.id}
          onChange={(event) => choose(event.target.value)}
        >
          {plates.map((x) => (
            <option key={x.id} value={x.id}>
              {x.name}
            </option>
          ))}
        </select>
      </th>
      {TRIM_SCHOOLS.map((s) => {
        const cost = p.cost[s];
        const pct = cost === null || !p.netPrice ? undefined : (cost / p.netPrice) * 100;
        const over = pct !== undefined && p.target !== undefined && pct > p.target;
        return (
          <td key={s} className={`fig${s === school ? ' here' : ''}`}>
            <span className="school-cost">
              {cost === null ? <span className="incomplete">incomplete</span> : bare(cost)}
            </span>
            {pct !== undefined && (
              <span className={`small-line${over ? ' dearer' : ' quiet'}`}>
                {bare(pct, 1)} % {over ? `over ${bare(p.target, 0)}` : 'food cost'}
              </span>
            )}
          </td>
        );
      })}
      <td className="fig strong">{p.apart < 0.0005 ? '–' : bare(p.apart, p.apart < 0.1 ? 3 : 2)}</td>
    </tr>
  );
}
