'use client';

import Stack from 'react-bootstrap/Stack';
import type { Figure } from '@/core/bench';
import { useFormatters } from '@/ui/formatters-context';
import type { TestPage } from '../queries';
import { ThreeSchools } from './three-schools';
import type { Weighed } from './use-weighed';

const FIGURE_WORDS: Partial<Record<Figure, string>> = {
  'browned off': 'of the raw weight went up as vapour',
  'fat run off': 'of the raw weight ran off as fat',
  'sweated off': 'of the raw weight was sweated off',
  'wilted off': 'of the raw weight was given up in wilting',
  'clear fat': 'of the butter is clear fat',
  retention: 'ml kept back by a raw kilo, left to drain',
  'retention pressed': 'ml kept back by a raw kilo, pressed',
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
            <span className="fig-label">usable</span>
          </div>
          <div>
            <span className="fig-large hot">{bare(usablePerKg)}</span>
            <span className="fig-label">{currencySign} a usable kilo</span>
          </div>
        </Stack>
        <p className="quiet small-line">
          {page.test.state === 'kept' ? 'In use now' : 'In use until now'}: {page.guess ? '≈ ' : ''}
          {bare(page.usable * 100, 1)} %, {page.guess ? 'an estimate' : 'measured'}.{' '}
          {perKg !== undefined && `Bought at ${bare(perKg)} per kilo.`}
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
        ? 'What it comes to is shown as soon as the weights add up.'
        : 'Weigh in, then weigh each part as it comes off: what a usable kilo costs stands here at once.'}
    </p>
  );
}
