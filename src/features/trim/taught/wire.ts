import { z } from 'zod';
import { TRIM_SCHOOLS } from '@/core/larder';
import { SEASONS } from '@/core/learning';
import { wire } from '@/wire';
import { ID, TYPED } from '@/wire/fields';

/** What the tests say, if it is still what was looked at. */
export const ACCEPT = wire()({
  kind: 'ingredient.learned',
  version: 1,
  body: z.object({ id: ID, proposed: z.string().max(8000) }),
});
/** A person says that a test does not count, and why; or that it does again (`why` null). */
export const LEFT_OUT = wire()({
  kind: 'test.left-out',
  version: 1,
  body: z.object({ test: ID, why: z.string().max(400).nullable() }),
});
/** Which own tests an ingredient learns from. */
export const LEARN_FROM = wire()({
  kind: 'ingredient.learn-from',
  version: 1,
  body: z.object({ id: ID, season: z.enum([...SEASONS, 'now']).nullable(), supplier: ID.nullable() }),
});
/** Who pays for its trim, as typed: null goes back to the kitchen's school or set value. */
export const TRIM = wire()({
  kind: 'ingredient.trim',
  version: 1,
  body: z.object({
    id: ID,
    school: z.enum(TRIM_SCHOOLS).nullable(),
    setValue: TYPED.nullable(),
    takenPct: TYPED.nullable(),
  }),
});
/** What a by-product is charged at, and whether it has a buyer. */
export const COMES_OFF = wire()({
  kind: 'ingredient.by-product',
  version: 1,
  body: z.object({ id: ID, setValue: TYPED.nullable(), sold: z.boolean() }),
});
