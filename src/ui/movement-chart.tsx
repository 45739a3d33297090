'use client';

import dynamic from 'next/dynamic';
import type { ApexOptions } from 'apexcharts';
import { useMemo } from 'react';
import { useInView } from 'react-intersection-observer';
import { useFigures } from './figures';

const Chart = dynamic(() => import('react-apexcharts'), {
  ssr: false,
  loading: () => <p role="status">Drawing …</p>,
});

/** One line of a chart of movement: days and figures, oldest first. */
export interface MovementLine {
  readonly name: string;
  readonly points: readonly (readonly [string, number])[];
}

const COLOURS = ['#a84a12', '#3b6a37', '#5a656d', '#8c1d3a', '#a98a4c', '#20272c'];
const DASHES = [0, 6, 3, 8, 2, 4];

/** The word by which this page's own styles are told from others': the chart puts a style of its own into the page. */
const nonceHere = (): string | undefined =>
  document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce || undefined;

const optionsFor = (money: (v: number) => string, nonce: string | undefined): ApexOptions => ({
  chart: {
    type: 'line',
    ...(nonce === undefined ? {} : { nonce }),
    fontFamily: 'var(--numerals)',
    animations: { enabled: false },
    toolbar: { show: false },
    zoom: { enabled: false },
  },
  colors: COLOURS,
  stroke: { curve: 'stepline', width: 2.5, dashArray: DASHES },
  markers: { size: 3.5, strokeWidth: 0, hover: { size: 6 } },
  grid: { borderColor: '#d8d1c1', xaxis: { lines: { show: false } } },
  xaxis: {
    type: 'datetime',
    labels: { style: { fontSize: '13px', colors: '#5a656d' }, datetimeUTC: true },
    axisBorder: { color: '#20272c' },
    tooltip: { enabled: false },
  },
  yaxis: {
    labels: { formatter: (v: number) => money(v), style: { fontSize: '13px', colors: '#5a656d' } },
  },
  tooltip: { x: { format: 'd MMM yyyy' }, y: { formatter: (v: number) => money(v) } },
  legend: { position: 'top', horizontalAlign: 'left', fontSize: '14px', fontFamily: 'var(--words)' },
});

/** How figures moved over time, one stepped line each: a price holds until the next one. */
export function MovementChart({
  lines,
  until,
  height,
  label,
}: {
  readonly lines: readonly MovementLine[];
  /** Last day drawn: every line holds until then. */
  readonly until: string;
  readonly height: number;
  readonly label: string;
}) {
  const { money } = useFigures();
  // The library that draws it is large: it is fetched when the chart comes near the screen.
  const { ref, inView } = useInView({ triggerOnce: true, rootMargin: '200px' });
  const drawn = useMemo(() => lines.filter((l) => l.points.length > 0), [lines]);
  const options = useMemo(() => optionsFor(money, inView ? nonceHere() : undefined), [money, inView]);
  const series = useMemo(
    () =>
      drawn.map((l) => {
        const last = l.points[l.points.length - 1] as readonly [string, number];
        const held = last[0] < until ? [...l.points, [until, last[1]] as const] : l.points;
        return {
          name: l.name,
          data: held.map(([day, value]) => ({ x: Date.parse(`${day}T00:00:00Z`), y: value })),
        };
      }),
    [drawn, until],
  );
  return (
    <div ref={ref} role="img" aria-label={label} className="movement-chart" style={{ minHeight: height }}>
      {inView && <Chart type="line" options={options} series={series} height={height} />}
    </div>
  );
}
