'use client';

import type { ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import type { RulesPage } from '../queries';
import * as texts from './texts';

/** Rules of thumb out of the kitchen’s own pots, tests and prices: for the wall. */
export function RulesView({ page }: { readonly page: RulesPage }) {
  const { day } = useFormatters();
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div className="me-auto">
          <h1>{texts.rulesThumb}</h1>
          <p className="lead-line">{texts.fromKitchensOwnPots(day(page.day))}</p>
        </div>
        <Button className="no-print" variant="outline-primary" onClick={() => window.print()}>
          {texts.printWall}
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
      <p className="quiet">{texts.notKnownYetPrice}</p>
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
      title={texts.whatOneCentimetreDip}
      heads={['Pot', 'litres', texts.money]}
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
      title={texts.halfHardBoilHour}
      heads={[texts.filledMaximum, texts.minutesHalf, texts.ajarGoes, 'kWh', 'energy']}
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
      title={texts.whatPressingGives}
      heads={['Pot', texts.moreLitres, texts.offLitre]}
      rows={page.rules.press.map((r) => [r.recipe, r.recipe, litres(r.litres * 1000), money(r.perL)])}
    />
  );
}

function Yields({ page }: Of) {
  const { money, bare } = useFormatters();
  return (
    <Rule
      title={texts.whatOnePointYield}
      heads={['Thing', 'usable', texts.usableKilo, texts.onePointMore]}
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
