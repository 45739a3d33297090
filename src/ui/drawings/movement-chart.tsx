'use client';

import type { ApexOptions } from 'apexcharts';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { AXIS_LABELS, nonceHere, stillChart } from './chart-look';
import { useFormatters } from '../formatters-context';

/** The chart that answers to a pointer. */
const Apex = dynamic(() => import('react-apexcharts'), { ssr: false });

/** One line of a chart of movement: days and figures, oldest first. */
export interface MovementLine {
  readonly name: string;
  readonly points: readonly (readonly [string, number])[];
}

const COLOURS = ['#a84a12', '#3b6a37', '#5d7486', '#b0305a', '#a98a4c', '#7d878d'];
const DASHES = [0, 6, 3, 8, 2, 4];

const optionsFor = (
  money: (v: number) => string,
  day: (iso: string) => string,
  nonce: string | undefined,
): ApexOptions => ({
  chart: stillChart('line', nonce),
  colors: COLOURS,
  stroke: { curve: 'stepline', width: 2.5, dashArray: DASHES },
  markers: { size: 3.5, strokeWidth: 0, hover: { size: 6 } },
  grid: { borderColor: 'var(--line)', xaxis: { lines: { show: false } } },
  xaxis: {
    type: 'datetime',
    labels: {
      ...AXIS_LABELS,
      formatter: (_text, at) => day(new Date(at ?? 0).toISOString().slice(0, 10)),
    },
    axisBorder: { color: 'var(--iron)' },
    tooltip: { enabled: false },
  },
  yaxis: {
    labels: { ...AXIS_LABELS, formatter: (v: number) => money(v) },
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
  width = 860,
  label,
  marks,
}: {
  readonly lines: readonly MovementLine[];
  /** Last day drawn: every line holds until then. */
  readonly until: string;
  readonly height: number;
  /** Of the picture that stands there at once, in its own units: about as many as it has pixels to stand in. */
  readonly width?: number;
  readonly label: string;
  /** What happened on a day, in words: a mark on the line where it did. */
  readonly marks?: ReadonlyMap<string, string> | undefined;
}) {
  const { money, day } = useFormatters();
  // The library that answers to a pointer is large: it is fetched by anyone who points at the picture that stands there at once.
  const [asked, setAsked] = useState(false);
  const ask = (): void => setAsked(true);
  const series = useMemo(
    () =>
      lines
        .filter((l) => l.points.length > 0)
        .map((l) => {
          const last = l.points[l.points.length - 1] as readonly [string, number];
          const held = last[0] < until ? [...l.points, [until, last[1]] as const] : l.points;
          return {
            name: l.name,
            data: held.map(([on, value]) => ({ x: Date.parse(`${on}T00:00:00Z`), y: value })),
          };
        }),
    [lines, until],
  );
  const options = useMemo(() => optionsFor(money, day, asked ? nonceHere() : undefined), [money, day, asked]);
  const picture = (
    <Picture series={series} height={height} width={width} money={money} day={day} marks={marks} />
  );
  return (
    <div
      role="img"
      aria-label={label}
      className="movement-chart"
      style={{ minHeight: height, overflow: 'hidden' }}
      onPointerMove={ask}
      onTouchStart={ask}
    >
      {asked ? <Apex type="line" options={options} series={series} height={height} /> : picture}
    </div>
  );
}

interface Series {
  readonly name: string;
  readonly data: readonly { readonly x: number; readonly y: number }[];
}
const [LEFT, RIGHT, FOOT, HEAD] = [58, 12, 26, 24];

/** The same drawn at once, on screen and on paper: steps, a few prices at the side, a few days below. */
function Picture({
  series,
  height,
  width: WIDTH,
  money,
  day,
  marks,
}: {
  readonly marks: ReadonlyMap<string, string> | undefined;
  readonly series: readonly Series[];
  readonly height: number;
  readonly width: number;
  readonly money: (value: number) => string;
  readonly day: (iso: string) => string;
}) {
  const all = series.flatMap((s) => s.data);
  const [x0, x1] = [Math.min(...all.map((p) => p.x)), Math.max(...all.map((p) => p.x))];
  const [y0, y1] = [Math.min(...all.map((p) => p.y)), Math.max(...all.map((p) => p.y))];
  const room = Math.max((y1 - y0) * 0.1, y1 * 0.02, 0.005);
  const x = (at: number): number => LEFT + ((at - x0) / Math.max(1, x1 - x0)) * (WIDTH - LEFT - RIGHT);
  const y = (value: number): number =>
    HEAD + ((y1 + room - value) / (y1 - y0 + 2 * room)) * (height - HEAD - FOOT);
  const shares = [0, 0.25, 0.5, 0.75, 1];
  return (
    <svg className="drawing" viewBox={`0 0 ${WIDTH} ${height}`} aria-hidden="true">
      {shares.map((share) => {
        const value = y0 + share * (y1 - y0);
        return (
          <g key={share}>
            <line x1={LEFT} x2={WIDTH - RIGHT} y1={y(value)} y2={y(value)} stroke="var(--line)" />
            <text x={LEFT - 8} y={y(value) + 4} textAnchor="end">
              {money(value)}
            </text>
            <text
              x={x(x0 + share * (x1 - x0))}
              y={height - 6}
              textAnchor={share === 0 ? 'start' : share === 1 ? 'end' : 'middle'}
            >
              {day(new Date(x0 + share * (x1 - x0)).toISOString().slice(0, 10))}
            </text>
          </g>
        );
      })}
      {series.map((s, i) => (
        <path
          key={s.name}
          d={s.data.map((p, n) => (n === 0 ? `M${x(p.x)} ${y(p.y)}` : `H${x(p.x)} V${y(p.y)}`)).join(' ')}
          fill="none"
          stroke={COLOURS[i % COLOURS.length]}
          strokeWidth="2.5"
          strokeDasharray={DASHES[i % DASHES.length] || undefined}
        />
      ))}
      {marks && <Marks series={series} marks={marks} x={x} y={y} />}
      {series.length > 1 && <Names series={series} />}
    </svg>
  );
}

/** Where something happened: a dot on the line, with its words for anyone who points at it. */
function Marks({
  series,
  marks,
  x,
  y,
}: {
  readonly series: readonly Series[];
  readonly marks: ReadonlyMap<string, string>;
  readonly x: (at: number) => number;
  readonly y: (value: number) => number;
}) {
  return series.flatMap((s) =>
    s.data.flatMap((p) => {
      const said = marks.get(new Date(p.x).toISOString().slice(0, 10));
      return said === undefined
        ? []
        : [
            <circle key={`${s.name} ${p.x}`} cx={x(p.x)} cy={y(p.y)} r={4} fill={COLOURS[0]}>
              <title>{said}</title>
            </circle>,
          ];
    }),
  );
}

/** Which line is whose, where there are more than one. */
const Names = ({ series }: { readonly series: readonly Series[] }) =>
  series.map((s, i) => (
    <text key={s.name} x={LEFT + i * 260} y={14} style={{ fill: COLOURS[i % COLOURS.length] }}>
      {s.name}
    </text>
  ));
