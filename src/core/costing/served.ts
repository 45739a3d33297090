import type { WrittenPlate } from '../kitchen-file';

type Line = Pick<WrittenPlate['lines'][number], 'overfillPct' | 'takenPct'>;
type Served = Pick<WrittenPlate, 'serviceLossPct'>;

/** Share of the plates made up that are sold. */
export const soldShare = ({ serviceLossPct = 0 }: Served): number => 1 - serviceLossPct / 100;

/**
 * How many portions of a line have to be put out for one that is sold: the hand gives a little more than is meant, and of what is
 * made up some is never sold.
 */
export const portionsServed = ({ overfillPct = 0 }: Line, plate: Served): number =>
  (1 + overfillPct / 100) / soldShare(plate);

/** How many portions of a line one plate that is sold uses up and pays for: of what stands on the side what is left goes back. */
export const portionsUsed = (line: Line, plate: Served): number =>
  (portionsServed(line, plate) * (line.takenPct ?? 100)) / 100;
