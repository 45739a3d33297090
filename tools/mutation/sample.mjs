import fs from 'node:fs';
import { declareClassPlugin, PluginKind } from '@stryker-mutator/api/plugin';
import { rankOf } from './rank.mjs';

/** Lines and columns as the report counts them: from 1. */
const from1 = ({ line, column }) => ({ line: line + 1, column: column + 1 });

/**
 * Lets only a sample of all planted mistakes through to the tests: those whose place and kind hash lowest with the seed. The others
 * are put down as not to be tried, which no score counts. What an earlier run has settled never comes here.
 */
class Sample {
  #file = process.env.HALFPOT_MUTANTS_FILE;
  #most = Number(process.env.HALFPOT_MUTANTS ?? 150);
  #seed = process.env.HALFPOT_MUTANTS_SEED ?? '1';

  async init() {
    return Promise.resolve();
  }

  #rank({ fileName, location: { start, end }, mutatorName, replacement }) {
    return rankOf(this.#seed, fileName, { start: from1(start), end: from1(end) }, mutatorName, replacement);
  }

  async group(mutants) {
    const chosen = mutants
      .map((mutant) => ({ id: mutant.id, rank: this.#rank(mutant) }))
      .sort((a, b) => (a.rank < b.rank ? -1 : 1))
      .slice(0, this.#most)
      .map(({ id }) => id);
    fs.writeFileSync(this.#file, JSON.stringify({ all: mutants.length, chosen }));
    return Promise.resolve([mutants.map(({ id }) => id)]);
  }

  async check(mutants) {
    const chosen = new Set(JSON.parse(fs.readFileSync(this.#file, 'utf8')).chosen);
    return Promise.resolve(
      Object.fromEntries(
        mutants.map(({ id }) => [
          id,
          chosen.has(id) ? { status: 'passed' } : { status: 'compileError', reason: 'not in the sample' },
        ]),
      ),
    );
  }
}
Sample.inject = [];

export const strykerPlugins = [declareClassPlugin(PluginKind.Checker, 'sample', Sample)];
