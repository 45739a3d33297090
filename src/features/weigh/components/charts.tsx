'use client';

import type { ApexOptions } from 'apexcharts';
import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { valueAt } from '@/core/compare';
import { useFormatters } from '@/ui/formatters-context';
import { AXIS_LABELS, nonceHere, stillChart } from '@/ui/drawings/chart-look';
import type { FlipShown, QuestionPage } from '../queries';
import type { Certainty } from '../certainty';
import * as texts from './texts';

const Apex = dynamic(() => import('react-apexcharts'), { ssr: false });

const ROW_PX = 44;

/** What a litre of each way lies between four times in five, with the middle as a stroke. */
export function BandsChart({ page, sure }: { readonly page: QuestionPage; readonly sure: Certainty }) {
  const { money } = useFormatters();
  const rows = useMemo(
    () =>
      page.ways.flatMap((way, i) => {
        const band = sure.bands[i]?.perL;
        return band ? [{ name: way.name, ...band }] : [];
      }),
    [page.ways, sure],
  );
  const options = useMemo(
    (): ApexOptions => ({
      chart: stillChart('rangeBar', nonceHere()),
      plotOptions: { bar: { horizontal: true, barHeight: '46%', rangeBarGroupRows: true } },
      // Dark up to the middle, light beyond it: told apart in grey as well.
      colors: ['#8a6a2c', '#d9c79f'],
      stroke: { width: 1, colors: ['#20272c'] },
      grid: { borderColor: 'var(--line)' },
      xaxis: { labels: { ...AXIS_LABELS, formatter: (v) => money(Number(v)) } },
      yaxis: { labels: { maxWidth: 220, style: { fontSize: '13px', colors: 'var(--iron)' } } },
      tooltip: { enabled: false },
      legend: { show: false },
    }),
    [money],
  );
  return (
    <div
      role="img"
      aria-label={`A litre, 8 in 10: ${rows.map((r) => `${r.name} ${money(r.low)} to ${money(r.high)}, in the middle ${money(r.middle)}`).join('; ')}`}
    >
      <Apex
        type="rangeBar"
        options={options}
        height={rows.length * ROW_PX + 60}
        series={[
          { name: texts.upMiddle, data: rows.map((r) => ({ x: r.name, y: [r.low, r.middle] })) },
          { name: texts.above, data: rows.map((r) => ({ x: r.name, y: [r.middle, r.high] })) },
        ]}
      />
    </div>
  );
}

/** Times the present price up to which the lines are drawn. */
const reach = ({ times }: FlipShown): number => Math.max(2, Math.min(MOST_TIMES, (times ?? 1) * 1.3));
const POINTS = 12;
const MOST_TIMES = 60;

/** What a litre of two ways costs as one price moves: two straight lines, and the price at which they cross. */
export function FlipChart({
  flip,
  names,
}: {
  readonly flip: FlipShown;
  readonly names: readonly [string, string];
}) {
  const { money } = useFormatters();
  const series = useMemo(
    () =>
      names.map((name, n) => ({
        name,
        data: Array.from({ length: POINTS + 1 }, (_, k) => {
          const times = (k / POINTS) * reach(flip);
          return { x: times * flip.perKg, y: valueAt(flip.lines[n as 0 | 1], times) };
        }),
      })),
    [flip, names],
  );
  const options = useMemo((): ApexOptions => {
    const line = (x: number, text: string) => ({
      x,
      borderColor: '#20272c',
      label: { text, orientation: 'horizontal', borderColor: '#20272c', style: { fontSize: '13px' } },
    });
    return {
      chart: stillChart('line', nonceHere()),
      colors: ['#a84a12', '#20272c'],
      stroke: { width: 3, dashArray: [0, 7], curve: 'straight' },
      grid: { borderColor: 'var(--line)' },
      xaxis: {
        type: 'numeric',
        tickAmount: 5,
        labels: { ...AXIS_LABELS, formatter: (v) => money(Number(v)) },
        tooltip: { enabled: false },
      },
      yaxis: { min: 0, labels: { ...AXIS_LABELS, formatter: (v) => money(v) } },
      legend: { position: 'top', horizontalAlign: 'left', fontSize: '14px' },
      tooltip: { x: { formatter: (v) => texts.perKilo(money(v)) }, y: { formatter: (v) => money(v) } },
      annotations: {
        xaxis: [
          line(flip.perKg, 'now'),
          ...(flip.times === undefined ? [] : [line(flip.times * flip.perKg, texts.flips)]),
        ],
      },
    };
  }, [flip, money]);
  return (
    <div role="img" aria-label={`A litre of ${names.join(' and ')} as ${flip.ingredient.name} gets dearer`}>
      <Apex type="line" options={options} height={260} series={series} />
    </div>
  );
}
