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

const COLOURS = ['#a84a12', '#3b6a37', '#5d7486', '#b0305a', '#a98a4c', '#7d878d'];
const DASHES = [0, 6, 3, 8, 2, 4];

/** The word by which this page's own styles are told from others': the chart puts a style of its own into the page. */
const nonceHere = (): string | undefined =>
  document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce || undefined;

const optionsFor = (
  money: (v: number) => string,
  day: (iso: string) => string,
  nonce: string | undefined,
): ApexOptions => ({
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
  grid: { borderColor: 'var(--line)', xaxis: { lines: { show: false } } },
  xaxis: {
    type: 'datetime',
    labels: {
      style: { fontSize: '13px', colors: 'var(--steel)' },
      formatter: (_text, at) => day(new Date(at ?? 0).toISOString().slice(0, 10)),
    },
    axisBorder: { color: 'var(--iron)' },
    tooltip: { enabled: false },
  },
  yaxis: {
    labels: { formatter: (v: number) => money(v), style: { fontSize: '13px', colors: 'var(--steel)' } },
  },
  tooltip: {
    x: { formatter: (at: number) => day(new Date(at).toISOString().slice(0, 10)) },
    y: { formatter: (v: number) => money(v) },
  },
  legend: {
    position: 'top',
    horizontalAlign: 'left',
    fontSize: '14px',
    fontFamily: 'var(--words)',
    labels: { colors: 'var(--iron)' },
  },
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
  const { money, day } = useFigures();
  // The library that draws it is large: it is fetched when the chart comes near the screen.
  const { ref, inView } = useInView({ triggerOnce: true, rootMargin: '200px' });
  const drawn = useMemo(() => lines.filter((l) => l.points.length > 0), [lines]);
  const options = useMemo(
    () => optionsFor(money, day, inView ? nonceHere() : undefined),
    [money, day, inView],
  );
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
