'use client';

import { SEASONS } from '@/core/learning';
import { useFigures } from '@/ui/figures';
import type { Dot, FigurePage } from '../queries';

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
function scaleOf(f: FigurePage): (value: number) => number {
  const values = [
    ...f.dots.map((d) => d.value),
    ...(f.prior ? [f.prior.low, f.prior.high] : []),
    ...(f.learned ? [f.learned.low, f.learned.high] : []),
    ...(f.inForce === undefined ? [] : [f.inForce]),
  ];
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const room = Math.max((high - low) * 0.06, 0.5);
  return (value) => LEFT + ((value - low + room) / (high - low + 2 * room)) * (WIDTH - LEFT - RIGHT);
}

/** Round figures along the axis, about six of them. */
function ticksOf(f: FigurePage): number[] {
  const values = [...f.dots.map((d) => d.value), f.prior?.low, f.prior?.high].filter((v) => v !== undefined);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const raw = Math.max(high - low, 1) / 5;
  const unit = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 5, 10].map((n) => n * unit).find((n) => n >= raw) ?? raw;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: 8 }, (_, i) => first + i * step).filter((v) => v <= high);
}

const words = (d: Dot, value: string, day: string): string =>
  `${day}: ${value}, ${d.season}${d.supplier ? `, ${d.supplier}` : ''}${d.by ? `, ${d.by}` : ''}${
    d.outlier ? ', far from the others' : ''
  }${d.not ? `, does not count: ${d.not}` : ''}`;

/**
 * Own tests as dots, a row for each season, under the estimate and over what both together say. A dot that does not count is
 * hollow, one far from the others is a square, one that fades is pale. The black mark is what is reckoned with now.
 */
export function Dots({ figure: f }: { readonly figure: FigurePage }) {
  const { bare, day } = useFigures();
  const x = scaleOf(f);
  const show = (v: number): string => `${bare(v, 1)} ${f.unit}`;
  const seasons = SEASONS.filter((season) => f.dots.some((d) => d.season === season));
  const rowY = (season: string): number =>
    TOP + BAND + 10 + ROW * (seasons.findIndex((s) => s === season) + 0.5);
  const bottom = TOP + BAND + 10 + ROW * seasons.length + 4;
  const counts = f.dots.some((d) => d.not === undefined);
  return (
    <svg
      className="drawing dots"
      viewBox={`0 0 ${WIDTH} ${bottom + AXIS}`}
      role="img"
      aria-label={`${f.title}: ${f.dots.map((d) => words(d, show(d.value), day(d.on))).join('; ')}`}
    >
      {f.learned && counts && <Learned learned={f.learned} x={x} bottom={bottom} />}
      {f.prior && <Prior prior={f.prior} x={x} />}
      {seasons.map((season) => (
        <text key={season} x={0} y={rowY(season) + 5}>
          {season}
        </text>
      ))}
      {f.dots.map((d) => (
        <OneDot
          key={d.id}
          dot={d}
          cx={x(d.value)}
          cy={rowY(d.season)}
          says={words(d, show(d.value), day(d.on))}
        />
      ))}
      {f.inForce !== undefined && (
        <path d={`M${x(f.inForce) - 6} 1 L${x(f.inForce) + 6} 1 L${x(f.inForce)} 10 Z`} fill="var(--iron)">
          <title>{`reckoned with now: ${show(f.inForce)}`}</title>
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
  readonly learned: NonNullable<FigurePage['learned']>;
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
function Prior({ prior, x }: { readonly prior: NonNullable<FigurePage['prior']>; readonly x: Across }) {
  const { bare } = useFigures();
  return (
    <>
      <text x={0} y={TOP + BAND / 2 + 5}>
        estimate
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
        {bare(prior.value, 1)}
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
  readonly figure: FigurePage;
  readonly x: Across;
  readonly bottom: number;
}) {
  const { bare } = useFigures();
  return (
    <>
      <line x1={LEFT} x2={WIDTH - RIGHT} y1={bottom} y2={bottom} stroke="var(--steel)" />
      {ticksOf(f).map((t) => (
        <g key={t}>
          <line x1={x(t)} x2={x(t)} y1={bottom} y2={bottom + 5} stroke="var(--steel)" />
          <text x={x(t)} y={bottom + 19} textAnchor="middle" style={AXIS_FONT}>
            {bare(t, t % 1 === 0 ? 0 : 1)}
          </text>
        </g>
      ))}
    </>
  );
}
