import type { WrittenAsks } from '../kitchen-file';
import { LIDS } from '../pot';
import { fine, refuse, type Outcome } from '../trouble';
import type { WrittenStep } from '../verbs';
import { matterName, withLine, withSteps, type SheetContext, type SheetWay } from './sheet-ways';
import * as texts from './texts';

type Ask<K extends WrittenAsks['of']> = Extract<WrittenAsks, { of: K }>;
type Ways = Outcome<readonly SheetWay[]>;

const notThat = (what: string): Ways => refuse('not-that-line', '', texts.anyMoreNothingWeigh(what));

/** The line as it is beside the line with something about it otherwise. */
const lineWays = (on: SheetContext, ways: readonly (readonly [string, readonly WrittenStep[]])[]): Ways =>
  fine(ways.map(([name, by]) => ({ name, recipe: withLine(on.recipe, on.at, by) })));

const lineOf = (on: SheetContext): WrittenStep => on.recipe.steps[on.at] as WrittenStep;
/** A line that stands in none of the ways and is the same otherwise. */
const bare = <S extends WrittenStep>({ id: _i, off: _o, ...step }: S): S => step as S;

export function press(on: SheetContext): Ways {
  const step = lineOf(on);
  if (step.do !== 'strain') return notThat('This line does not strain');
  const as = (pressed: boolean) => [{ ...bare(step), pressed }];
  return lineWays(on, [
    ['pressed', as(true)],
    ['not pressed', as(false)],
  ]);
}

/** How much comes back in a second pass where nobody has said. */
const USUALLY_BACK = 35;

export function secondPass(on: SheetContext): Ways {
  const step = lineOf(on);
  if (step.do === 'second pass')
    return lineWays(on, [
      ['with a second pass', [bare(step)]],
      ['without', []],
    ]);
  if (step.do !== 'sieve') return notThat('This line does not sieve');
  return lineWays(on, [
    ['without a second pass', [bare(step)]],
    [`with one, ${USUALLY_BACK} % back`, [bare(step), { do: 'second pass', back: `${USUALLY_BACK} %` }]],
  ]);
}

export function secondWash(on: SheetContext): Ways {
  const step = lineOf(on);
  if (step.do !== 'second wash') return notThat('Nothing is kept here for a second wash');
  return lineWays(on, [
    ['kept for a second wash', [bare(step)]],
    ['thrown away', []],
  ]);
}

/** Salt early or late: the line where it is, right after the pot was filled, and last of all. */
export function salt(on: SheetContext): Ways {
  const { recipe, at } = on;
  const step = lineOf(on);
  const without = recipe.steps.filter((_, i) => i !== at);
  const filled = without.findIndex((s) => s.do === 'cook' || s.do === 'reduce' || s.do === 'bring');
  const portion = without.findIndex((s) => s.do === 'portion');
  const put = (where: number) =>
    withSteps(recipe, () => [...without.slice(0, where), bare(step), ...without.slice(where)]);
  if (filled < 0) return notThat('Nothing is cooked after this line');
  const late = portion < 0 ? without.length : portion;
  return fine([
    { name: 'late', recipe: put(late) },
    { name: 'early', recipe: put(filled), note: 'before it first stands on the heat' },
  ]);
}

const LID_NAMES = { off: 'lid off', ajar: 'lid ajar', on: 'lid on', paper: 'under paper' } as const;

export function lid(on: SheetContext): Ways {
  const step = lineOf(on);
  if (step.do !== 'cook' && step.do !== 'reduce') return notThat('This line does not stand on the heat');
  return lineWays(
    on,
    LIDS.filter((l) => step.do === 'cook' || l === 'off' || l === 'ajar').map((l) => [
      LID_NAMES[l],
      [{ ...bare(step), lid: l }],
    ]),
  );
}

export function pot({ costing, recipe }: SheetContext, { vessels }: Ask<'pot'>): Ways {
  const named = vessels.flatMap((id) => costing.state.vessels.find((v) => v.id === id) ?? []);
  if (named.length < 2) return refuse('gone', '', texts.fewerThanTwoThese);
  return fine(named.map((v) => ({ name: v.name, recipe: { ...recipe, vessel: v.id } })));
}

export function instead(on: SheetContext, asks: Ask<'instead'>): Ways {
  const step = lineOf(on);
  if (!('of' in step) || !('amount' in step)) return notThat('This line takes nothing');
  const took = on.costing.recipes.get(on.recipe.id)?.run.inputs.find((i) => i.step === on.at);
  const benchHours = ((asks.benchMinPerKg ?? 0) / 60) * ((took?.g ?? 0) / 1000);
  return fine([
    {
      name: matterName(on.costing, step.of),
      recipe: on.recipe,
      ...(benchHours > 0 ? { benchHours } : {}),
    },
    ...asks.with.map(({ of }) => ({
      name: matterName(on.costing, of),
      recipe: withLine(on.recipe, on.at, [{ ...step, of } as WrittenStep]),
    })),
  ]);
}

/** Ways in which the same sheet is costed at other prices: one for each kitchen after the first. */
export const priced = ({ recipe }: SheetContext, names: readonly string[]): Ways =>
  fine(names.map((name, i) => ({ name, recipe, prices: i + 1 })));

export function sheets({ costing, recipe }: SheetContext, asks: Ask<'sheets'>): Ways {
  const others = asks.with.flatMap((id) => costing.state.recipes.find((r) => r.id === id) ?? []);
  if (others.length === 0) return refuse('gone', '', texts.otherSheetArchived);
  return fine([recipe, ...others].map((r) => ({ name: r.name, recipe: r })));
}

export const versions = ({ recipe }: SheetContext, asks: Ask<'versions'>): Ways =>
  fine([
    { name: 'as it stands', recipe },
    ...asks.with.map(({ name, ...written }) => ({
      name,
      recipe: { ...recipe, choices: undefined, ...written },
    })),
  ]);
