'use client';

import { useId, useRef, type KeyboardEvent, type PointerEvent, type RefObject } from 'react';
import { dipAt, levelAt, maxFillMl, type Vessel } from '@/core/pot';
import { halfWidthAt, laidOut, scaleFor, WIDTH } from './pot-geometry';
import * as texts from './texts';

/** A line on the pot's wall. */
export interface TideMark {
  readonly name: string;
  readonly levelCm: number;
  readonly words: string;
}

interface Props {
  readonly vessel: Vessel;
  readonly levelCm: number;
  readonly nowWords: string;
  /** Level to which the heap of pieces stands; 0 without pieces. */
  readonly heapCm: number;
  readonly marks: readonly TideMark[];
  readonly hot: boolean;
  /** Given where the level now can be dragged: called with the level while it moves, and once when let go. */
  readonly drag?:
    | {
        readonly fromCm: number;
        readonly move: (levelCm: number) => void;
        readonly done: (levelCm: number) => void;
      }
    | undefined;
}

const DIP = { font: '600 17px var(--numerals)', fill: 'var(--iron)' };
const NOW = { font: '700 24px var(--numerals)', fill: 'var(--copper)' };
const TOP = 34;
const STEP_CM = 0.1;
const PAGE_CM = 1;
const LEAST_CM = 0.2;
/** Height of two lines of words in the drawing. */
const TWO_LINES = 34;

/** Where things stand in the drawing of a vessel. */
function places(vessel: Vessel) {
  const scale = scaleFor(vessel);
  const centre = WIDTH.left + WIDTH.inner / 2;
  const floor = TOP + vessel.heightCm * scale;
  const y = (cm: number): number => floor - cm * scale;
  const half = (cm: number): number => halfWidthAt(vessel, cm) * scale;
  const outline = (top: number): string =>
    `M${centre - half(top)} ${y(top)} L${centre - half(0)} ${floor} L${centre + half(0)} ${floor} L${centre + half(top)} ${y(top)} Z`;
  return { scale, centre, floor, y, half, outline, rim: vessel.heightCm };
}
interface Placed {
  readonly at: ReturnType<typeof places>;
}

/** The pot in section, to scale: pieces, liquid, the level now, tide-marks with their dips, the maximum fill. */
export function PotSection({ vessel, levelCm, nowWords, heapCm, marks, hot, drag }: Props) {
  const clip = useId();
  const svg = useRef<SVGSVGElement>(null);
  const at = places(vessel);
  const { centre, floor, y, half, outline, rim } = at;
  const shownLevel = Math.min(levelCm, rim);
  const fill = vessel.maxFill < 1 ? levelAt(vessel, maxFillMl(vessel)) : undefined;
  return (
    <svg
      ref={svg}
      className="drawing pot-drawing"
      viewBox={`0 0 372 ${floor + 26}`}
      role="group"
      aria-label={texts.sectionLiquidCmBelow(vessel.name, dipAt(vessel, levelCm).toFixed(1))}
    >
      <clipPath id={clip}>
        <path d={outline(shownLevel)} />
      </clipPath>
      <path d={outline(shownLevel)} fill={hot ? 'var(--broth)' : 'var(--water)'} />
      {heapCm > 0 && (
        <Heap
          clip={clip}
          left={centre - half(rim)}
          width={2 * half(rim)}
          top={y(Math.min(heapCm, rim))}
          floor={floor}
        />
      )}
      {heapCm > levelCm && <path d={outline(Math.min(heapCm, rim))} fill="var(--bones)" fillOpacity="0.35" />}
      {fill !== undefined && <FillLine at={at} fill={fill} />}
      {marks.map((m) => (
        <Mark key={m.name} at={at} mark={m} />
      ))}
      <Wall
        d={`M${centre - half(rim) - 14} ${y(rim)} L${centre - half(rim) - 3} ${y(rim)} L${centre - half(0) - 3} ${floor + 3} L${centre + half(0) + 3} ${floor + 3} L${centre + half(rim) + 3} ${y(rim)} L${centre + half(rim) + 14} ${y(rim)}`}
      />
      <NowLine at={at} level={shownLevel} words={nowWords} marks={marks} />
      <Dips at={at} vessel={vessel} level={shownLevel} marks={marks} />
      {drag && <Handle at={at} vessel={vessel} levelCm={levelCm} drag={drag} svg={svg} />}
    </svg>
  );
}

function FillLine({ at: { centre, half, y }, fill }: Placed & { readonly fill: number }) {
  return (
    <>
      <line
        x1={centre - half(fill)}
        x2={centre + half(fill)}
        y1={y(fill)}
        y2={y(fill)}
        stroke="var(--claret)"
        strokeWidth="1.5"
        strokeDasharray="5 4"
      />
      <text x={centre - half(fill) + 8} y={y(fill) - 4} style={{ fill: 'var(--claret)' }}>
        {texts.maxFill}
      </text>
    </>
  );
}

function Mark({ at: { centre, half, y }, mark: m }: Placed & { readonly mark: TideMark }) {
  return (
    <g>
      <line
        x1={centre - half(m.levelCm)}
        x2={centre + half(m.levelCm)}
        y1={y(m.levelCm)}
        y2={y(m.levelCm)}
        stroke="var(--iron)"
        strokeWidth="1"
      />
      <text x={centre - half(m.levelCm) + 8} y={y(m.levelCm) - 4} style={{ fill: 'var(--iron)' }}>
        {m.words}
      </text>
    </g>
  );
}

function NowLine({
  at: { centre, half, y, floor },
  level: shownLevel,
  words: nowWords,
  marks,
}: Placed & { readonly level: number; readonly words: string; readonly marks: readonly TideMark[] }) {
  // Words stand under the line, unless the floor or another mark's words are there.
  const nowAbove =
    y(shownLevel) > floor - 18 ||
    marks.some((m) => y(m.levelCm) > y(shownLevel) && y(m.levelCm) - y(shownLevel) < TWO_LINES);

  return (
    <>
      <line
        x1={centre - half(shownLevel)}
        x2={centre + half(shownLevel)}
        y1={y(shownLevel)}
        y2={y(shownLevel)}
        stroke="var(--copper)"
        strokeWidth="3"
      />
      <text
        x={centre - half(shownLevel) + 8}
        y={y(shownLevel) + (nowAbove ? -6 : 16)}
        style={{ fontWeight: 700, fill: 'var(--iron)' }}
      >
        {nowWords}
      </text>
    </>
  );
}

/** How far below the rim each line is, beside the pot. */
function Dips({
  at: { centre, half, y, floor, rim, scale },
  vessel,
  level,
  marks,
}: Placed & { readonly vessel: Vessel; readonly level: number; readonly marks: readonly TideMark[] }) {
  const labels = laidOut(
    [
      ...marks.map((m) => ({ at: y(m.levelCm), key: m.name, now: false })),
      { at: y(level), key: 'now', now: true },
    ],
    floor,
  );
  return (
    <>
      {labels.map((l) => (
        <g key={l.key}>
          <line
            x1={centre + half(rim) + 5}
            x2={centre + half(rim) + 14}
            y1={l.at}
            y2={l.y}
            stroke={l.now ? 'var(--copper)' : 'var(--iron)'}
            strokeWidth="1"
          />
          <text style={l.now ? NOW : DIP} x={centre + half(rim) + 17} y={l.y + (l.now ? 8 : 6)}>
            {texts.cm(dipAt(vessel, (floor - l.at) / scale).toFixed(1))}
          </text>
        </g>
      ))}
    </>
  );
}

interface HandleProps extends Placed {
  readonly vessel: Vessel;
  readonly levelCm: number;
  readonly drag: NonNullable<Props['drag']>;
  readonly svg: RefObject<SVGSVGElement | null>;
}

/** Moves the level by pointer and by keys, never above where it was and never to the floor. */
function useLevel({ at: { floor, scale }, levelCm, drag, svg }: HandleProps) {
  const levelFrom = (event: PointerEvent): number => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return levelCm;
    const inner = ((event.clientY - box.top) / box.height) * (floor + 26);
    return Math.min(drag.fromCm, Math.max(LEAST_CM, (floor - inner) / scale));
  };
  const nudge = (event: KeyboardEvent): void => {
    const by = { ArrowDown: -STEP_CM, ArrowUp: STEP_CM, PageDown: -PAGE_CM, PageUp: PAGE_CM }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    drag.done(Math.min(drag.fromCm, Math.max(LEAST_CM, levelCm + by)));
  };
  return { levelFrom, nudge };
}

function Handle(props: HandleProps) {
  const { at, vessel, levelCm, drag } = props;
  const { levelFrom, nudge } = useLevel(props);
  return (
    <g
      className="handle"
      role="slider"
      tabIndex={0}
      aria-label={texts.reduceLevelDragOr}
      aria-orientation="vertical"
      aria-valuemin={Number(dipAt(vessel, drag.fromCm).toFixed(1))}
      aria-valuemax={Number(dipAt(vessel, LEAST_CM).toFixed(1))}
      aria-valuenow={Number(dipAt(vessel, levelCm).toFixed(1))}
      aria-valuetext={texts.cmBelowRim(dipAt(vessel, levelCm).toFixed(1))}
      style={{ cursor: 'ns-resize' }}
      onKeyDown={nudge}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        if (event.currentTarget.hasPointerCapture(event.pointerId)) drag.move(levelFrom(event));
      }}
      onPointerUp={(event) => {
        event.currentTarget.releasePointerCapture(event.pointerId);
        drag.done(levelFrom(event));
      }}
    >
      <Grip at={at} level={Math.min(levelCm, at.rim)} />
    </g>
  );
}

function Grip({ at: { centre, half, rim, y }, level: shownLevel }: Placed & { readonly level: number }) {
  return (
    <>
      <rect
        x={centre - half(rim)}
        y={y(shownLevel) - 14}
        width={2 * half(rim)}
        height="28"
        fill="transparent"
      />
      <circle
        cx={centre}
        cy={y(shownLevel)}
        r="11"
        fill="var(--enamel-bright)"
        stroke="var(--copper)"
        strokeWidth="3"
      />
      <path
        d={`M${centre - 4} ${y(shownLevel) - 2} l4 -4 l4 4 M${centre - 4} ${y(shownLevel) + 2} l4 4 l4 -4`}
        fill="none"
        stroke="var(--copper)"
        strokeWidth="2"
      />
    </>
  );
}

/** px of solids in which their name has room. */
const LABEL_NEEDS = 20;

/** Pieces lying in the liquid: a bed of short strokes up to the heap's level. */
function Heap({
  clip,
  left,
  width,
  top,
  floor,
}: {
  clip: string;
  left: number;
  width: number;
  top: number;
  floor: number;
}) {
  const id = useId();
  return (
    <>
      <pattern id={id} width="18" height="12" patternUnits="userSpaceOnUse">
        <path d="M2 4 h7 M11 10 h6" stroke="var(--bones)" strokeWidth="4" strokeLinecap="round" />
      </pattern>
      <rect
        x={left}
        y={top}
        width={width}
        height={Math.max(0, floor - top)}
        fill={`url(#${id})`}
        clipPath={`url(#${clip})`}
      />
      {floor - top > LABEL_NEEDS && (
        <text className="on-solids" x={left + width / 2} y={floor - 6} textAnchor="middle">
          {texts.solids}
        </text>
      )}
    </>
  );
}

function Wall({ d }: { d: string }) {
  return (
    <path
      d={d}
      fill="none"
      stroke="var(--iron)"
      strokeWidth="6"
      strokeLinejoin="round"
      strokeLinecap="round"
    />
  );
}
