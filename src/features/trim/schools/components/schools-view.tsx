'use client';

import { TRIM_SCHOOLS, type TrimSchool } from '@/core/larder';
import { useFigures } from '@/ui/figures';
import { SCHOOL_WORDS } from '../../words';
import type { PlateName, SchoolsPage } from '../queries';
import { KiloTable } from './kilo-table';
import { TrimmingForm } from './trimming-form';
import { usePlates, useSchools, type PlateInSchools } from './use-schools';
import { useTrimming } from './use-trimming';
import { SheetTable } from '@/ui/sheet-table';

/** Who pays for what comes off: the three schools on three real plates, and the kitchen's choice among them. */
export function SchoolsView({ page }: { readonly page: SchoolsPage }) {
  const form = useTrimming(page);
  const { shown, asking, choose } = usePlates(page);
  const plates = useSchools(shown, form.value);
  const { school } = form.typed;
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
      <SheetTable className="schools-table">
        <SchoolChoice school={school} mayEdit={page.mayEdit} choose={(s) => form.type({ school: s })} />
        <tbody aria-busy={asking}>
          {plates.map((p, i) => (
            <PlateRow
              key={i}
              plate={p}
              school={school}
              names={page.plates}
              choose={(id) => choose(plates.map((x, j) => (j === i ? id : x.id)))}
            />
          ))}
        </tbody>
      </SheetTable>
      {plates.length === 0 && <p className="quiet">There are no plates yet to show it on.</p>}
      <div className="two-columns">
        <KiloTable page={page} school={school} value={form.value} />
        <aside className="ingredient-side" aria-label="How this kitchen trims">
          <TrimmingForm page={page} form={form} />
        </aside>
      </div>
    </>
  );
}

function SchoolChoice({
  school,
  mayEdit,
  choose,
}: {
  readonly school: TrimSchool;
  readonly mayEdit: boolean;
  readonly choose: (school: TrimSchool) => void;
}) {
  const { currencySign } = useFigures();
  return (
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
                disabled={!mayEdit}
                onChange={() => choose(s)}
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
  );
}

function PlateRow({
  plate: p,
  school,
  names,
  choose,
}: {
  readonly plate: PlateInSchools;
  readonly school: TrimSchool;
  readonly names: readonly PlateName[];
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
          {names.map((x) => (
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
