'use client';

import { useFormatters } from '../formatters-context';
import * as texts from './texts';

/** One layer of a litre: where part of its money came from. */
export interface Stratum {
  readonly name: string;
  /** Currency per litre. */
  readonly money: number;
  readonly estimate: boolean;
}

const COLOURS = ['#6e3516', '#3b6a37', '#c4703a', '#5a656d', '#a98a4c', '#8c1d3a'];
const FIGURE = { font: '700 15px var(--numerals)', fill: 'var(--iron)' };
const BASE = 252;
const HEIGHT = 196;
const GAP = 33;
const MOST = 6;
const LEAST_SHARE = 0.02;

/** The largest strata, the rest as one. Sorted with the largest at the bottom of the jug. */
export function strataOf(all: readonly Stratum[]): Stratum[] {
  const total = all.reduce((sum, s) => sum + s.money, 0);
  const byName = new Map<string, Stratum>();
  for (const s of all) {
    const before = byName.get(s.name);
    byName.set(s.name, {
      name: s.name,
      money: s.money + (before?.money ?? 0),
      estimate: s.estimate || (before?.estimate ?? false),
    });
  }
  const sorted = [...byName.values()].filter((s) => s.money > 0).sort((a, b) => b.money - a.money);
  const shown = sorted.filter((s, i) => i < MOST - 1 && s.money / total >= LEAST_SHARE);
  const rest = sorted.slice(shown.length);
  if (rest.length === 0) return shown;
  const one = rest[0] as Stratum;
  return [
    ...shown,
    rest.length === 1
      ? one
      : {
          name: texts.everythingElse,
          money: rest.reduce((sum, s) => sum + s.money, 0),
          estimate: rest.some((s) => s.estimate),
        },
  ];
}

/** Letters that stand beside the jug in one line. */
const WIDE = 18;

/** A name in as many lines as it needs beside the jug: broken between words, and never cut. */
export function inLines(name: string): string[] {
  const lines: string[] = [];
  for (const word of name.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && `${last} ${word}`.length <= WIDE) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

interface Layer extends Stratum {
  readonly colour: string;
  readonly y: number;
  readonly height: number;
  /** Where its words stand: never closer than a line to the one below. */
  readonly label: number;
}

function layersOf(strata: readonly Stratum[], total: number): Layer[] {
  const layers: Layer[] = [];
  for (const [i, s] of strata.entries()) {
    const height = total > 0 ? (s.money / total) * HEIGHT : 0;
    const under = layers[i - 1];
    const y = (under?.y ?? BASE) - height;
    const middle = y + height / 2;
    layers.push({
      ...s,
      colour: COLOURS[i % COLOURS.length] as string,
      y,
      height,
      label: under
        ? Math.min(middle, under.label - GAP - 13 * (inLines(s.name).length - 1))
        : middle - 13 * (inLines(s.name).length - 1),
    });
  }
  return layers;
}

/** One litre of the finished thing as a measuring jug whose strata are where its money came from. */
export function LitreJug({ strata }: { strata: readonly Stratum[] }) {
  const { bare } = useFormatters();
  const total = strata.reduce((sum, s) => sum + s.money, 0);
  const layers = layersOf(strata, total);
  const highest = Math.min(20, ...layers.map((l) => l.label - 16));
  return (
    <svg
      className="drawing jug"
      viewBox={`0 ${highest} 220 ${268 - highest}`}
      role="img"
      aria-label={texts.oneLitre(strata.map((s) => `${s.name} ${bare(s.money)}`).join(', '))}
    >
      {layers.map((l) => (
        <g key={l.name}>
          <rect x="14" y={l.y} width="72" height={Math.max(0, l.height - 1)} fill={l.colour} />
          <path d={`M86 ${l.y + l.height / 2} L98 ${l.label}`} stroke="var(--steel)" fill="none" />
          <text style={FIGURE} x="101" y={l.label + 1}>
            {l.estimate ? '≈ ' : ''}
            {bare(l.money)}
          </text>
          {inLines(l.name).map((words, i) => (
            <text key={words} x="101" y={l.label + 15 + i * 13}>
              {words}
            </text>
          ))}
        </g>
      ))}
      <path
        d={`M2 ${BASE - HEIGHT - 22} L10 ${BASE - HEIGHT - 8} L10 ${BASE} Q10 ${BASE + 6} 16 ${BASE + 6} L84 ${BASE + 6} Q90 ${BASE + 6} 90 ${BASE} L90 ${BASE - HEIGHT - 14}`}
        fill="none"
        stroke="var(--iron)"
        strokeWidth="5"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {[0.25, 0.5, 0.75, 1].map((share) => (
        <line
          key={share}
          x1="14"
          x2={share === 1 || share === 0.5 ? 28 : 22}
          y1={BASE - HEIGHT * share}
          y2={BASE - HEIGHT * share}
          stroke="var(--enamel-bright)"
          strokeWidth="1.5"
        />
      ))}
    </svg>
  );
}
