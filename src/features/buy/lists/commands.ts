import 'server-only';
import { accepting } from './accept';
import { decisions } from './decide';
import { previewList } from './preview-list';
import { takeFetched, takeFile } from './take';

export const commands = [takeFile, takeFetched, previewList, ...decisions, ...accepting];
