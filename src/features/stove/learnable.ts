import 'server-only';
import type { TimesKind } from '@/core/batch';
import type { KitchenCosting } from '@/core/costing';
import { inForce, mannerIn, type WrittenRecipe } from '@/core/kitchen-file';
import { ownConstants } from '@/core/kitchen-state';
import type { ProcessConstants } from '@/core/pot';
import { CONSTANTS } from '@/core/reference';
import { potOf } from '@/core/shelf';
import { settingsOf, type KitchenSettings } from '@/db/kitchen/kitchen-settings';
import * as texts from './texts';

/** A figure in use, and as it would be. */
export interface LearnableFigure {
  readonly now: number;
  readonly after: number;
  readonly unit: 'g/kg' | 'ml/kg' | 'ml' | '%' | '% over' | 'times the usual';
  /** It would be the same: it can be no smaller, or hardly moves. */
  readonly stays: boolean;
}

/** A change that a lesson makes: what is written, and how it is told and taken back. */
export type Learning =
  | { readonly what: 'gelatin' | 'retention'; readonly before: object; readonly after: object }
  | { readonly what: 'hands'; readonly before: object; readonly after: object }
  | { readonly what: 'settings'; readonly before: KitchenSettings; readonly after: KitchenSettings }
  | { readonly what: 'recipe'; readonly before: WrittenRecipe; readonly after: WrittenRecipe };

type Pot = ReturnType<typeof potOf>;

/** Something that batches teach, as it is in the kitchen. */
export interface Learnable {
  readonly title: string;
  /** Of what a sheet’s line says: the share, as it is now. */
  readonly share?: number | undefined;
  /** Undefined where it is several figures at once. */
  readonly figure: (times: number) => LearnableFigure | undefined;
  readonly change: (times: number) => Learning;
  /** Which lines of a sheet it stands in. */
  readonly stands: (step: WrittenRecipe['steps'][number]) => boolean;
  /** The sheet it is of alone; left out where it may stand in any. */
  readonly only?: string;
  /** The lines of a sheet, and what all pots are run with, as they would be. */
  readonly lines?: (steps: Pot['steps'], times: number) => Pot['steps'];
  readonly constants?: (c: ProcessConstants, times: number) => ProcessConstants;
}

const bounded = (x: number, most: number, digits = 2): number =>
  Number(Math.min(most, Math.max(0, x)).toFixed(digits));

const figureOf = (now: number, after: number, unit: LearnableFigure['unit']): LearnableFigure => ({
  now: Number(now.toFixed(2)),
  after,
  unit,
  stays: Math.abs(after - now) < 0.005,
});

/** What is learned of by its kind and what it is of; undefined where that has been put away, or says nothing any more. */
export function learnable(costing: KitchenCosting, kind: TimesKind, of: string): Learnable | undefined {
  switch (kind) {
    case 'hands':
      return handsOf(costing, of);
    case 'gives':
    case 'keeps':
      return ofIngredient(costing, kind, of);
    case 'clings':
      return of === 'walls' ? walls(costing) : strainer(costing, of.replace(/^strainer /, ''));
    case 'loses':
    case 'pours':
      return ofLine(costing, of);
  }
}

function handsOf({ state: { kitchen } }: KitchenCosting, of: string): Learnable | undefined {
  const usual = ownConstants(kitchen, CONSTANTS).hands[of];
  if (!usual) return undefined;
  const { hands, sharedHands: shared } = kitchen;
  return {
    title: texts.labourOf(of),
    figure: () => undefined,
    change: (times) => {
      const min = (h: number): number => bounded(h * 60 * times, 600);
      const own = { fixedMin: min(usual.fixed), perKgMin: min(usual.perKg), perLMin: min(usual.perL) };
      return {
        what: 'hands',
        before: { kinds: hands, shared },
        after: { kinds: { ...hands, [of]: own }, shared },
      };
    },
    stands: (step) => step.do === of,
    constants: (c, times) => {
      const { fixed, perKg, perL } = usual;
      const own = { fixed: fixed * times, perKg: perKg * times, perL: perL * times };
      return { ...c, hands: { ...c.hands, [of]: own } };
    },
  };
}

type Step = Pot['steps'][number];
const eachLine =
  (to: (step: Step, times: number) => Step): Learnable['lines'] =>
  (steps, times) =>
    steps.map((step) => to(step, times));

type Stuffed = Extract<Pot['steps'][number], { do: 'add' }>;
const isOf = (step: Pot['steps'][number], of: string): step is Stuffed =>
  step.do === 'add' && step.what.is === 'stuff' && step.what.stuff.id === of;

/** What bones give, or what solids keep back. */
function ofIngredient({ state }: KitchenCosting, kind: 'gives' | 'keeps', of: string): Learnable | undefined {
  const ingredient = state.ingredients.find((i) => i.id === of);
  if (!ingredient) return undefined;
  const { gelatin, retentionMlPerKg: ml, retentionPressedMlPerKg: pressed, name } = ingredient;
  const stands: Learnable['stands'] = (step) =>
    step.do === 'add' && 'ingredient' in step.of && step.of.ingredient === of;
  if (kind === 'gives')
    return (
      gelatin && {
        title: texts.whatGives(name),
        figure: (times) => figureOf(gelatin.gPerKg, bounded(gelatin.gPerKg * times, 300), 'g/kg'),
        change: (times) => ({
          what: 'gelatin',
          before: { gelatin },
          after: { gelatin: { ...gelatin, gPerKg: bounded(gelatin.gPerKg * times, 300) } },
        }),
        stands,
        lines: eachLine((step, times) => {
          if (!isOf(step, of) || step.what.is !== 'stuff') return step;
          const { stuff } = step.what;
          return {
            ...step,
            what: { ...step.what, stuff: { ...stuff, gelatinPool: stuff.gelatinPool * times } },
          };
        }),
      }
    );
  return {
    title: texts.whatKeeps(name),
    figure: (times) => figureOf(ml, bounded(ml * times, 5000), 'ml/kg'),
    // Pressed they keep in proportion: what was read says nothing else of it.
    change: (times) => ({
      what: 'retention',
      before: { retentionMlPerKg: ml, retentionPressedMlPerKg: pressed },
      after: {
        retentionMlPerKg: bounded(ml * times, 5000),
        retentionPressedMlPerKg: bounded(pressed * times, 5000),
      },
    }),
    stands,
    lines: eachLine((step, times) => {
      if (!isOf(step, of) || step.what.is !== 'stuff') return step;
      const { stuff } = step.what;
      const more = {
        retention: stuff.retention * times,
        retentionPressed: stuff.retentionPressed * times,
      };
      return { ...step, what: { ...step.what, stuff: { ...stuff, ...more } } };
    }),
  };
}

/** What stays on the walls of a pot that is poured out. */
function walls({ state: { kitchen } }: KitchenCosting): Learnable {
  const now = kitchen.rules?.walls ?? 1;
  const after = (times: number): number => bounded(now * times, 10);
  const before = settingsOf(kitchen);
  return {
    title: texts.potsPouredOutWhat,
    figure: (times) => figureOf(now, after(times), 'times the usual'),
    change: (times) => ({
      what: 'settings',
      before,
      after: { ...before, rules: { ...kitchen.rules, walls: after(times) } },
    }),
    stands: (step) => step.do === 'into' || step.do === 'combine',
    constants: (c, times) => {
      const { thin, coating } = c.wallCling;
      return { ...c, wallCling: { thin: thin * times, coating: coating * times } };
    },
  };
}

/** What stays in a strainer. */
function strainer({ state: { kitchen } }: KitchenCosting, name: string): Learnable | undefined {
  const now = ownConstants(kitchen, CONSTANTS).strainers[name];
  if (now === undefined) return undefined;
  const after = (times: number): number => bounded(now * times, 5000, 0);
  const before = settingsOf(kitchen);
  const others = (kitchen.rules?.strainers ?? []).filter((s) => s.name !== name);
  return {
    title: texts.whatStays(name),
    figure: (times) => figureOf(now, after(times), 'ml'),
    change: (times) => ({
      what: 'settings',
      before,
      after: {
        ...before,
        rules: { ...kitchen.rules, strainers: [...others, { name, clingsMl: after(times) }] },
      },
    }),
    stands: (step) => step.do === 'strain' && step.through === name,
    constants: (c, times) => ({ ...c, strainers: { ...c.strainers, [name]: now * times } }),
  };
}

const NTH = ['first', 'second', 'third'];
const LINES = {
  puree: { words: texts.whatStaysBlender, field: 'loss', most: 90, unit: '%' },
  sieve: { words: texts.whatStaysSieve, field: 'loss', most: 90, unit: '%' },
  portion: { words: texts.howFullPortions, field: 'overfill', most: 100, unit: '% over' },
} as const;

/** What a line of a sheet loses in a machine, or pours over: its own, for what is thick or full of seeds loses more. */
function ofLine(costing: KitchenCosting, of: string): Learnable | undefined {
  const { state, shelf } = costing;
  const [id = '', verb = '', nth = '1'] = of.split(' ');
  const recipe = state.recipes.find((r) => r.id === id);
  if (!recipe || !(verb === 'puree' || verb === 'sieve' || verb === 'portion')) return undefined;
  const { words, field, most, unit } = LINES[verb];
  const chosen = inForce(recipe);
  const written = placeOf(recipe.steps, (s) => s.do === verb && chosen(s), verb, nth);
  const { steps } = potOf(recipe, shelf);
  const resolved = placeOf(steps, (s) => s.do === verb, verb, nth);
  const share = shareOf(steps[resolved], ownConstants(state.kitchen, CONSTANTS));
  if (written < 0 || share === undefined) return undefined;
  const after = (times: number): number =>
    bounded((verb === 'portion' ? (1 + share) * times - 1 : share * times) * 100, most, 1);
  const { mark } = mannerIn(state);
  return {
    title: `${recipe.name}: ${words}${nth === '1' ? '' : texts.time(NTH[Number(nth) - 1], nth)}`,
    share,
    figure: (times) => figureOf(share * 100, after(times), unit),
    change: (times) => {
      const typed = `${String(after(times)).replace('.', mark)} %`;
      const changed = recipe.steps.map((s, i) => (i === written ? { ...s, [field]: typed } : s));
      return { what: 'recipe', before: recipe, after: { ...recipe, steps: changed } };
    },
    only: id,
    stands: (step) => step.do === verb,
    lines: (all, times) =>
      all.map((step, i) => (i === resolved ? ({ ...step, [field]: after(times) / 100 } as Step) : step)),
  };
}

/** Where the nth of some lines stands; of portionings the last one, which is what goes out. */
function placeOf<S>(
  steps: readonly S[],
  is: (step: S) => boolean,
  verb: keyof typeof LINES,
  nth: string,
): number {
  const places = steps.flatMap((s, i) => (is(s) ? [i] : []));
  return (verb === 'portion' ? places.at(-1) : places[Number(nth) - 1]) ?? -1;
}

/** The share that a line says, or what is usual where it says none; undefined where it is no such line. */
function shareOf(step: Step | undefined, c: ProcessConstants): number | undefined {
  if (step?.do === 'puree') return step.loss ?? c.puree.loss;
  if (step?.do === 'sieve') return step.loss ?? c.sieveLoss;
  return step?.do === 'portion' ? step.overfill : undefined;
}
