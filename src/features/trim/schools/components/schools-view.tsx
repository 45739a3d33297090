'use client';

import Form from 'react-bootstrap/Form';
import { Panel } from '@/ui/panels/panel';
import Stack from 'react-bootstrap/Stack';
import { TRIM_SCHOOLS, type TrimSchool } from '@/core/larder';
import { Combo } from '@/ui/forms/combo';
import { useFormatters } from '@/ui/formatters-context';
import { useSearch } from '@/ui/tables/use-search';
import { SCHOOL_WORDS } from '../../words';
import type { PlateName, SchoolsPage } from '../queries';
import { KiloTable } from './kilo-table';
import { TrimmingForm } from './trimming-form';
import { usePlates, useSchools, type PlateInSchools } from './use-schools';
import { useTrimming } from './use-trimming';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

/** Who pays for what comes off: the three schools on three real plates, and the kitchen's choice among them. */
export function SchoolsView({ page }: { readonly page: SchoolsPage }) {
  const trimming = useTrimming(page);
  const { shown, asking, choose } = usePlates(page);
  const plates = useSchools(shown, trimming.value);
  const { school } = trimming;
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div>
          <h1>{texts.howTrimCostedHeading}</h1>
          <p className="lead-line">{texts.sameKitchenSamePrices}</p>
        </div>
      </Stack>
      <SheetTable className="schools-table">
        <SchoolChoice school={school} mayEdit={page.mayEdit} choose={trimming.choose} />
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
      {plates.length === 0 && <p className="quiet">{texts.noDishesYetShow}</p>}
      <div className="beside">
        <KiloTable page={page} school={school} value={trimming.value} />
        <Panel aria-label={texts.howKitchenTrims}>
          <TrimmingForm page={page} trimming={trimming} />
        </Panel>
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
  const { currencySign } = useFormatters();
  return (
    <thead>
      <tr>
        <th scope="col">{texts.dishCosts(currencySign)}</th>
        {TRIM_SCHOOLS.map((s) => (
          <th key={s} scope="col" className={s === school ? 'here' : ''}>
            <Form.Check
              type="radio"
              id={`school-${s}`}
              name="school"
              className="text-start text-wrap"
              checked={s === school}
              disabled={!mayEdit}
              onChange={() => choose(s)}
              label={
                <>
                  <b>{SCHOOL_WORDS[s].name}</b>
                  <span className="small-line d-block">{SCHOOL_WORDS[s].says}</span>
                </>
              }
            />
          </th>
        ))}
        <th scope="col">{texts.apart}</th>
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
  const { bare } = useFormatters();
  return (
    <tr>
      <th scope="row">
        <Combo
          label={texts.dish(p.name)}
          chosen={names.find((x) => x.id === p.id)}
          find={useSearch(names)}
          choose={(x) => x && choose(x.id)}
        />
      </th>
      {TRIM_SCHOOLS.map((s) => {
        const cost = p.cost[s];
        const pct = cost === null || !p.netPrice ? undefined : (cost / p.netPrice) * 100;
        const over = pct !== undefined && p.target !== undefined && pct > p.target;
        return (
          <td key={s} className={`fig${s === school ? ' here' : ''}`}>
            <span className="school-cost d-block fs-3 fw-bold lh-1">
              {cost === null ? <span className="incomplete">{texts.incomplete}</span> : bare(cost)}
            </span>
            {pct !== undefined && (
              <span className={`small-line${over ? ' dearer' : ' quiet'}`}>
                {bare(pct, 1)} % {over ? texts.over(bare(p.target, 0)) : texts.foodCost}
              </span>
            )}
          </td>
        );
      })}
      <td className="fig strong">{p.apart < 0.0005 ? '–' : bare(p.apart, p.apart < 0.1 ? 3 : 2)}</td>
    </tr>
  );
}
