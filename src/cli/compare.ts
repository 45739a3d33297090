import {
  waysOf,
  countedPerLitre,
  figuresOfWays,
  meetsTarget,
  kitchenVariants,
  SnapshotPots,
  type QuestionWays,
  type WayFigures,
} from '../core/compare';
import { costKitchen } from '../core/costing';
import { readKitchenText, type WrittenQuestion } from '../core/kitchen-file';
import { historyFrom, ownConstants, stateFrom } from '../core/kitchen-state';
import { countedIn, layerText, type Layer } from '../core/layers';
import { CONSTANTS } from '../core/reference';
import { refuse, type Trouble } from '../core/trouble';
import {
  BAND_STEP_H,
  bandOf,
  simulatedFigure,
  rangesOf,
  wins,
  type Band,
  type SimulationSetup,
} from '../core/uncertainty';

/** A question of a kitchen file laid out, and all it takes to draw it. */
export interface Compared {
  readonly question: WrittenQuestion;
  readonly currency: string;
  readonly layers: readonly Layer[];
  readonly ways: QuestionWays['ways'];
  readonly notes: QuestionWays['notes'];
  readonly figures: readonly WayFigures[];
  readonly setup: SimulationSetup;
}

/**
 * Lays out one of the questions that a kitchen file keeps.
 * @param called its name, or the beginning of it; left out, the first one
 */
export function compareText(
  text: string,
  called: string | undefined,
): { readonly compared: Compared } | { readonly mistakes: readonly Trouble[] } {
  const read = readKitchenText(text);
  if (!read.ok) return { mistakes: read.mistakes };
  const { file } = read;
  const none = (message: string) => ({ mistakes: [refuse('no-question', '', message).trouble] });
  if (file.questions.length === 0)
    return none('This kitchen keeps no question: ask one on the screen, and keep it.');
  const wanted = (called ?? '').toLowerCase();
  const question = file.questions.find((q) => q.name.toLowerCase().startsWith(wanted));
  if (!question)
    return none(
      `No question is called “${called}”: there are ${file.questions.map((q) => `“${q.name}”`).join(', ')}.`,
    );
  const state = stateFrom(file);
  const day = file.referenceDay;
  const history = historyFrom(file, day);
  const costing = costKitchen(state, day, CONSTANTS, history);
  const others = kitchenVariants(question.asks).map((change) =>
    costKitchen(change(state), day, CONSTANTS, history),
  );
  const made = waysOf(costing, others, question.asks, CONSTANTS);
  if (!made.ok) return { mistakes: [made.trouble] };
  const { apart, ways, notes } = made.value;
  const layers = countedIn(question.beside.join('.'));
  return {
    compared: {
      question,
      currency: file.kitchen.currency,
      layers,
      ways,
      notes,
      figures: figuresOfWays(new SnapshotPots(apart), ways, ownConstants(file.kitchen, CONSTANTS)),
      setup: {
        apart,
        ways,
        uncertain: rangesOf(costing, (article) => history.article(article).points, apart, ways, CONSTANTS),
        layers,
        seed: 1,
        stepH: BAND_STEP_H,
      },
    },
  };
}

/** What `halfpot compare` answers, as data. */
export interface ComparedReport {
  readonly question: string;
  readonly currency: string;
  readonly countedIn: string;
  readonly draws: number;
  readonly ways: readonly {
    readonly name: string;
    readonly costPerLitre: number | null;
    readonly litres: number;
    readonly body: number;
    readonly saltPct: number;
    readonly note: string | undefined;
    readonly incomplete: string | undefined;
    readonly costBand: Band | undefined;
    /** Share of the draws in which it is the cheapest. */
    readonly cheapestIn: number | undefined;
  }[];
}

/** @param values of so many draws as `Simulation` tell them; empty where none were asked for */
export function comparedReport(compared: Compared, values: Float64Array, draws: number): ComparedReport {
  const { ways, figures, notes, question, currency, layers } = compared;
  const costs = ways.map((_, w) => simulatedFigure(values, ways.length, w, 'perL'));
  const may = figures.map((f) => meetsTarget(question.asks, f));
  const won = draws > 0 ? wins(costs, may) : [];
  return {
    question: question.name,
    currency,
    countedIn: layerText(layers),
    draws,
    ways: ways.map((way, i) => {
      const f = figures[i] as WayFigures;
      return {
        name: way.name,
        costPerLitre: countedPerLitre(f.perL, layers),
        litres: f.litres,
        body: f.body,
        saltPct: f.saltPct,
        note: notes[i],
        incomplete: f.trouble,
        costBand: draws > 0 ? bandOf(costs[i] ?? new Float64Array(0)) : undefined,
        cheapestIn: won[i],
      };
    }),
  };
}

/** The same for people to read. */
export function comparedTable({ question, currency, countedIn: said, draws, ways }: ComparedReport): string {
  const money = (v: number | null | undefined): string => (v == null ? '–' : v.toFixed(2));
  const name = Math.max(...ways.map((w) => w.name.length)) + 2;
  const rows = ways.map((w) =>
    [
      w.name.padEnd(name),
      money(w.costPerLitre).padStart(9),
      (w.costBand ? `${money(w.costBand.low)} – ${money(w.costBand.high)}` : '').padStart(18),
      (w.cheapestIn === undefined ? '' : `${Math.round(w.cheapestIn * 100)} %`).padStart(10),
      w.litres.toFixed(2).padStart(9),
      w.body.toFixed(2).padStart(7),
      w.saltPct.toFixed(2).padStart(8),
      w.incomplete ?? w.note ?? '',
    ]
      .join(' ')
      .trimEnd(),
  );
  const head = [
    'way'.padEnd(name),
    'per litre'.padStart(9),
    '4 times in 5'.padStart(18),
    'cheapest'.padStart(10),
    'litres'.padStart(9),
    'body'.padStart(7),
    'salt %'.padStart(8),
  ].join(' ');
  return `${question}, in ${currency}, ${said} counted${draws > 0 ? `; ${draws} draws` : ''}\n\n${head}\n${rows.join('\n')}\n`;
}
