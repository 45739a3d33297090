import type { WrittenChoice } from '@/core/kitchen-file';
import type { WrittenStep } from '@/core/verbs';
import type { Trouble } from '@/core/trouble';
import type { Conflict } from '../../merge';
import type { SheetLine } from '../sheet/sheet-lines';
import type { LineActions } from './use-line-actions';

/** What a line of a sheet is drawn with; what the pot says of it stands in `shown-pot.ts`. */
export interface StepRowProps {
  readonly index: number;
  readonly line: SheetLine;
  readonly choices: readonly WrittenChoice[];
  readonly step: WrittenStep | undefined;
  /** Whether it is done: not switched off, and of no way that is not taken. */
  readonly done: boolean;
  readonly trouble: Trouble | undefined;
  readonly chosen: boolean;
  readonly mayEdit: boolean;
  /** Whether somebody else has just put it so. */
  readonly arrived: boolean;
  readonly touched: Conflict | undefined;
  readonly acts: LineActions;
}
