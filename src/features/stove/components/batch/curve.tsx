'use client';

import type { ApexOptions } from 'apexcharts';
import { useMemo } from 'react';
import type { BatchFigures } from '@/core/batch';
import { useFormatters } from '@/ui/formatters-context';
import { lazyPart } from '@/ui/lazy-part';
import { AXIS_LABELS, nonceHere, stillChart } from '@/ui/drawings/chart-look';
import * as texts from './texts';

const Apex = lazyPart(() => import('react-apexcharts').then((m) => m.default));

const HEIGHT = 220;

/**
 * Readings, and what the model foretold of the line at hand, on one curve: litres by hours since the pot was put on.
 * @param now ms since then; left out where it is over long since
 */
export function Curve({
  figures,
  now,
}: {
  readonly figures: BatchFigures;
  readonly now: number | undefined;
}) {
  const { bare, hours } = useFormatters();
  const { curve, foretold, ml } = figures;
  const series = useMemo(
    () => [
      { name: 'forecast', type: 'line', data: foretold.map(([h, l]) => ({ x: h, y: l / 1000 })) },
      { name: 'measured', type: 'scatter', data: curve.map((p) => ({ x: p.h, y: p.ml / 1000 })) },
      {
        name: 'now',
        type: 'scatter',
        data: ml && now !== undefined ? [{ x: now / 3_600_000, y: ml.middle / 1000 }] : [],
      },
    ],
    [curve, foretold, ml, now],
  );
  const options = useMemo((): ApexOptions => {
    return {
      chart: stillChart('line', nonceHere()),
      colors: ['#5a656d', '#20272c', '#a84a12'],
      stroke: { width: [2, 0, 0], dashArray: [6, 0, 0] },
      markers: { size: [0, 7, 9], shape: ['circle', 'square', 'circle'], strokeWidth: 0 },
      grid: { borderColor: 'var(--line)' },
      xaxis: {
        type: 'numeric',
        labels: { ...AXIS_LABELS, formatter: (v) => hours(Number(v)) },
        tickAmount: 6,
      },
      yaxis: { labels: { ...AXIS_LABELS, formatter: (v) => `${bare(v, 1)} l` } },
      legend: { position: 'top', horizontalAlign: 'left', labels: { colors: 'var(--iron)' } },
      tooltip: { enabled: false },
    };
  }, [bare, hours]);
  const words = curve.map((p) => `${hours(p.h)}: ${bare(p.ml / 1000, 1)} l`).join('; ');
  return (
    <div role="img" aria-label={`Readings: ${words || texts.nothingYet}`}>
      <Apex type="line" options={options} series={series} height={HEIGHT} />
    </div>
  );
}
