import 'server-only';
import { accepting } from './accept';
import { decisions } from './decide';
import { lookThrough } from './look';
import { takeFetched, takeFile } from './take';

export const commands = [takeFile, takeFetched, lookThrough, ...decisions, ...accepting];
