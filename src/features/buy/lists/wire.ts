import { z } from 'zod';
import { VERDICTS } from '@/core/price-list';
import { Day } from '@/core/written';
import { sender, wire } from '@/wire';
import { ID } from '@/wire/fields';
import * as texts from './texts';

interface Taken {
  readonly id: string;
}

/** MB of the largest list that is taken. */
export const LARGEST_MB = 16;

/** A supplier's list, its bytes in base 64. */
export const TAKE = wire<Taken>()({
  kind: 'list.take',
  version: 1,
  body: z.object({
    supplier: z.uuid(texts.whoseListChooseSupplier),
    name: z.string().max(300),
    base64: z.string().max((LARGEST_MB * 1024 * 1024 * 4) / 3 + 4, texts.listMoreThanMb(LARGEST_MB)),
  }),
});
/** The list that a supplier's own address gives today. */
export const FETCH = wire<Taken>()({ kind: 'list.fetch', version: 1, body: z.object({ supplier: ID }) });

const HEAD = z.string().max(80).optional();
/** A list to be looked through with these columns. */
export const PreviewRequest = z.object({
  id: ID,
  on: z.string().max(20),
  odd: z.string().max(20, texts.most20CharactersKept),
  columns: z.object({
    code: HEAD,
    name: HEAD,
    pack: HEAD,
    unit: HEAD,
    price: z.string().max(80),
    mark: z.enum(['.', ',']).optional(),
  }),
});
export const LOOK = wire()({
  kind: 'list.look',
  version: 1,
  body: PreviewRequest.extend({ on: Day.catch('') }),
});
/** Rows taken or left out: one line, or all of a verdict. */
export const WANT = wire()({
  kind: 'list.want',
  version: 1,
  body: z.object({
    id: ID,
    where: z.union([
      z.strictObject({ line: z.number().int().positive() }),
      z.strictObject({ verdict: z.enum(VERDICTS) }),
    ]),
    wanted: z.boolean(),
  }),
});
/** What a row is that fitted no article: an article of this supplier, or a new one of an ingredient. */
export const ASSIGN = wire()({
  kind: 'list.assign',
  version: 1,
  body: z.object({
    id: ID,
    line: z.number().int().positive(),
    to: z.union([z.strictObject({ article: ID }), z.strictObject({ ingredient: ID })]),
  }),
});
export const ACCEPT = wire()({ kind: 'list.accept', version: 1, body: z.object({ id: ID }) });
/** The writing itself, which is long work: sent by the server once a list has been accepted. */
export const WRITE = wire()({ kind: 'list.write', version: 1, body: z.object({ id: ID }) });
export const DROP = wire()({ kind: 'list.drop', version: 1, body: z.object({ id: ID }) });
/** An accepted list taken back; what somebody has edited since only if that is wanted too. */
export const UNDO = wire<{ readonly kept: number }>()({
  kind: 'list.undo',
  version: 1,
  body: z.object({ id: ID, alsoEdited: z.boolean() }),
});

export const takeFile = sender(TAKE);
export const takeFetched = sender(FETCH);
export const requestPreview = sender(LOOK);
export const saveWanted = sender(WANT);
export const saveAssigned = sender(ASSIGN);
export const accept = sender(ACCEPT);
export const dropList = sender(DROP);
export const undo = sender(UNDO);
