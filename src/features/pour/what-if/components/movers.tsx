'use client';

import type { ApexOptions } from 'apexcharts';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { useFormatters } from '@/ui/formatters-context';
import { nonceHere } from '@/ui/drawings/chart-look';
import type { TrialsShown } from './use-tray';
import * as texts from './texts';

const Apex = dynamic(() => import('react-apexcharts'), { ssr: false });

/** Bars of the picture: more are told in the table. */
const MOST = 8;
const BAR = 26;

const optionsOf = (names: readonly string[], money: (v: number) => string): ApexOptions => {
  const nonce = nonceHere();
  return {
    chart: {
      type: 'bar',
      ...(nonce === undefined ? {} : { nonce }),
      fontFamily: 'var(--numerals)',
      animations: { enabled: false },
      toolbar: { show: false },
    },
    plotOptions: {
      bar: {
        horizontal: true,
        barHeight: '62%',
        colors: {
          ranges: [
            { from: -1e9, to: 0, color: '#3b6a37' },
            { from: 0, to: 1e9, color: '#a84a12' },
          ],
        },
      },
    },
    dataLabels: { enabled: false },
    grid: { borderColor: 'var(--line)' },
    xaxis: {
      categories: [...names],
      labels: {
        style: { fontSize: '13px', colors: 'var(--steel)' },
        formatter: (v) => money(Number(v)),
      },
    },
    yaxis: { labels: { maxWidth: 260, style: { fontSize: '13px', colors: 'var(--iron)' } } },
    tooltip: { y: { formatter: (v: number) => money(v) } },
    legend: { show: false },
  };
};

/** The plates that move the most, dearer to the right and cheaper to the left. */
export function Movers({ plates }: { readonly plates: readonly TrialsShown[] }) {
  const { money } = useFormatters();
  // The library that answers to a pointer is large: it is fetched by anyone who points at the picture that stands there at once.
  const [asked, setAsked] = useState(false);
  const most = useMemo(
    () =>
      plates
        .flatMap((p) => (p.now === null || p.then === null ? [] : [{ name: p.name, by: p.then - p.now }]))
        .filter((p) => Math.abs(p.by) >= 0.005)
        .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
        .slice(0, MOST),
    [plates],
  );
  const options = useMemo(
    () =>
      optionsOf(
        most.map((p) => p.name),
        money,
      ),
    [most, money],
  );
  if (most.length === 0) return null;
  const words = most.map((p) => `${p.name} ${money(p.by)}`).join(', ');
  const height = most.length * BAR + 50;
  return (
    <div
      role="img"
      aria-label={texts.biggestChanges(words)}
      style={{ minHeight: height }}
      onPointerMove={() => setAsked(true)}
      onTouchStart={() => setAsked(true)}
    >
      {asked ? (
        <Apex
          type="bar"
          options={options}
          series={[{ name: texts.moreOrLess, data: most.map((p) => Number(p.by.toFixed(4))) }]}
          height={height}
        />
      ) : (
        <Picture most={most} height={height} money={money} />
      )}
    </div>
  );
}

const [WIDTH, NAMES, FIGURES] = [760, 260, 70];

/** The same drawn at once: a bar for each, from nothing to the right or to the left, and its figure. */
function Picture({
  most,
  height,
  money,
}: {
  readonly most: readonly { readonly name: string; readonly by: number }[];
  readonly height: number;
  readonly money: (v: number) => string;
}) {
  const [least, largest] = [Math.min(0, ...most.map((p) => p.by)), Math.max(0, ...most.map((p) => p.by))];
  const x = (v: number): number =>
    NAMES + ((v - least) / Math.max(1e-9, largest - least)) * (WIDTH - NAMES - FIGURES);
  return (
    <svg className="drawing" viewBox={`0 0 ${WIDTH} ${height}`} aria-hidden="true">
      {most.map((p, i) => {
        const y = 20 + i * BAR;
        return (
          <g key={p.name}>
            <text x={NAMES - 10} y={y + 13} textAnchor="end">
              {p.name.length > 34 ? `${p.name.slice(0, 33)}…` : p.name}
            </text>
            <rect
              x={Math.min(x(0), x(p.by))}
              y={y}
              width={Math.max(1, Math.abs(x(p.by) - x(0)))}
              height={BAR * 0.62}
              fill={p.by < 0 ? '#3b6a37' : '#a84a12'}
            />
            <text x={Math.max(x(0), x(p.by)) + 6} y={y + 13}>
              {p.by < 0 ? '−' : '+'}
              {money(Math.abs(p.by))}
            </text>
          </g>
        );
      })}
      <line x1={x(0)} x2={x(0)} y1={12} y2={height - 26} stroke="var(--line)" />
    </svg>
  );
}
