import { z } from 'zod';
import { Test, type WrittenTest } from '@/core/bench';
import { sender, wire } from '@/wire';
import { ID } from '@/wire/fields';
import * as texts from './texts';

/** What of a test is typed on the bench. */
const Typed = Test.pick({
  kind: true,
  season: true,
  note: true,
  start: true,
  intoWater: true,
  time: true,
  parts: true,
  second: true,
}).extend({ purchase: z.uuid().nullable() });
export type TestTyped = z.infer<typeof Typed>;

/** What a refused write lays beside one's own: the test as it is now, and its version. */
export interface TheirTest {
  readonly test: WrittenTest;
  readonly version: number;
}

interface Made {
  readonly id: string;
}

export const BEGIN = wire<Made>()({ kind: 'test.begin', version: 1, body: z.object({ ingredient: ID }) });
export const SAVE = wire<null, TheirTest>()({
  kind: 'test.weigh',
  version: 1,
  body: z.object({ id: ID, typed: Typed }),
  waits: ({ id, typed }) => ({ thing: id, whole: true, words: texts.testParts(typed.parts.length) }),
});
export const FINISH = wire<null, TheirTest>()({
  kind: 'test.finish',
  version: 1,
  body: z.object({ id: ID, typed: Typed }),
});
export const DROP = wire<null, TheirTest>()({ kind: 'test.drop', version: 1, body: z.object({ id: ID }) });
export const APART = wire<Made>()({
  kind: 'test.apart',
  version: 1,
  body: z.object({ of: ID, typed: Typed }),
});
export const BY_PRODUCT = wire<Made>()({
  kind: 'ingredient.comes-off',
  version: 1,
  body: z.object({ of: ID, name: z.string().max(200), like: z.string().max(200) }),
});

export const putOnBench = sender(BEGIN);
export const saveWeighing = sender(SAVE);
export const saveTest = sender(FINISH);
export const discardTest = sender(DROP);
export const saveApart = sender(APART);
export const newByProduct = sender(BY_PRODUCT);
