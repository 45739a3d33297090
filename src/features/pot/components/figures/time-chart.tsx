'use client';

import type { ApexOptions } from 'apexcharts';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { nonceHere } from '@/ui/drawings/chart-look';
import { useFormatters, type Formatters } from '@/ui/formatters-context';
import type { LivePot } from './use-pot';
import * as labels from './texts';

/** The chart that answers to a pointer: fetched when somebody wants to see it. */
const Apex = dynamic(() => import('react-apexcharts'), { ssr: false });

interface Point {
  readonly x: number;
  readonly litres: number;
  readonly perL: number | null;
  readonly step: string;
}

/** The pot after each line that is done: h since the start, litres, what a litre costs. */
function pointsOf(pot: LivePot, texts: readonly string[]): Point[] {
  return pot.run.rows.flatMap((row, i) =>
    pot.done[i] && row.ml > 0.5
      ? [
          {
            x: row.elapsedHours,
            litres: row.ml / 1000,
            perL: pot.money[i]?.perL ?? null,
            step: `${row.step + 1} ${texts[row.step] ?? ''}`,
          },
        ]
      : [],
  );
}

const optionsFor = (points: readonly Point[], { bare, money, hours }: Formatters): ApexOptions => {
  const nonce = nonceHere();
  return {
    chart: {
      ...(nonce === undefined ? {} : { nonce }),
      fontFamily: 'var(--numerals)',
      animations: { enabled: false },
      toolbar: { show: false },
      zoom: { enabled: false },
    },
    colors: ['#c4703a', '#1f2a30'],
    stroke: { curve: 'straight', width: 2.5, dashArray: [0, 5] },
    markers: { size: 4, strokeWidth: 0 },
    // The number of the step, where the clock has moved since the one before.
    dataLabels: {
      enabled: true,
      enabledOnSeries: [0],
      offsetY: -6,
      background: { enabled: false },
      style: { fontSize: '12px', colors: ['var(--steel)'] },
      formatter: (_v, { dataPointIndex: i }: { readonly dataPointIndex: number }) =>
        (points[i]?.x ?? 0) - (points[i - 1]?.x ?? -1) > 0.05 ? (points[i]?.step.split(' ')[0] ?? '') : '',
    },
    grid: { borderColor: 'var(--line)' },
    xaxis: {
      type: 'numeric',
      min: 0,
      tickAmount: 6,
      title: { text: labels.hoursSinceStart, style: { fontWeight: 400, color: 'var(--steel)' } },
      labels: { formatter: (v) => bare(Number(v), 1), style: { colors: 'var(--steel)' } },
      tooltip: { enabled: false },
    },
    yaxis: [
      {
        min: 0,
        title: { text: labels.litres, style: { fontWeight: 400, color: 'var(--steel)' } },
        labels: { formatter: (v: number) => bare(v, 1), style: { colors: 'var(--steel)' } },
      },
      {
        opposite: true,
        min: 0,
        title: { text: labels.perLitre, style: { fontWeight: 400, color: 'var(--steel)' } },
        labels: { formatter: (v: number) => money(v), style: { colors: 'var(--steel)' } },
      },
    ],
    tooltip: {
      shared: true,
      intersect: false,
      x: {
        formatter: (_v: number, at?: { readonly dataPointIndex?: number }) => {
          const point = points[at?.dataPointIndex ?? -1];
          return point ? labels.after(point.step, hours(point.x)) : '';
        },
      },
    },
    legend: { position: 'top', horizontalAlign: 'left', labels: { colors: 'var(--iron)' } },
  };
};

/** Litres and what one costs along the time, the steps on them. */
export function TimeChart({ pot, texts }: { readonly pot: LivePot; readonly texts: readonly string[] }) {
  const [open, setOpen] = useState(false);
  const figures = useFormatters();
  const points = useMemo(() => pointsOf(pot, texts), [pot, texts]);
  const options = useMemo(() => (open ? optionsFor(points, figures) : undefined), [open, points, figures]);
  const series = useMemo(
    () => [
      { name: 'litres', data: points.map((p) => ({ x: p.x, y: p.litres })) },
      { name: labels.perLitreIngredients, data: points.map((p) => ({ x: p.x, y: p.perL })) },
    ],
    [points],
  );
  if (points.length < 2) return null;
  return (
    <section className="mt-3 no-print" aria-label={labels.alongTime}>
      <Button variant="link" size="sm" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? labels.hideChart : labels.litresCostAlongTime}
      </Button>
      {options && (
        <figure className="m-0" aria-label={labels.litresPotWhatLitre}>
          <Apex type="line" height={260} series={series} options={options} />
          <figcaption className="visually-hidden">
            {points
              .map((p) => `${p.step}: ${figures.hours(p.x)}, ${figures.litres(p.litres * 1000)}`)
              .join('; ')}
          </figcaption>
        </figure>
      )}
    </section>
  );
}
