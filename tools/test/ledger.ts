import fs from 'node:fs';
import path from 'node:path';

export const STAGES = ['static', 'unit', 'browser'] as const;
export type Stage = (typeof STAGES)[number];

/**
 * - `interrupted`: a property that ran out of time before it had tried all its cases, and found nothing wrong in those it tried.
 * - `skipped`: a test that says itself that it is not to run.
 */
export type Outcome = 'passed' | 'failed' | 'interrupted' | 'skipped';

/** One line of the ledger. Each is written when it happens, by whichever process saw it. */
export type Entry =
  | {
      readonly is: 'run';
      readonly at: string;
      readonly tree: string;
      readonly plan: string;
      readonly seed: number;
    }
  /** The files (static: checks) of a stage that this run is to finish. */
  | { readonly is: 'planned'; readonly stage: Stage; readonly files: readonly string[] }
  /** The tests that a file turned out to hold. */
  | { readonly is: 'tests'; readonly stage: Stage; readonly file: string; readonly names: readonly string[] }
  | { readonly is: 'began'; readonly stage: Stage; readonly file: string; readonly name: string }
  | {
      readonly is: 'result';
      readonly stage: Stage;
      readonly file: string;
      readonly name: string;
      readonly outcome: Outcome;
      /** Why it failed, or how far a property came before it was interrupted. */
      readonly cause?: string | undefined;
      /** CPU seconds, where they are known of a single test: a journey with its server and its browser. */
      readonly cpuS?: number | undefined;
      readonly ms?: number | undefined;
    }
  /** A file is through: its tests have all been reported. */
  | { readonly is: 'done'; readonly stage: Stage; readonly file: string; readonly cpuS?: number | undefined }
  | { readonly is: 'stage'; readonly stage: Stage; readonly wallS: number; readonly cpuS: number };

/** The ledger's file in the folder of a place. */
export const ledgerFile = (folder: string): string => path.join(folder, 'results.jsonl');

/** Adds a line. A short append is one write, so that several processes may add at once. */
export const record = (file: string, entry: Entry): void =>
  fs.appendFileSync(file, `${JSON.stringify(entry)}\n`);

/** Reads all lines; the last may have been cut when the run ended. */
export function readLedger(file: string): Entry[] {
  if (!fs.existsSync(file)) return [];
  return fs
    .readFileSync(file, 'utf8')
    .split('\n')
    .flatMap((line) => {
      try {
        return line === '' ? [] : [JSON.parse(line) as Entry];
      } catch {
        return [];
      }
    });
}

type Result = Extract<Entry, { is: 'result' }>;

/** CPU seconds that single tests measured of themselves, together. */
export const cpuOfTests = (entries: readonly Entry[]): number =>
  entries.reduce((s, e) => s + (e.is === 'result' ? (e.cpuS ?? 0) : 0), 0);

export interface Summary {
  readonly results: readonly Result[];
  readonly passed: number;
  readonly failed: number;
  readonly interrupted: readonly Result[];
  readonly skipped: number;
  /** What was planned and has no result: a test by its name, or a whole file whose tests were never learned. */
  readonly missing: readonly string[];
  /** Tests that had begun when the run ended. */
  readonly running: readonly string[];
}

const title = (file: string, name: string): string => (name === '' ? file : `${file} › ${name}`);

/** How often each of some words stands among them. */
function counted(words: readonly string[]): Map<string, number> {
  const found = new Map<string, number>();
  for (const word of words) found.set(word, (found.get(word) ?? 0) + 1);
  return found;
}

/**
 * What a ledger comes to. Of a file that is planned again only what it says then counts; tests of one name in one file are as
 * many as there are of them.
 */
export function summarize(entries: readonly Entry[]): Summary {
  const results = new Map<string, Result[]>();
  const named = new Map<string, readonly string[]>();
  const planned = new Set<string>();
  const begun = new Set<string>();
  for (const e of entries) {
    if (e.is === 'result') {
      results.set(e.file, [...(results.get(e.file) ?? []), e]);
      begun.delete(title(e.file, e.name));
    } else if (e.is === 'tests') named.set(e.file, e.names);
    else if (e.is === 'planned')
      for (const file of e.files) {
        planned.add(file);
        results.delete(file);
      }
    else if (e.is === 'began') begun.add(title(e.file, e.name));
  }
  const done = new Set(entries.flatMap((e) => (e.is === 'done' ? [e.file] : [])));
  const missing = [...planned].flatMap((file) => {
    const [names, known] = [named.get(file), results.get(file) ?? []];
    if (!names) return done.has(file) || known.length > 0 ? [] : [file];
    const reported = counted(known.map((r) => r.name));
    return [...counted(names)].flatMap(([name, n]) =>
      Array.from({ length: Math.max(0, n - (reported.get(name) ?? 0)) }, () => title(file, name)),
    );
  });
  const all = [...results.values()].flat();
  const many = (outcome: Outcome): Result[] => all.filter((r) => r.outcome === outcome);
  return {
    results: all,
    passed: many('passed').length,
    failed: many('failed').length,
    interrupted: many('interrupted'),
    skipped: many('skipped').length,
    missing,
    running: [...begun].filter((t) => missing.includes(t)),
  };
}

/** Files of a stage that are through without a failure: a run that goes on need not run them again. */
export function finishedFiles(entries: readonly Entry[], stage: Stage): Set<string> {
  const of = entries.filter((e): e is Extract<Entry, { stage: Stage }> => 'stage' in e && e.stage === stage);
  const done = new Set(of.flatMap((e) => (e.is === 'done' ? [e.file] : [])));
  for (const { file, outcome } of summarize(of).results) if (outcome === 'failed') done.delete(file);
  return done;
}
