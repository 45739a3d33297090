import { z } from 'zod';
import { Asks, Question } from '@/core/kitchen-file';
import { wire } from '@/wire';
import { ID } from '@/wire/fields';
import * as texts from './texts';

/** A question as it is kept. */
export const QuestionTyped = z.object({
  name: z.string().trim().min(1, texts.whatQuestionCalled).max(120),
  asks: Asks,
  beside: Question.shape.beside.unwrap(),
});
export type QuestionTyped = z.infer<typeof QuestionTyped>;

/** Keeps a question whole, with what it comes to now; without an id a new one. */
export const QUESTION = wire<{ readonly id: string }, QuestionTyped>()({
  kind: 'question.keep',
  version: 1,
  body: QuestionTyped.extend({ id: ID.nullable() }),
});

/** Throws a question away, or brings it back. */
export const QUESTION_AWAY = wire()({
  kind: 'question.away',
  version: 1,
  body: z.object({ id: ID, away: z.boolean() }),
});

/** Somebody has seen what a question comes to now: it is told again when the answer is another. */
export const QUESTION_SEEN = wire()({
  kind: 'question.seen',
  version: 1,
  body: z.object({ id: ID }),
});
