'use client';

import { Panel } from '@/ui/panels/panel';
import Stack from 'react-bootstrap/Stack';
import Link from 'next/link';
import { isDrained } from '@/core/bench';
import { useFormatters } from '@/ui/formatters-context';
import { FATE_WORDS, KIND_WORDS } from '../../words';
import type { TestPage } from '../queries';
import { Worth } from './second-pass';
import { TestResult } from './test-result';
import { useWeighed } from './use-weighed';
import { WeighBar } from './weigh-bar';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

/** A finished test as it was weighed: it is not changed any more. */
export function SavedTest({ page }: { readonly page: TestPage }) {
  const { kilos, day, said } = useFormatters();
  const { test } = page;
  const typed = { ...test, purchase: test.purchase ?? null };
  const weighed = useWeighed(page, typed);
  const delivery = page.deliveries.find((d) => d.purchase === test.purchase);
  return (
    <div className="beside">
      <div>
        <Stack direction="horizontal" gap={3} className="flex-wrap mt-1">
          <h1>
            <Link prefetch={false} href={`/trim/${test.ingredient}`}>
              {page.name}
            </Link>
          </h1>
          <span className="quiet">{KIND_WORDS[test.kind]}</span>
        </Stack>
        <p className="lead-line">
          {texts.finished} {day(test.on)}
          {page.by ? texts.by(page.by) : ''}, {test.season}
          {delivery ? texts.ofWhat(said(delivery.words)) : ''}. {test.note ? `“${test.note}”` : ''}
        </p>
        {test.leftOut && <p className="warning">{texts.leftOut(test.leftOut.why)}</p>}
        <p className="fig fs-5 my-3">{texts.startWeightWithKilos(kilos(weighed.live.start.g ?? 0))}</p>
        {!isDrained(test.kind) && <WeighBar typed={typed} live={weighed.live} products={page.products} />}
        <SheetTable>
          <tbody>
            {[
              ...test.parts.map((p, i) => ({ ...p, g: weighed.live.parts[i]?.g, pass: '' })),
              ...(test.second?.parts ?? []).map((p, i) => ({
                ...p,
                g: weighed.live.secondParts[i]?.g,
                pass: `, ${test.second?.how ?? ''}`,
              })),
            ].map((p, i) => (
              <tr key={i}>
                <th scope="row">{p.name || FATE_WORDS[p.fate]}</th>
                <td className="left">
                  {FATE_WORDS[p.fate]}
                  {p.pass}
                </td>
                <td className="fig">{p.amount}</td>
              </tr>
            ))}
          </tbody>
        </SheetTable>
        {test.second && (
          <>
            <h2 className="mt-3">{texts.secondPassHow(test.second.how)}</h2>
            <Worth worth={weighed.worth} />
          </>
        )}
      </div>
      <Panel aria-label={texts.whatTestSays}>
        <TestResult page={page} weighed={weighed} />
      </Panel>
    </div>
  );
}
