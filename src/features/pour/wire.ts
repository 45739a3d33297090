import { z } from 'zod';
import type { WrittenPlate } from '@/core/kitchen-file';
import { SERVICES } from '@/core/kitchen-file';
import { PlateOf } from '@/core/written';
import { sender, wire } from '@/wire';
import { ID, TYPED } from '@/wire/fields';
import * as texts from './texts';

/** A plate as somebody else left it. */
export interface TheirPlate {
  readonly version: number;
  readonly plate: WrittenPlate;
}

/** What of a plate can be typed over: how much of each line stands on it, and its price on the menu. */
export const PLATE = wire<null, TheirPlate>()({
  kind: 'plate.amounts',
  version: 1,
  body: z.object({
    id: ID,
    lines: z
      .array(
        z.object({
          id: ID,
          amount: z.string().trim().min(1, texts.amountMissing).max(80, texts.amountMost80Characters),
          /** Its count stands for things as bought from now on, where it stood for trimmed ones. */
          asBought: z.boolean().optional(),
        }),
      )
      .max(60),
    menuPrice: z.string().max(80),
  }),
  waits: ({ id, menuPrice }) => ({
    thing: id,
    whole: true,
    words: menuPrice === '' ? texts.amountsDish : texts.amountsDishPrice(menuPrice),
  }),
});

const NAME = z.string().max(5000);

/** A plate that was not there: empty, or like another. */
export const NEW_PLATE = wire<{ readonly id: string }>()({
  kind: 'plate.new',
  version: 1,
  body: z.object({
    name: NAME,
    like: ID.nullable(),
    /** How much of its portions a size of it has, as typed; left out, it is a plate by itself. */
    size: TYPED.optional(),
  }),
});

/** What stands on a plate: all its lines, in their order. */
export const PLATE_LINES = wire<null, TheirPlate>()({
  kind: 'plate.lines',
  version: 1,
  body: z.object({
    id: ID,
    lines: z
      .array(
        z.object({
          id: ID,
          of: PlateOf,
          amount: z.string().trim().min(1, texts.howMuchDish).max(80, texts.amountMost80Characters),
          /** How it is served, where it comes back; of a line that stands there it is as it is. */
          overfillPct: z.number().min(0).max(100).optional(),
          takenPct: z.number().min(0).max(100).optional(),
          packaging: z.literal(true).optional(),
        }),
      )
      .max(60, texts.dishMost60Lines),
  }),
});

/** What a plate is called, the tax in its price, and what its food may cost of it; as typed. */
export const PlateHead = z.object({
  name: NAME.trim().min(1, texts.whatDishCalled),
  tax: TYPED,
  target: TYPED,
  /** How it is served, and what is lost on the way; left out, as it is. */
  service: z.enum([...SERVICES, '']).optional(),
  loss: TYPED.optional(),
  /** Minutes of hands it takes, and how many plates are put together in them. */
  minutes: TYPED.optional(),
  plates: TYPED.optional(),
  /** Of a size: how much of each portion it has. */
  size: TYPED.optional(),
});
export type PlateHead = z.infer<typeof PlateHead>;
export const PLATE_HEAD = wire<null, PlateHead>()({
  kind: 'plate.head',
  version: 1,
  body: PlateHead.extend({ id: ID }),
});

/** How one line of a plate is served, as typed: what goes on beyond its portion, and what of it guests take. */
export const LineServed = z.object({
  overfill: TYPED,
  taken: TYPED,
  /** A jar, a lid, a box. */
  packaging: z.boolean().optional(),
});
export type LineServed = z.infer<typeof LineServed>;
export const LINE_SERVED = wire<null, LineServed>()({
  kind: 'plate.line-served',
  version: 1,
  body: LineServed.extend({ id: ID, line: ID }),
});

/** Has a size of a plate stand by itself, with the lines it has. */
export const BY_ITSELF = wire<null, TheirPlate>()({
  kind: 'plate.by-itself',
  version: 1,
  body: z.object({ id: ID }),
});

/** Finishes a line of a plate in a small pot of its own. */
export const FINISH = wire<{ readonly pot: string }, TheirPlate>()({
  kind: 'plate.finish',
  version: 1,
  body: z.object({ id: ID, line: ID, name: NAME }),
});

/** Puts a plate away, or brings it back. */
export const PLATE_AWAY = wire()({
  kind: 'plate.away',
  version: 1,
  body: z.object({ id: ID, away: z.boolean() }),
});

export const savePlate = sender(PLATE);
