import 'server-only';
import type { WrittenQuestion } from '@/core/kitchen-file';
import { newId } from '@/db/mapping/ids';
import { readQuestionRows } from '@/db/recipes/questions';
import { nowOf, setArchived, putQuestion } from '@/db/archive';
import { database } from '@/server/database';
import { Refused, declare, refused, type Looking } from '@/server/door';
import { uniqueName } from '@/server/unique-name';
import { answerQuestion, currentSummary } from './question-answer';
import { currentWins } from './simulations';
import { QUESTION, QUESTION_AWAY, QUESTION_SEEN } from './wire';
import * as texts from './texts';

const NAMED = {
  none: texts.whatQuestionCalled,
  twice: (twin: string) => texts.questionAlreadyChooseAnother(twin),
};

const questionsHere = ({ who }: Looking) => readQuestionRows(database(), who.kitchenId);
const written = ({ version: _v, ...question }: Awaited<ReturnType<typeof questionsHere>>[number]) => question;

/** What a question comes to now; a question that cannot be asked is not kept. */
async function mustBeAsked(
  { who }: Looking,
  { asks, beside }: Pick<WrittenQuestion, 'asks' | 'beside'>,
): Promise<WrittenQuestion['told']> {
  const laid = await answerQuestion(who.kitchenId, asks);
  if (!laid.ok) throw new Refused(laid.trouble);
  const layers = ['ingredients', ...beside] as const;
  const told = currentSummary(laid.value, asks, layers);
  const wins = told && (await currentWins(who.kitchenId, laid.value, layers));
  return told && { ...told, sure: wins?.[told.winner] };
}

const keep = declare({
  wire: QUESTION,
  role: 'changer',
  moves: 'nothing that is costed',
  changes: {
    table: 'question',
    id: ({ id }) => id,
    theirs: async ({ id }, looking) => {
      const theirs = (await questionsHere(looking)).find((q) => q.id === id);
      return theirs && { name: theirs.name, asks: theirs.asks, beside: theirs.beside };
    },
  },
  async look({ id, name, asks, beside }, looking) {
    const here = await questionsHere(looking);
    const row = here.find((q) => q.id === id);
    if (id !== null && !row) throw refused('gone', '', texts.questionDeletedAlready);
    const told = await mustBeAsked(looking, { asks, beside });
    const after: WrittenQuestion = {
      id: id ?? newId(),
      name: uniqueName(here, name, NAMED, id ?? undefined),
      asks,
      beside,
      ...(told ? { told } : {}),
    };
    return { before: row ? written(row) : null, after };
  },
  async write({ sql, kitchenId }, _body, { before, after }) {
    await putQuestion(sql, kitchenId, after, { taken: before !== null });
    return { value: { id: after.id }, what: 'question', subject: after.id, before, after };
  },
});

const away = declare({
  wire: QUESTION_AWAY,
  role: 'changer',
  moves: 'nothing that is costed',
  async look({ id, away: gone }, looking) {
    const here = await questionsHere(looking);
    const there = here.some((q) => q.id === id);
    if (gone !== there)
      throw refused('gone', '', gone ? texts.questionDeletedAlready : texts.questionAlreadyHere);
    if (gone) return { before: { away: false }, after: { away: true } };
    const now = await nowOf(database(), 'question', looking.who.kitchenId, id);
    if (!now) throw refused('gone', '', texts.noSuchQuestion);
    uniqueName(here, now.name, NAMED, id);
    return { before: { away: true }, after: { away: false } };
  },
  async write({ sql, kitchenId, at }, { id, away: gone }, { before, after }) {
    await setArchived(sql, 'question', kitchenId, id, gone ? at : null);
    return { value: null, what: 'question away', subject: id, before, after };
  },
});

const seen = declare({
  wire: QUESTION_SEEN,
  role: 'changer',
  moves: 'nothing that is costed',
  async look({ id }, looking) {
    const row = (await questionsHere(looking)).find((q) => q.id === id);
    if (!row) throw refused('gone', '', texts.questionDeletedAlready);
    const before = written(row);
    const told = await mustBeAsked(looking, before);
    return { before, after: { ...before, ...(told ? { told } : {}) } };
  },
  async write({ sql, kitchenId }, _body, { before, after }) {
    await putQuestion(sql, kitchenId, after);
    return { value: null, what: 'question seen', subject: after.id, before, after };
  },
});

export const commands = [keep, away, seen];
