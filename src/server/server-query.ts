import 'server-only';
import type { ZodType } from 'zod';
import { may, type Rank, type Worker } from './roles';
import { currentWorker } from './session';

interface Asked<Args extends readonly unknown[], Answer> {
  /** The least that somebody must be to ask. */
  readonly role: Rank;
  /** What may be asked with: anything else is answered as if nobody had asked. */
  readonly of: ZodType<Args>;
  /** The answer where somebody may not ask, or asks what cannot be. */
  readonly otherwise: Answer;
}

/**
 * A question that a page asks the server (a server action). None is written without saying who may ask, and with what: what
 * arrives here comes from anybody who can reach the server, whatever the page's own types say.
 */
export const serverQuery =
  <Args extends readonly unknown[], Answer>(
    { role, of, otherwise }: Asked<Args, Answer>,
    answer: (who: Worker, ...args: Args) => Promise<Answer> | Answer,
  ) =>
  async (...given: Args): Promise<Answer> => {
    const who = await currentWorker();
    if (!who || !may(who.role, role)) return otherwise;
    const read = of.safeParse(given);
    return read.success ? answer(who, ...read.data) : otherwise;
  };
