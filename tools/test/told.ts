import { stripVTControlCharacters } from 'node:util';
import type { Entry, Stage, Summary } from './ledger';

/** Lines that are printed of why a test failed. */
const LINES = 12;
/** Of tests that did not run so many are named one by one. */
const MOST_NAMED = 40;

/** CPU seconds that a unit test file, and a journey with its server and browser, may use. */
export const BUDGET_S: Readonly<Record<'unit' | 'browser', number>> = { unit: 15, browser: 15 };

export const causeLines = (title: string, cause: string): string =>
  [
    `✗ ${title}`,
    ...stripVTControlCharacters(cause)
      .split('\n')
      .filter((line) => line.trim() !== '')
      .slice(0, LINES)
      .map((line) => `    ${line}`),
  ].join('\n');

const title = ({ file, name }: { file: string; name: string }): string =>
  name === '' ? file : `${file} › ${name}`;

/** Files and journeys that used more CPU than they should, the dearest first. */
export const overBudget = (entries: readonly Entry[]): string[] =>
  entries
    .flatMap((e) => {
      const used =
        e.is === 'done' && e.stage === 'unit'
          ? { at: e.file, cpuS: e.cpuS ?? 0, budget: BUDGET_S.unit }
          : e.is === 'result' && e.stage === 'browser'
            ? { at: title(e), cpuS: e.cpuS ?? 0, budget: BUDGET_S.browser }
            : undefined;
      return used && used.cpuS > used.budget ? [used] : [];
    })
    .sort((a, b) => b.cpuS - a.cpuS)
    .map(({ at, cpuS, budget }) => `over budget: ${at}: ${cpuS.toFixed(1)} of ${budget} CPU seconds`);

const STAGE_NAMES: Readonly<Record<Stage, string>> = {
  static: 'static checks',
  unit: 'unit tests',
  browser: 'browser tests',
};

/** How each stage went, with its minutes and its CPU seconds. */
export const stageLines = (entries: readonly Entry[], { results }: Summary): string[] =>
  entries.flatMap((e) => {
    if (e.is !== 'stage') return [];
    const of = results.filter((r) => r.stage === e.stage);
    const [passed, failed] = ['passed', 'failed'].map((o) => of.filter((r) => r.outcome === o).length);
    return [
      `${STAGE_NAMES[e.stage]}: ${passed} passed, ${failed} failed in ${(e.wallS / 60).toFixed(1)} min, ${Math.round(e.cpuS)} CPU s`,
    ];
  });

/** What is printed at the end, the last line apart: failures with their causes, what was interrupted and what never ran. */
export const endLines = (summary: Summary): string[] => [
  ...summary.results
    .filter((r) => r.outcome === 'failed')
    .map((r) => causeLines(title(r), r.cause ?? 'it does not say why')),
  ...summary.interrupted.map((r) => `interrupted: ${title(r)}${r.cause ? `: ${r.cause}` : ''}`),
  ...summary.running.map((at) => `was running when the run ended: ${at}`),
  ...summary.missing.slice(0, MOST_NAMED).map((at) => `did not run: ${at}`),
  ...(summary.missing.length > MOST_NAMED
    ? [`did not run: ${summary.missing.length - MOST_NAMED} more`]
    : []),
  ...(summary.missing.length > 0
    ? [`${summary.missing.length} tests did not run. ./halfpot test --resume goes on from here.`]
    : []),
];

/** The last line. Interrupted properties and tests that never ran are neither passed nor failed. */
export const lastLine = ({ passed, failed, skipped, interrupted, missing }: Summary): string => {
  const left = skipped + interrupted.length + missing.length;
  return `${passed} passed, ${failed} failed${left > 0 ? `, ${left} skipped` : ''}`;
};

/**
 * Whether everything that was planned ran and nothing failed.
 *
 * @param mayBeEmpty a change may reach no test at all; a whole run without a test is a mistake
 */
export const isGreen = ({ passed, failed, missing, interrupted }: Summary, mayBeEmpty: boolean): boolean =>
  (mayBeEmpty || passed + interrupted.length > 0) && failed === 0 && missing.length === 0;
