'use client';

import type { ApexOptions } from 'apexcharts';
import { useMemo } from 'react';
import type { Cooling } from '@/core/batch';
import { useFormatters } from '@/ui/formatters-context';
import { lazyPart } from '@/ui/lazy-part';
import { AXIS_LABELS, nonceHere, stillChart } from '@/ui/drawings/chart-look';
import * as texts from './texts';

const Apex = lazyPart(() => import('react-apexcharts').then((m) => m.default));

const HEIGHT = 200;

/** Readings and the likeliest course, with the limits of the house. */
export function CoolingCurve({ cooling }: { readonly cooling: Cooling }) {
  const { hours } = useFormatters();
  const { course, reads, limits } = cooling;
  const series = useMemo(
    () => [
      { name: 'likely', type: 'line', data: course.map(([h, c]) => ({ x: h, y: c })) },
      { name: 'measured', type: 'scatter', data: reads.map((r) => ({ x: r.h, y: r.celsius })) },
    ],
    [course, reads],
  );
  const options = useMemo((): ApexOptions => {
    return {
      chart: stillChart('line', nonceHere()),
      colors: ['#5a656d', '#20272c'],
      stroke: { width: [2, 0], dashArray: [6, 0] },
      markers: { size: [0, 7], shape: ['circle', 'square'], strokeWidth: 0 },
      annotations: {
        points: limits.map((l) => ({
          x: l.withinH,
          y: l.toC,
          marker: { size: 6, fillColor: '#8c1d3a', shape: 'circle' },
          label: { text: `${l.toC} °C`, style: { fontSize: '13px' } },
        })),
      },
      grid: { borderColor: 'var(--line)' },
      xaxis: {
        type: 'numeric',
        labels: { ...AXIS_LABELS, formatter: (v) => hours(Number(v)) },
        tickAmount: 6,
      },
      yaxis: { min: 0, max: 100, labels: { ...AXIS_LABELS, formatter: (v) => `${Math.round(v)} °C` } },
      legend: { position: 'top', horizontalAlign: 'left', labels: { colors: 'var(--iron)' } },
      tooltip: { enabled: false },
    };
  }, [hours, limits]);
  const words = reads.map((r) => `${hours(r.h)}: ${r.celsius} °C`).join('; ');
  return (
    <div role="img" aria-label={texts.howCools(words)}>
      <Apex type="line" options={options} series={series} height={HEIGHT} />
    </div>
  );
}
