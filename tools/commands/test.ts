import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { ensure, NEEDS } from '../debian';
import { startDatabase, type OwnDatabase } from '../mariadb';
import { placeOf, ROOT, type Place } from '../place';
import { takePlace } from '../processes';
import { say, Stop } from '../stop';
import { runBrowserTests, specFiles } from '../test/browser';
import { endChildren } from '../test/child';
import { cpuSeconds } from '../test/cpu';
import {
  cpuOfTests,
  finishedFiles,
  ledgerFile,
  readLedger,
  record,
  summarize,
  type Entry,
  type Stage,
} from '../test/ledger';
import { planFrom, type Plan } from '../test/plan';
import { besideChanged, changedSince, graphFrom, reachedFrom, reachedSpecs, reachesAll } from '../test/reach';
import { runStaticChecks } from '../test/static';
import { makeTemplates } from '../test/templates';
import { endLines, isGreen, lastLine, overBudget, stageLines } from '../test/told';
import { EVERYDAY_CASES, runUnitTests } from '../test/unit';
import { bundleUnitTests, unitTestFiles } from '../test/unit-bundle';

/** One figure for everything that a result depends on. */
function treeFingerprint(): string {
  const hash = createHash('sha256');
  const visit = (file: string): void => {
    if (fs.statSync(file).isDirectory())
      for (const name of fs.readdirSync(file).sort()) visit(path.join(file, name));
    else hash.update(path.relative(ROOT, file)).update(fs.readFileSync(file));
  };
  const parts = [
    'src',
    'tests',
    'tools',
    'stand-ins',
    'demo',
    'docs',
    'halfpot',
    'package.json',
    'package-lock.json',
  ];
  for (const part of [
    ...parts,
    ...fs.readdirSync(ROOT).filter((name) => /\.config\.(mjs|ts)$|^tsconfig/.test(name)),
  ])
    visit(path.join(ROOT, part));
  return hash.digest('hex');
}

/** Begins a ledger, or goes on with the last one where that is asked for and nothing has changed since. */
function openLedger(place: Place, plan: Plan): { ledger: string; seed: number } {
  const ledger = ledgerFile(place.folder);
  const asked = JSON.stringify({ ...plan, resume: false });
  const tree = treeFingerprint();
  if (plan.resume) {
    const [begun] = readLedger(ledger);
    if (begun?.is !== 'run') throw new Stop('There is no run to go on with. Start one: ./halfpot test');
    if (begun.tree !== tree)
      throw new Stop(
        'Something has changed since the last run, whose results no longer hold. Start a new one: ./halfpot test',
      );
    if (begun.plan !== asked)
      throw new Stop(
        `The last run asked for something else (${begun.plan}). Say the same again with --resume.`,
      );
    return { ledger, seed: begun.seed };
  }
  const seed = Number(process.env.HALFPOT_SEED ?? Date.now() % 2 ** 31);
  fs.rmSync(ledger, { force: true });
  record(ledger, { is: 'run', at: new Date().toISOString(), tree, plan: asked, seed });
  return { ledger, seed };
}

const matching = (files: readonly string[], parts: readonly string[]): string[] =>
  parts.length === 0 ? [...files] : files.filter((file) => parts.some((part) => file.includes(part)));

/** Unit test files of a plan. */
async function unitFiles(plan: Plan, changed: readonly string[] | undefined): Promise<string[]> {
  const all = matching(unitTestFiles(), plan.files);
  if (!changed) return all;
  if (plan.near === 'folders') return besideChanged(all, changed);
  return reachedFrom(graphFrom(await bundleUnitTests(unitTestFiles())), all, changed);
}

/** Browser test files of a plan. */
async function specsOf(plan: Plan, changed: readonly string[] | undefined): Promise<string[]> {
  const all = matching(specFiles(), plan.files);
  if (!changed) return all;
  return reachedSpecs(
    new Map(all.map((file) => [file, fs.readFileSync(path.join(ROOT, file), 'utf8')])),
    changed,
  );
}

function sayWhatChanged(plan: Plan): readonly string[] | undefined {
  if (plan.since === undefined) return undefined;
  const changed = changedSince(plan.since);
  const under = reachesAll(changed);
  say(
    `${changed.length} files differ from ${plan.since}${under ? `; every test stands on one of them (${under})` : ''}.`,
  );
  return changed;
}

class Run {
  readonly #place = placeOf('test');
  readonly #plan: Plan;
  readonly #ledger: string;
  readonly #seed: number;
  #own: OwnDatabase | undefined;
  #cut = false;

  constructor(plan: Plan) {
    this.#plan = plan;
    takePlace(this.#place, 'test');
    ({ ledger: this.#ledger, seed: this.#seed } = openLedger(this.#place, plan));
  }

  async #database(): Promise<OwnDatabase> {
    ensure(NEEDS.database);
    return (this.#own ??= await startDatabase(this.#place));
  }

  /** Runs a stage and writes down what it took. */
  async #stage(stage: Stage, work: (finished: ReadonlySet<string>) => Promise<void>): Promise<void> {
    if (!this.#plan.stages.includes(stage)) return;
    // What was never begun is named, too.
    if (this.#cut) return record(this.#ledger, { is: 'planned', stage, files: [`all of ${stage}`] });
    const [at, cpu, before] = [performance.now(), cpuSeconds(), this.entries().length];
    await work(finishedFiles(readLedger(this.#ledger), stage));
    // Browsers that ended were nobody's children any more: what each journey measured of its own counts at least.
    const cpuS = Math.max(cpuSeconds() - cpu, cpuOfTests(this.entries().slice(before)));
    record(this.#ledger, { is: 'stage', stage, wallS: (performance.now() - at) / 1000, cpuS });
    for (const line of stageLines(this.entries().slice(-1), summarize(this.entries()))) say(line);
  }

  entries = (): Entry[] => readLedger(this.#ledger);

  /** Ends what is running; no further stage is begun, and what is not through counts as not run. */
  cut(): void {
    this.#cut = true;
    endChildren();
  }

  async stages(): Promise<void> {
    const changed = sayWhatChanged(this.#plan);
    const cases = this.#plan.full ? 1 : EVERYDAY_CASES;
    const left = (files: readonly string[], finished: ReadonlySet<string>): string[] =>
      files.filter((file) => !finished.has(file));
    await this.#stage('static', (finished) => runStaticChecks(this.#ledger, finished));
    await this.#stage('unit', async (finished) => {
      const files = left(await unitFiles(this.#plan, changed), finished);
      if (files.length === 0) return say('No unit test can be reached.');
      const own = await this.#database();
      const templates = path.join(this.#place.folder, 'templates.json');
      await makeTemplates((name) => own.fresh(name), templates);
      await runUnitTests({
        ledger: this.#ledger,
        files,
        cases,
        seed: this.#seed,
        env: {
          ...process.env,
          HALFPOT_TEST_SERVER: own.creatorUrl('halfpot'),
          HALFPOT_TEST_TEMPLATES: templates,
        },
        log: path.join(this.#place.folder, 'unit.log'),
      });
    });
    await this.#stage('browser', async (finished) => {
      const specs = left(await specsOf(this.#plan, changed), finished);
      if (specs.length === 0) return say('No browser test can be reached.');
      ensure(NEEDS.browser);
      const own = await this.#database();
      await runBrowserTests({
        ledger: this.#ledger,
        specs,
        // A kitchen is put back out of a copy beside it, which its own user may not make.
        fresh(name) {
          own.fresh(name);
          return `${own.creatorUrl('halfpot')}${name}`;
        },
        log: path.join(this.#place.folder, 'browser.log'),
      });
    });
  }

  async end(): Promise<void> {
    await this.#own?.stop();
    // What lay in memory is not left there.
    if (!this.#place.data.startsWith(this.#place.folder))
      fs.rmSync(path.dirname(this.#place.data), { recursive: true, force: true });
  }
}

/** Prints what a ledger comes to, the true count last. */
function tell(entries: readonly Entry[], mayBeEmpty: boolean): number {
  const summary = summarize(entries);
  for (const line of [
    ...stageLines(entries, summary),
    ...overBudget(entries),
    ...endLines(summary),
    lastLine(summary),
  ])
    process.stdout.write(`${line}\n`);
  return isGreen(summary, mayBeEmpty) ? 0 : 1;
}

/** `halfpot test`: what can be asked for stands in `tools/test/plan.ts`. The demo's data is never touched. */
export async function test(args: readonly string[]): Promise<number> {
  const plan = planFrom(args);
  const run = new Run(plan);
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.on(signal, () => {
      say('Ending. What has been found out so far is kept.');
      run.cut();
    });
  try {
    await run.stages();
  } finally {
    await run.end();
  }
  return tell(run.entries(), plan.since !== undefined);
}
