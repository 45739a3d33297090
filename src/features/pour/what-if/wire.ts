import { z } from 'zod';
import { MOST_ON_A_TRAY, Trial } from '@/core/kitchen-file';
import { wire } from '@/wire';
import { ID } from '@/wire/fields';
import * as texts from './texts';

/** A tray as it is on the screen. */
export const TrayTyped = z.object({
  name: z.string().trim().min(1, texts.whatWhatIfCalled).max(5000),
  trials: z.array(Trial).max(MOST_ON_A_TRAY, texts.whatIfHoldsMost(MOST_ON_A_TRAY)),
});
export type TrayTyped = z.infer<typeof TrayTyped>;

/** Keeps a tray whole; without an id a new one. */
export const TRAY = wire<{ readonly id: string }, TrayTyped>()({
  kind: 'tray.keep',
  version: 1,
  body: TrayTyped.extend({ id: ID.nullable() }),
});

/** Throws a tray away, or brings it back. */
export const TRAY_AWAY = wire()({
  kind: 'tray.away',
  version: 1,
  body: z.object({ id: ID, away: z.boolean() }),
});

/** Does to the book what is on a tray, all of it as one change; the tray is put away with it. */
export const APPLY = wire<null, TrayTyped>()({
  kind: 'tray.apply',
  version: 1,
  body: z.object({ id: ID }),
});
