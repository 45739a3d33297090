import type { WrittenStep } from '../kitchen-file';
import { fine, type Outcome } from '../trouble';

/** A group of a match, trimmed; empty where it took no part. */
export const at = (m: RegExpExecArray, i: number): string => (m[i] ?? '').trim();
export const step = (s: WrittenStep): Outcome<WrittenStep> => fine(s);
