import { lineWords } from '../kitchen-file';
import { copyPot, doStep, noReport, type LedgerRow, type PotState, type ProcessConstants } from '../pot';
import { readStep, tryResolve, VERBS, writeStep, type Shelf, type WrittenStep } from '../verbs';
import type { Of } from '../written';
import { costIn, shelfOfPantry, type Pantry, type PantryStock } from './pantry';
import { rescueWays, type Problem, type RescueWay } from './rescue';
import { runningOf, stepsDone, type StoveSetup } from './running';
import { potFigures, type PotFigures } from './batch-figures';
import { estimateBatch } from './estimate';

/** A way to put a pot right, as it is shown. */
export interface RescueOption extends RescueWay {
  readonly words: string;
  /** What comes in costs, money; null where a price is not known. */
  readonly cost: number | null;
}

/** What can be done about a pot, and what it was asked for. */
export interface RescueAdvice {
  readonly goal: number;
  readonly now: number;
  readonly ways: readonly RescueOption[];
  readonly trouble: string | undefined;
}

/** A line that was typed, as it is understood; or why it is not. */
export type ParsedLine =
  | { readonly ok: true; readonly as: WrittenStep; readonly words: string }
  | { readonly ok: false; readonly message: string };

/** What a pot is once something has come into it. */
export interface PotAfter {
  readonly before: PotFigures;
  readonly after: PotFigures;
  /** Money of what came in; null where a price is not known. */
  readonly cost: number | null;
  /** Allergens that were not in it before. */
  readonly allergens: readonly string[];
}

export type ParsedArrival =
  (Extract<ParsedLine, { ok: true }> & PotAfter) | Extract<ParsedLine, { ok: false }>;

/** How a sheet ends, as far as a pot may be brought there. */
type SheetEnd = Pick<LedgerRow, 'body' | 'saltPct' | 'ml'>;

/** What is known of the sheet that a batch is cooked by: how it ends, and the bones and shells that are in it. */
export interface SheetTarget {
  readonly end: SheetEnd | undefined;
  readonly bones: readonly string[];
}

/** What is to become of a pot. */
interface Wanted {
  readonly problem: Problem;
  /** Body, % of salt or litres; null for what is usual. */
  readonly wanted: number | null;
  readonly sheet: SheetTarget;
}

/** Share of what is there that is wanted where the sheet does not say. */
const USUAL: Readonly<Record<Problem, number>> = {
  'too thick': 0.75,
  'too thin': 1.3,
  'too salty': 0.8,
  'too little': 1.25,
};
/** A sheet that wants what is there already has nothing to say. */
const NEARLY = 0.02;
const MOST_STOCKS = 2;

const standsAt = (problem: Problem, pot: SheetEnd): number =>
  problem === 'too salty' ? pot.saltPct : problem === 'too little' ? pot.ml / 1000 : pot.body;

/** What is usually wanted: what the sheet ends with, where that is on the right side, else so much of what is there. */
function usualGoal(problem: Problem, stands: number, sheet: number | undefined): number {
  const up = USUAL[problem] > 1;
  const fits = sheet !== undefined && (up ? sheet > stands * (1 + NEARLY) : sheet < stands * (1 - NEARLY));
  return Number((fits && sheet > 0 ? sheet : stands * USUAL[problem]).toPrecision(2));
}

/** What may be asked and said at a pot, out of what the house has. */
export class PotAdvisor {
  private readonly shelf: Shelf;
  private readonly prices: ReadonlyMap<string, number>;

  constructor(private readonly pantry: Pantry) {
    this.shelf = shelfOfPantry(pantry);
    this.prices = new Map(pantry.prices);
  }

  /** A batch ready to be followed, with what has been told of it since it was read. */
  running = (batch: StoveSetup) => runningOf(batch, this.shelf);

  /** Its lines as they are said, as they were really done. */
  lines = (batch: StoveSetup): string[] => stepsDone(batch).map((s) => lineWords(s, {}, this.names(batch)));

  /** A line of a batch as one would type it; undefined where it is not one of its lines. */
  line(batch: StoveSetup, id: string): string | undefined {
    const step = stepsDone(batch).find((s) => s.id === id);
    return step && writeStep(step, this.pantry.names);
  }

  /** A line as somebody says that it was really done. */
  read(batch: StoveSetup, text: string): ParsedLine {
    const read = readStep(text, this.pantry.names);
    if (!read.ok) return { ok: false, message: read.trouble.message };
    const as = read.value as WrittenStep;
    const step = tryResolve(as, this.shelf);
    if (!step.ok) return { ok: false, message: step.trouble.message };
    return { ok: true, as, words: lineWords(as, {}, this.names(batch)) };
  }

  /** What a pot is once something that was typed has come into it; undefined where the pot cannot be followed. */
  cameIn(batch: StoveSetup, text: string, now: number, c: ProcessConstants): ParsedArrival | undefined {
    const read = this.read(batch, text);
    if (!read.ok) return read;
    const pot = this.pot(batch, now, c);
    const step = tryResolve(read.as, this.shelf);
    if (!pot || !step.ok) return undefined;
    const report = noReport();
    const after = copyPot(pot);
    const cannot = doStep(VERBS, after, step.value, c, report);
    if (cannot) return { ok: false, message: cannot.message };
    return {
      ...read,
      before: potFigures(pot, c),
      after: potFigures(after, c),
      cost: costIn(this.prices, report.inputs),
      allergens: [...after.allergens].filter((a) => !pot.allergens.has(a)).sort(),
    };
  }

  /**
   * What can be done about a pot as it is now: each way solved for its amount.
   * @returns undefined where the pot cannot be followed
   */
  putRight(
    batch: StoveSetup,
    { problem, wanted, sheet }: Wanted,
    now: number,
    c: ProcessConstants,
  ): RescueAdvice | undefined {
    const pot = this.pot(batch, now, c);
    if (!pot) return undefined;
    const stands = standsAt(problem, potFigures(pot, c));
    const goal = wanted ?? usualGoal(problem, stands, sheet.end && standsAt(problem, sheet.end));
    const found = rescueWays(pot, c, problem, goal, {
      shelf: this.shelf,
      thickeners: this.pantry.thickeners,
      stocks: this.stocksFor(pot, batch.recipe, sheet.bones),
    });
    if (!found.ok) return { goal, now: stands, trouble: found.trouble.message, ways: [] };
    const names = this.names(batch);
    return {
      goal,
      now: stands,
      trouble: undefined,
      ways: found.value.map((way) => ({
        ...way,
        words: way.steps.map((s) => lineWords(s, {}, names)).join(', then '),
        cost: costIn(this.prices, way.takes),
      })),
    };
  }

  /**
   * Stocks that a pot may be made up with: never what it is to become, nothing with an allergen that is not in it, and nothing of bones
   * where it has none. Those of its own bones come first, then the cheapest.
   */
  private stocksFor(pot: PotState, recipe: string, bones: readonly string[]): Of[] {
    const own = new Set(bones);
    const kin = (stock: PantryStock): boolean => stock.bones.some((b) => own.has(b));
    const fits = this.pantry.stocks.filter(
      (s) =>
        s.recipe !== recipe &&
        (s.bones.length === 0 || own.size > 0) &&
        this.allergensOf(s).every((a) => pot.allergens.has(a)),
    );
    return [...fits.filter(kin), ...fits.filter((s) => !kin(s))].slice(0, MOST_STOCKS).map((s) => s.of);
  }

  private allergensOf({ recipe }: PantryStock): readonly string[] {
    const found = this.shelf.product(recipe);
    return found.ok ? found.value.product.allergens : [];
  }

  private names = ({ recipe }: StoveSetup) => ({ ...this.pantry.names, self: recipe });

  private pot(batch: StoveSetup, now: number, c: ProcessConstants): PotState | undefined {
    const running = this.running(batch);
    return running && estimateBatch(running, now, c).pot;
  }
}
