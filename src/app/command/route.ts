import { answerCommand } from '@/server/door';
import { kinds } from './kinds';

export const dynamic = 'force-dynamic';

/** The one way to write: every edit comes in here. */
export const POST = (request: Request): Promise<Response> => answerCommand(request, kinds());
