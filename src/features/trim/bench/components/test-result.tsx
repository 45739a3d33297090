'use client';

import Stack from 'react-bootstrap/Stack';
import type { Figure } from '@/core/bench';
import { useFormatters } from '@/ui/formatters-context';
import type { TestPage } from '../queries';
import { ThreeSchools } from './three-schools';
import type { Weighed } from './use-weighed';
import * as texts from './texts';

const FIGURE_WORDS: Partial<Record<Figure, string>> = {
  'browned off': texts.rawWeightWentUp,
  'fat run off': texts.rawWeightRanOff,
  'sweated off': texts.rawWeightSweatedOff,
  'wilted off': texts.rawWeightGivenUp,
  'clear fat': texts.butterClearFat,
  retention: texts.mlKeptBackRaw,
  'retention pressed': texts.mlKeptBackRawKiloPressed,
};

/** What a test says, largest first: the usable share and its price, or what cooking did. */
export function TestResult({ page, weighed }: { readonly page: TestPage; readonly weighed: Weighed }) {
  const { bare, currencySign } = useFormatters();
  const { test, figures, usablePerKg, perKg } = weighed;
  if (test)
    return (
      <>
        <Stack direction="horizontal" gap={4} className="align-items-end mb-2">
          <div>
            <span className="fig-large">{bare(test.usable * 100, 1)} %</span>
            <span className="fig-label">{texts.usableInline}</span>
          </div>
          <div>
            <span className="fig-large hot">{bare(usablePerKg)}</span>
            <span className="fig-label">{texts.usableKilo(currencySign)}</span>
          </div>
        </Stack>
        <p className="quiet small-line">
          {page.test.state === 'kept' ? texts.useNow : texts.useUntilNow}: {page.guess ? '≈ ' : ''}
          {bare(page.usable * 100, 1)} %, {page.guess ? texts.estimate : texts.measured}.{' '}
          {perKg !== undefined && texts.boughtPerKilo(bare(perKg))}
        </p>
        {perKg !== undefined && <ThreeSchools knife={page.knife} test={test} perKg={perKg} />}
      </>
    );
  const cooked = [...figures].filter(([figure]) => FIGURE_WORDS[figure]);
  if (cooked.length > 0)
    return (
      <Stack direction="horizontal" gap={4} className="align-items-end mb-2 d-grid gap-3">
        {cooked.map(([figure, value], i) => (
          <div key={figure}>
            <span className={i === 0 ? 'fig-large' : 'fig-large fig-second'}>
              {figure.startsWith('retention') ? bare(value, 0) : `${bare(value * 100, 1)} %`}
            </span>
            <span className="fig-label">{FIGURE_WORDS[figure]}</span>
          </div>
        ))}
      </Stack>
    );
  return (
    <p className="quiet">
      {weighed.trouble && weighed.trouble.code !== 'no-weight'
        ? texts.resultAppearsSoonWeights
        : texts.weighThenWeighEach}
    </p>
  );
}
