'use client';

import type { ApexOptions } from 'apexcharts';
import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { useFigures } from '@/ui/figures';
import { nonceHere } from '@/ui/movement-chart';
import type { Tried } from './use-tray';

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
export function Movers({ plates }: { readonly plates: readonly Tried[] }) {
  const { money } = useFigures();
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
  return (
    <div
      role="img"
      aria-label={`What moves the most: ${words}`}
      style={{ minHeight: most.length * BAR + 50 }}
    >
      <Apex
        type="bar"
        options={options}
        series={[{ name: 'more or less', data: most.map((p) => Number(p.by.toFixed(4))) }]}
        height={most.length * BAR + 50}
      />
    </div>
  );
}
