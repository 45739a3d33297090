import { parseArgs } from 'node:util';
import { Stop } from '../stop';
import { STAGES, type Stage } from './ledger';

/** What a call of `halfpot test` asks for. */
export interface Plan {
  readonly stages: readonly Stage[];
  /** Test files or parts of their paths; empty for all. */
  readonly files: readonly string[];
  /** Properties run all their random cases. */
  readonly full: boolean;
  /** Only what a change since this revision can reach; undefined for everything. */
  readonly since: string | undefined;
  /** `reach`: whatever imports what has changed. `folders`: only tests that stand beside it. */
  readonly near: 'reach' | 'folders';
  /** Goes on where the last run of the same tree was cut off. */
  readonly resume: boolean;
}

const isStage = (name: string | undefined): name is Stage => STAGES.some((stage) => stage === name);

/** @throws Stop with a sentence where the arguments cannot be */
export function planFrom(args: readonly string[]): Plan {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      only: { type: 'string' },
      changed: { type: 'boolean', default: false },
      since: { type: 'string' },
      full: { type: 'boolean', default: false },
      beside: { type: 'boolean', default: false },
      resume: { type: 'boolean', default: false },
    },
  });
  // `test unit FILE` is the same as `test --only unit FILE`.
  const [first] = positionals;
  const only = values.only ?? (isStage(first) ? first : undefined);
  if (only !== undefined && !isStage(only))
    throw new Stop(`There is no stage “${only}”. There are: ${STAGES.join(', ')}.`);
  const files = only !== undefined && only === first ? positionals.slice(1) : positionals;
  if (only === undefined && files.length > 0)
    throw new Stop(
      `“${files[0]}” belongs to which stage? Say ./halfpot test --only unit ${files[0]}, or browser.`,
    );
  const changed = values.changed || values.beside || values.since !== undefined;
  return {
    stages: only !== undefined ? [only] : values.beside ? ['unit'] : STAGES,
    files,
    full: values.full,
    since: changed ? (values.since ?? 'HEAD') : undefined,
    near: values.beside ? 'folders' : 'reach',
    resume: values.resume,
  };
}
