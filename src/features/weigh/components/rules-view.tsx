'use client';

import type { ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import type { RulesPage } from '../queries';

/** Rules of thumb out of the kitchen’s own pots, tests and prices: for the wall. */
export function RulesView({ page }: { readonly page: RulesPage }) {
  const { day } = useFormatters();
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div className="me-auto">
          <h1>Rules of thumb</h1>
          <p className="lead-line">
            Out of this kitchen’s own pots, tests and prices of {day(page.day)}; money is of the ingredients
            unless energy is named.
          </p>
        </div>
        <Button className="no-print" variant="outline-primary" onClick={() => window.print()}>
          Print for the wall
        </Button>
      </Stack>
      <div className="two-halves">
        <Cm page={page} />
        <div>
          <Vessels page={page} />
          <Press page={page} />
          <Yields page={page} />
        </div>
      </div>
    </>
  );
}

const Rule = ({
  title,
  heads,
  rows,
}: {
  readonly title: string;
  readonly heads: readonly string[];
  readonly rows: readonly (readonly [key: string, first: ReactNode, ...figures: string[]])[];
}) => (
  <section aria-label={title}>
    <h2>{title}</h2>
    {rows.length === 0 ? (
      <p className="quiet">Nothing can be said yet: a price, a pot or a test is missing.</p>
    ) : (
      <SheetTable className="list-table">
        <thead>
          <tr>
            {heads.map((h) => (
              <th key={h} scope="col">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([key, first, ...figures]) => (
            <tr key={key}>
              <td>{first}</td>
              {figures.map((f, i) => (
                <td key={i} className="fig">
                  {f}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </SheetTable>
    )}
  </section>
);

interface Of {
  readonly page: RulesPage;
}

function Cm({ page }: Of) {
  const { money, litres } = useFormatters();
  return (
    <Rule
      title="What a centimetre of dip is"
      heads={['Pot', 'litres', 'money in it']}
      rows={page.rules.cm.map((r) => [
        `${r.recipe} ${r.stage}`,
        <>
          {r.recipe}, {r.stage}
          <div className="quiet small-line">{r.vessel}</div>
        </>,
        litres(r.litresPerCm * 1000),
        money(r.moneyPerCm),
      ])}
    />
  );
}

function Vessels({ page }: Of) {
  const { money, litres, bare } = useFormatters();
  return (
    <Rule
      title="To half at a hard boil, and an hour with the lid ajar"
      heads={['Filled as far as it may be', 'minutes to half', 'ajar: goes', 'kWh', 'energy']}
      rows={page.rules.vessels.map((r) => [
        r.vessel,
        <>
          {r.vessel}, {litres(r.fullL * 1000)}
          <div className="quiet small-line">{r.hob}</div>
        </>,
        bare(r.toHalfMin, 0),
        litres(r.ajarL * 1000),
        bare(r.ajarKwh, 1),
        money(r.ajarMoney),
      ])}
    />
  );
}

function Press({ page }: Of) {
  const { money, litres } = useFormatters();
  return (
    <Rule
      title="What pressing gives"
      heads={['Pot', 'more litres', 'off a litre']}
      rows={page.rules.press.map((r) => [r.recipe, r.recipe, litres(r.litres * 1000), money(r.perL)])}
    />
  );
}

function Yields({ page }: Of) {
  const { money, bare } = useFormatters();
  return (
    <Rule
      title="What one point of yield is worth"
      heads={['Thing', 'usable', 'a usable kilo', 'one point more']}
      rows={page.rules.yields.map((r) => [
        r.ingredient,
        r.ingredient,
        `${bare(r.usablePct, 0)} %`,
        money(r.perKg),
        `−${money(r.aPoint)}`,
      ])}
    />
  );
}
