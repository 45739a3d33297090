import { crossing, type PotRun } from '../pot';
import type { WrittenRecipe } from '../kitchen-file';
import type { WrittenStep } from '../verbs';
import type { Of } from '../written';
import { beforeFinishing, cookTrial, formatTyped, withSteps, type SheetContext } from './sheet-ways';

/** What is wanted of the finished thing: at least this body, at most this much salt, and what mends what is too thin. */
export interface FinishTarget {
  readonly body: number;
  readonly saltPct: number;
  readonly mend?: Of | undefined;
}

/** A sheet taken to what is wanted, as far as it goes. */
export interface FinishResult {
  readonly recipe: WrittenRecipe;
  readonly run: PotRun;
  /**
   * What ended the reduction: the body was reached, salt came first, it was thick enough as it came, it was too salty as it came, or no
   * reduction reaches that body.
   */
  readonly end: 'body' | 'salt' | 'none needed' | 'too salty' | 'never';
  /** Body it has before anything mends it. */
  readonly bodyThen: number;
  /** Salt it ends with, %. */
  readonly saltThen: number;
  readonly mendG: number;
}

/** How near body and salt are near enough, of what is wanted. */
const CLOSE = 0.004;
const ROUNDS = 6;

const last = (run: PotRun) => (run.refused ? undefined : run.rows.at(-1));
const hot = { do: 'reduce', heat: 'hard boil', lid: 'off' } as const;

/** Where the sheet reduces to a body after the line in question, and how; where it does not, the place at which it would. */
function reductionOf(steps: readonly WrittenStep[], after: number) {
  const at = steps.findIndex((s, i) => i > after && s.do === 'reduce' && s.until === 'body');
  return at < 0
    ? { at: beforeFinishing(steps, after), step: hot, there: 0 }
    : { at, step: steps[at] as typeof hot, there: 1 };
}

interface Cooked {
  readonly recipe: WrittenRecipe;
  readonly run: PotRun;
}

/** A sheet on its way to what is wanted. */
class Finishing {
  private readonly at: number;
  private readonly there: number;
  private readonly how: typeof hot;

  constructor(
    private readonly on: SheetContext,
    private readonly recipe: WrittenRecipe,
    after: number,
    private readonly wanted: FinishTarget,
  ) {
    const { at, step, there } = reductionOf(recipe.steps, after);
    const { id: _i, off: _o, ...how } = step as WrittenStep & typeof hot;
    this.at = at;
    this.there = there;
    this.how = how;
  }

  /** The sheet with these lines where it reduces. */
  cook(...lines: readonly WrittenStep[]): Cooked {
    const { at, there } = this;
    return this.seasoned(
      withSteps(this.recipe, (steps) => [...steps.slice(0, at), ...lines, ...steps.slice(at + there)]),
    );
  }

  /** What is salt enough already is not seasoned: that line is left out, and how salt it is is said. */
  private seasoned(recipe: WrittenRecipe): Cooked {
    const run = cookTrial(this.on, recipe);
    const salted = run.refused?.trouble.code === 'already-saltier' ? run.refused.step : undefined;
    return salted === undefined
      ? { recipe, run }
      : this.seasoned(withSteps(recipe, (steps) => steps.filter((_, i) => i !== salted)));
  }

  private figure(n: number, unit: '' | ' %' | ' g'): string {
    return `${formatTyped(n, this.on.costing.shelf.manner.mark)}${unit}`;
  }

  /**
   * Reduces until the finished thing has so much body or salt. What comes after the reduction changes both by nearly the same share
   * whatever they are, so that a few rounds find the target.
   * @param plain the same without reducing
   */
  to(
    plain: PotRun,
    until: 'body' | 'salt',
    goal: number,
  ): (Cooked & { readonly line: WrittenStep }) | undefined {
    const of = until === 'salt' ? 'saltPct' : 'body';
    // What comes later thins it: where the pot is saltier here than it will be, it is reduced to more than what is wanted.
    const here = plain.rows[this.at - 1]?.[of] ?? 0;
    let target = Math.max(goal, (goal * here) / (last(plain)?.[of] || Infinity));
    let best: (Cooked & { readonly line: WrittenStep }) | undefined;
    for (let round = 0; round < ROUNDS; round += 1) {
      const to = this.figure(target, until === 'salt' ? ' %' : '');
      const line = { ...this.how, until, to } as WrittenStep;
      const now = this.cook(line);
      const row = last(now.run);
      if (!row) return best;
      best = { ...now, line };
      if (Math.abs(row[of] - goal) <= goal * CLOSE) return best;
      target *= goal / row[of];
    }
    return best;
  }

  /** What was cooked, thickened where it is too thin and there is something to thicken it with. */
  mended(of: Cooked, end: FinishResult['end'], lines: readonly WrittenStep[]): FinishResult {
    const row = last(of.run);
    const thin = { ...of, end, bodyThen: row?.body ?? 0, saltThen: row?.saltPct ?? 0, mendG: 0 };
    const { mend, body } = this.wanted;
    const most = (of.run.product?.g ?? 0) / 2;
    if (!mend || !row || most === 0 || row.body >= body * (1 - CLOSE)) return thin;
    const withG = (g: number): Cooked =>
      this.cook(...lines, { do: 'thicken', of: mend, amount: this.figure(g, ' g') } as WrittenStep);
    const short = (g: number): number => (g === 0 ? thin.bodyThen : (last(withG(g).run)?.body ?? 0)) - body;
    const found = crossing(short, 0, most, body * CLOSE);
    return found.found ? { ...thin, ...withG(found.below), mendG: found.below } : thin;
  }
}

/**
 * Takes a sheet to a body, reducing where it reduces anyway, stopping where its salt does not allow more; what is then lacking is
 * thickened. What is added after the reduction (butter, cream) changes both: targets are found for the finished thing.
 */
export function finishTo(
  on: SheetContext,
  recipe: WrittenRecipe,
  after: number,
  wanted: FinishTarget,
): FinishResult {
  const of = new Finishing(on, recipe, after, wanted);
  const enough = wanted.saltPct * (1 + CLOSE);
  const plain = of.cook();
  const before = last(plain.run);
  if (!before || before.body >= wanted.body)
    return {
      ...plain,
      end: 'none needed',
      bodyThen: before?.body ?? 0,
      saltThen: before?.saltPct ?? 0,
      mendG: 0,
    };
  // As salt as it may be as it comes: nothing is left to reduce.
  if (before.saltPct > wanted.saltPct * (1 - CLOSE))
    return of.mended(plain, before.saltPct > enough ? 'too salty' : 'salt', []);
  const thick = of.to(plain.run, 'body', wanted.body);
  const row = thick && last(thick.run);
  if (thick && row && row.saltPct <= enough)
    return { ...thick, end: 'body', bodyThen: row.body, saltThen: row.saltPct, mendG: 0 };
  const salty = of.to(plain.run, 'salt', wanted.saltPct);
  return salty ? of.mended(salty, 'salt', [salty.line]) : of.mended(plain, 'never', []);
}
