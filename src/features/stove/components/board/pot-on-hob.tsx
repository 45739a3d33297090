import type { PotFigures } from '@/core/batch';
import { levelAt, maxFillMl, type Vessel } from '@/core/pot';
import { halfWidthAt } from '@/ui/drawings/pot-geometry';

/** px of a cm: the same for every pot of a board, so that they stand beside each other as they do on the stove. */
const PX_PER_CM = 4.2;
const WALL = 3;

/** A pot in section as it should stand now, all pots at one scale; its wanted level is the dashed line. */
export function PotOnHob({
  vessel,
  pot,
  then,
  words,
}: {
  readonly vessel: Vessel;
  readonly pot: PotFigures | undefined;
  readonly then: PotFigures | undefined;
  readonly words: string;
}) {
  const px = (cm: number): number => cm * PX_PER_CM;
  const widest = Math.max(halfWidthAt(vessel, 0), halfWidthAt(vessel, vessel.heightCm));
  const width = px(widest * 2) + WALL * 2;
  const height = px(vessel.heightCm) + WALL;
  const x = (cm: number, side: 1 | -1): number => width / 2 + side * px(halfWidthAt(vessel, cm));
  const y = (cm: number): number => height - WALL - px(cm);
  const shape = (top: number): string =>
    `M${x(0, -1)} ${y(0)} L${x(0, 1)} ${y(0)} L${x(top, 1)} ${y(top)} L${x(top, -1)} ${y(top)} Z`;
  const level = pot && Math.min(pot.levelCm, vessel.heightCm);
  const most = vessel.maxFill < 1 ? levelAt(vessel, maxFillMl(vessel)) : undefined;
  return (
    <svg className="pot-on-hob" width={width} height={height} role="img" aria-label={words}>
      {level !== undefined && <path d={shape(level)} fill="var(--broth)" />}
      {pot && pot.heapCm > 0 && <path d={shape(Math.min(pot.heapCm, vessel.heightCm))} className="heap" />}
      {then && then.levelCm < vessel.heightCm && (
        <line
          x1={x(then.levelCm, -1)}
          x2={x(then.levelCm, 1)}
          y1={y(then.levelCm)}
          y2={y(then.levelCm)}
          stroke="var(--copper)"
          strokeWidth={2}
          strokeDasharray="6 4"
        />
      )}
      {most !== undefined && (
        <line
          x1={x(most, -1)}
          x2={x(most, -1) + 10}
          y1={y(most)}
          y2={y(most)}
          stroke="var(--steel)"
          strokeWidth={1.5}
        />
      )}
      <path
        d={`M${x(vessel.heightCm, -1)} ${y(vessel.heightCm)} L${x(0, -1)} ${y(0)} L${x(0, 1)} ${y(0)} L${x(vessel.heightCm, 1)} ${y(vessel.heightCm)}`}
        fill="none"
        stroke="var(--iron)"
        strokeWidth={WALL}
        strokeLinejoin="round"
      />
    </svg>
  );
}
