import type { WrittenMenu } from '@/core/kitchen-file';
import type { DecimalMark } from '@/core/quantity';
import type { MenuTyped } from './wire';

/** A menu in the fields it is typed in. */
export const menuTyped = ({ name, mixIn, plates }: WrittenMenu, mark: DecimalMark): MenuTyped => ({
  name,
  mixIn,
  plates: plates.map(({ plate, sold }) => ({
    plate,
    sold: sold === undefined ? '' : String(sold).replace('.', mark),
  })),
});
