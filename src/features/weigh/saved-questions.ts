import 'server-only';
import { cheapest, changedPrices, isSummaryCurrent } from '@/core/compare';
import { countedIn } from '@/core/layers';
import { questionsStand, readQuestionRows, type QuestionRow } from '@/db/recipes/questions';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { answerCosts, answerQuestion, type QuestionAnswer } from './question-answer';
import { SURE_SHARE, currentWins } from './simulations';
import * as texts from './texts';

/** An answer that is another now, or sure where it was not (or the other way round), and the prices that have moved since. */
export interface QuestionChange {
  readonly was: string;
  readonly is: string;
  readonly on: string;
  /** Of 100 draws those that the answer wins, then and now, where that is what has changed. */
  readonly sure: { readonly was: number; readonly is: number } | undefined;
  readonly by: readonly { readonly name: string; readonly was: number; readonly is: number }[];
}

const layersOf = (row: QuestionRow) => countedIn(row.beside.join('.'));

/** Whether a kept question is to be told of: its answer has flipped since somebody last looked, or its band has crossed the line. */
export async function questionChange(
  kitchenId: string,
  row: QuestionRow,
  laid: QuestionAnswer,
): Promise<QuestionChange | undefined> {
  const { told } = row;
  const layers = layersOf(row);
  const winner = cheapest(answerCosts(laid, layers));
  if (!told || winner === undefined || isSummaryCurrent(laid.costing, row.asks, told)) return undefined;
  const flipped = winner !== told.winner;
  const wins = flipped || told.sure === undefined ? undefined : await currentWins(kitchenId, laid, layers);
  const is = wins?.[winner] ?? 0;
  const crossed =
    wins !== undefined && told.sure !== undefined && told.sure >= SURE_SHARE !== is >= SURE_SHARE;
  if (!flipped && !crossed) return undefined;
  return {
    was: laid.ways[told.winner]?.name ?? texts.anotherWay,
    is: laid.ways[winner]?.name ?? '',
    on: told.on,
    sure: crossed && told.sure !== undefined ? { was: told.sure, is } : undefined,
    by: changedPrices(laid.costing, told),
  };
}

/** One kept question on the list. */
export interface QuestionListed {
  readonly id: string;
  readonly name: string;
  readonly answer: string | undefined;
  readonly perL: number | null;
  /** How much dearer the next best is, a litre. */
  readonly nextBy: number | null;
  readonly trouble: string | undefined;
  readonly moved: QuestionChange | undefined;
}

async function listed(kitchenId: string, row: QuestionRow): Promise<QuestionListed> {
  const { id, name } = row;
  const nothing = { id, name, answer: undefined, perL: null, nextBy: null, moved: undefined };
  const laid = await answerQuestion(kitchenId, row.asks);
  if (!laid.ok) return { ...nothing, trouble: laid.trouble.message };
  const perL = answerCosts(laid.value, layersOf(row));
  const best = cheapest(perL);
  if (best === undefined) return { ...nothing, trouble: texts.noWayMeetsRequest };
  const [first = 0, next] = perL.flatMap((c) => c ?? []).sort((a, b) => a - b);
  return {
    id,
    name,
    answer: laid.value.ways[best]?.name,
    perL: first,
    nextBy: next === undefined ? null : next - first,
    trouble: undefined,
    moved: await questionChange(kitchenId, row, laid.value),
  };
}

/** All kept questions, asked now. */
export async function listQuestions(who: Worker): Promise<QuestionListed[]> {
  const found: QuestionListed[] = [];
  for (const row of await readQuestionRows(database(), who.kitchenId))
    found.push(await listed(who.kitchenId, row));
  return found;
}

/** Where the questions of anyone who may do something about a flip stand; nothing for anybody else, and where none is kept. */
export const questionsRevision = async (who: Worker): Promise<number | undefined> =>
  (may(who.role, 'changer') && (await questionsStand(database(), who.kitchenId))) || undefined;

/** Asking that is under way: anyone who asks meanwhile gets the same answer. */
const asking = new Map<string, Promise<QuestionListed[]>>();

/** Those whose answer is another than when somebody last looked: for anyone who may do something about it. */
export async function flippedQuestions(who: Worker): Promise<QuestionListed[]> {
  const at = await questionsRevision(who);
  if (at === undefined) return [];
  const key = `${who.kitchenId} ${at}`;
  const found = asking.get(key) ?? flippedIn(who.kitchenId).finally(() => asking.delete(key));
  asking.set(key, found);
  return found;
}

async function flippedIn(kitchenId: string): Promise<QuestionListed[]> {
  const rows = await readQuestionRows(database(), kitchenId);
  if (rows.length === 0) return [];
  const { costing } = await costedKitchen(kitchenId);
  const found: QuestionListed[] = [];
  for (const row of rows)
    if (row.told && !isSummaryCurrent(costing, row.asks, row.told)) found.push(await listed(kitchenId, row));
  return found.filter((q) => q.moved);
}
