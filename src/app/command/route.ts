import { changeText, changeFacts } from '@/features/changes/words';
import { answerCommand } from '@/server/door';
import { kinds } from './kinds';

export const dynamic = 'force-dynamic';

/** The one way to write: every edit comes in here. A writer who was overtaken is told by what, in the words of the history. */
export const POST = (request: Request): Promise<Response> =>
  answerCommand(request, kinds(), (change, state) => changeText(change, changeFacts(state)));
