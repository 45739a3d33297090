'use client';

import { useFormatters } from '../formatters-context';
import * as texts from './texts';

/** One weighing, reading or batch as it bears on a figure. */
export interface Dot {
  readonly id: string;
  readonly value: number;
  /** The row it stands in. */
  readonly row: string;
  /** How much it counts: 1 in full. */
  readonly weight: number;
  readonly outlier: boolean;
  /** Why it does not count. */
  readonly not?: string | undefined;
  /** What else is said of it. */
  readonly words: string;
}

/** A figure that is learned: what was believed, what was measured, and what both together say. */
export interface Dotted {
  readonly title: string;
  readonly unit: string;
  /** Digits after the mark. */
  readonly digits: number;
  readonly prior?: { readonly value: number; readonly low: number; readonly high: number } | undefined;
  readonly learned?: { readonly mean: number; readonly low: number; readonly high: number } | undefined;
  readonly inForce?: number | undefined;
  /** Rows from the top. */
  readonly rows: readonly string[];
  readonly dots: readonly Dot[];
}

const WIDTH = 720;
/** Room for the words at the left of each row. */
const LEFT = 92;
const RIGHT = 14;
const BAND = 26;
const TOP = 12;
const ROW = 22;
const AXIS = 24;
const AXIS_FONT = { fontFamily: 'var(--numerals)' };

/** The range everything of a figure lies in, with a little room. */
function scaleOf(f: Dotted): (value: number) => number {
  const values = [
    ...f.dots.map((d) => d.value),
    ...(f.prior ? [f.prior.low, f.prior.high] : []),
    ...(f.learned ? [f.learned.low, f.learned.high] : []),
    ...(f.inForce === undefined ? [] : [f.inForce]),
  ];
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const room = Math.max((high - low) * 0.06, 0.5 * 10 ** (1 - f.digits));
  return (value) => LEFT + ((value - low + room) / (high - low + 2 * room)) * (WIDTH - LEFT - RIGHT);
}

/** Round figures along the axis, about six of them. */
function ticksOf(f: Dotted): number[] {
  const values = [...f.dots.map((d) => d.value), f.prior?.low, f.prior?.high].filter((v) => v !== undefined);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const raw = Math.max(high - low, 10 ** (1 - f.digits)) / 5;
  const unit = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 5, 10].map((n) => n * unit).find((n) => n >= raw) ?? raw;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: 8 }, (_, i) => first + i * step).filter((v) => v <= high);
}

const words = (d: Dot, value: string): string =>
  `${value}, ${d.words}${d.outlier ? texts.farFromOthers : ''}${d.not ? texts.doesNotCount(d.not) : ''}`;

/**
 * What was measured as dots, in rows, under the estimate and over what both together say. A dot that does not count is
 * hollow, one far from the others is a square, one that fades is pale. The black mark is the value in use.
 */
export function Dots({ figure: f }: { readonly figure: Dotted }) {
  const { bare } = useFormatters();
  const x = scaleOf(f);
  const show = (v: number): string => `${bare(v, f.digits)} ${f.unit}`;
  const rows = f.rows.filter((row) => f.dots.some((d) => d.row === row));
  const rowY = (row: string): number => TOP + BAND + 10 + ROW * (rows.findIndex((s) => s === row) + 0.5);
  const bottom = TOP + BAND + 10 + ROW * rows.length + 4;
  const counts = f.dots.some((d) => d.not === undefined);
  return (
    <svg
      className="drawing dots"
      viewBox={`0 0 ${WIDTH} ${bottom + AXIS}`}
      role="img"
      aria-label={`${f.title}: ${f.dots.map((d) => words(d, show(d.value))).join('; ')}`}
    >
      {f.learned && counts && <Learned learned={f.learned} x={x} bottom={bottom} />}
      {f.prior && <Prior prior={f.prior} digits={f.digits} x={x} />}
      {rows.map((row) => (
        <text key={row} x={0} y={rowY(row) + 5}>
          {row}
        </text>
      ))}
      {f.dots.map((d) => (
        <OneDot key={d.id} dot={d} cx={x(d.value)} cy={rowY(d.row)} says={words(d, show(d.value))} />
      ))}
      {f.inForce !== undefined && (
        <path d={`M${x(f.inForce) - 6} 1 L${x(f.inForce) + 6} 1 L${x(f.inForce)} 10 Z`} fill="var(--iron)">
          <title>{texts.usedNow(show(f.inForce))}</title>
        </path>
      )}
      <Axis figure={f} x={x} bottom={bottom} />
    </svg>
  );
}

type Across = (value: number) => number;

/** What both together say: a band, and its middle. */
function Learned({
  learned,
  x,
  bottom,
}: {
  readonly learned: NonNullable<Dotted['learned']>;
  readonly x: Across;
  readonly bottom: number;
}) {
  return (
    <>
      <rect
        x={x(learned.low)}
        y={TOP + BAND + 6}
        width={Math.max(2, x(learned.high) - x(learned.low))}
        height={bottom - TOP - BAND - 6}
        fill="var(--bay)"
        opacity={0.17}
      />
      <line
        x1={x(learned.mean)}
        x2={x(learned.mean)}
        y1={TOP + BAND + 6}
        y2={bottom}
        stroke="var(--bay)"
        strokeWidth={3}
      />
    </>
  );
}

/** What was believed before anybody weighed. */
function Prior({
  prior,
  digits,
  x,
}: {
  readonly prior: NonNullable<Dotted['prior']>;
  readonly digits: number;
  readonly x: Across;
}) {
  const { bare } = useFormatters();
  return (
    <>
      <text x={0} y={TOP + BAND / 2 + 5}>
        {texts.estimate}
      </text>
      <rect
        x={x(prior.low)}
        y={TOP}
        width={Math.max(2, x(prior.high) - x(prior.low))}
        height={BAND}
        fill="none"
        stroke="var(--steel)"
        strokeWidth={1.5}
        strokeDasharray="5 4"
      />
      <line
        x1={x(prior.value)}
        x2={x(prior.value)}
        y1={TOP}
        y2={TOP + BAND}
        stroke="var(--steel)"
        strokeWidth={2}
        strokeDasharray="5 4"
      />
      <text x={x(prior.value) + 6} y={TOP + BAND / 2 + 5} style={AXIS_FONT}>
        {bare(prior.value, digits)}
      </text>
    </>
  );
}

function OneDot({
  dot: d,
  cx,
  cy,
  says,
}: {
  readonly dot: Dot;
  readonly cx: number;
  readonly cy: number;
  readonly says: string;
}) {
  const paint = d.not
    ? { fill: 'var(--enamel)', stroke: 'var(--steel)', strokeWidth: 1.5 }
    : { fill: d.outlier ? 'var(--claret)' : 'var(--bay)' };
  return (
    <g>
      {d.outlier ? (
        <rect x={cx - 7} y={cy - 7} width={14} height={14} {...paint} />
      ) : (
        <circle cx={cx} cy={cy} r={7} {...paint} opacity={d.not ? 1 : 0.4 + 0.6 * d.weight} />
      )}
      <title>{says}</title>
    </g>
  );
}

function Axis({
  figure: f,
  x,
  bottom,
}: {
  readonly figure: Dotted;
  readonly x: Across;
  readonly bottom: number;
}) {
  const { bare } = useFormatters();
  return (
    <>
      <line x1={LEFT} x2={WIDTH - RIGHT} y1={bottom} y2={bottom} stroke="var(--steel)" />
      {ticksOf(f).map((t) => (
        <g key={t}>
          <line x1={x(t)} x2={x(t)} y1={bottom} y2={bottom + 5} stroke="var(--steel)" />
          <text x={x(t)} y={bottom + 19} textAnchor="middle" style={AXIS_FONT}>
            {bare(t, f.digits > 1 ? f.digits : t % 1 === 0 ? 0 : 1)}
          </text>
        </g>
      ))}
    </>
  );
}
