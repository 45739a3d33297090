import 'server-only';
import { clockIn, dayIn } from '@/core/day';
import type { KitchenState } from '@/core/kitchen-state';
import type { DecimalMark } from '@/core/quantity';
import { CONSTANTS, improvedBy, LATER_FIELDS, MODEL_VERSIONS, referenceLarder } from '@/core/reference';
import { lastChange } from '@/db/changes';
import type { CostChanges } from '@/db/mapping/json-columns';
import { savedCostings } from '@/db/kitchen/saved-costings';
import { kitchenVersion } from '@/db/buying/larder';
import { modelChanges, unseenModelChanges, type ModelChange } from '@/db/kitchen/model-changes';
import { costByLayer, costOfProduct } from '@/core/costing';
import { database } from '@/server/database';
import { costedKitchen, standingKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { byName } from '@/search';
import { TAKEN } from './commands';
import { labourTyped, NO_MINUTES, settingsTyped } from './settings/typed';
import type { SettingsTyped } from './settings/wire';
import * as texts from './texts';

/** Minutes of hands of a kind of step: what is usual, and what this kitchen says. */
export interface LabourRow {
  readonly kind: string;
  readonly usual: { readonly fixed: number; readonly perKg: number; readonly perL: number };
  readonly own: { readonly fixed: string; readonly perKg: string; readonly perL: string };
}

export interface ModelChangeRow {
  readonly id: string;
  readonly says: string;
  readonly found: string;
  readonly forDay: string;
  readonly exact: boolean;
  /** Whether the model moved them; else starting values that were taken did. */
  readonly byModel: boolean;
  readonly seen: boolean;
  readonly moves: readonly {
    readonly key: string;
    readonly name: string;
    readonly href: string;
    readonly of: 'per litre' | 'per dish' | 'labour, per litre' | 'labour, per dish';
    readonly before: number | null;
    readonly after: number | null;
  }[];
}

export interface HousePage {
  readonly mayEdit: boolean;
  readonly version: number;
  readonly mark: DecimalMark;
  readonly settings: SettingsTyped;
  readonly hands: readonly LabourRow[];
  readonly shared: {
    readonly usualBatch: number;
    readonly usualPerL: number;
    readonly batch: string;
    readonly perL: string;
  };
  readonly moved: readonly ModelChangeRow[];
  /** Ingredients of which the starting values know more than this kitchen's copy. */
  readonly improved: readonly { readonly id: string; readonly name: string; readonly what: string }[];
  readonly taken: { readonly change: string; readonly on: string; readonly count: number } | undefined;
  /** What of a country's cups stands among the measures. */
  readonly measures: readonly { readonly name: string; readonly amount: string }[];
}

const WORDS: Readonly<Record<(typeof LATER_FIELDS)[number], string>> = {
  juice: texts.juiceGivesUp,
  pulpPct: texts.pulpThickens,
  curdlesAtC: texts.whereCurdles,
  givesHalfLifeH: texts.howFastWilts,
  gelatin: texts.gelatinGives,
};

/** Minutes of hands by kind of step, what is usual beside what is the kitchen's own. */
function handsOf(kitchen: KitchenState['kitchen']): Pick<HousePage, 'hands' | 'shared'> {
  const { kinds, sharedBatch, sharedPerL } = labourTyped(kitchen);
  return {
    hands: Object.entries(CONSTANTS.hands).map(([kind, { fixed, perKg, perL }]) => ({
      kind,
      usual: { fixed: fixed * 60, perKg: perKg * 60, perL: perL * 60 },
      own: kinds[kind] ?? NO_MINUTES,
    })),
    shared: {
      usualBatch: CONSTANTS.sharedHands.batch * 60,
      usualPerL: CONSTANTS.sharedHands.perL * 60,
      batch: sharedBatch,
      perL: sharedPerL,
    },
  };
}

export async function housePage(who: Worker): Promise<HousePage> {
  const { state } = await standingKitchen(who.kitchenId);
  const { kitchen } = state;
  const [version, moves, last] = await Promise.all([
    kitchenVersion(database(), who.kitchenId),
    modelChanges(database(), who.kitchenId),
    lastChange(database(), who.kitchenId, TAKEN, who.kitchenId),
  ]);
  const larder = referenceLarder();
  return {
    mayEdit: may(who.role, 'manager'),
    version,
    mark: kitchen.decimalMark,
    settings: settingsTyped(kitchen),
    ...handsOf(kitchen),
    moved: moves.map((m) => ({
      id: m.id,
      says: whatMoved(m),
      found: `${dayIn(who.zone, m.foundAt)} ${clockIn(who.zone, m.foundAt)}`,
      forDay: m.forDay,
      exact: m.exact,
      byModel: m.fromModel < m.toModel,
      seen: m.seenAt !== undefined,
      moves: m.moves.map(moveRow).sort((a, b) => share(b) - share(a)),
    })),
    improved: state.ingredients
      .flatMap((own) => {
        const row = own.reference === undefined ? undefined : larder.get(own.reference);
        const values = row && improvedBy(own, row);
        return values
          ? [
              {
                id: own.id,
                name: own.name,
                what: LATER_FIELDS.flatMap((f) => (f in values ? [WORDS[f]] : [])).join(', '),
              },
            ]
          : [];
      })
      .sort(byName),
    taken:
      last && last.what === TAKEN[0]
        ? { change: last.id, on: dayIn(who.zone, last.at), count: Object.keys(last.after as object).length }
        : undefined,
    measures: state.measures.map(({ name, amount }) => ({ name, amount })),
  };
}

/** What the versions in between say they did; or that starting values were taken, which no version did. */
const whatMoved = ({ fromModel, toModel }: ModelChange): string =>
  fromModel === toModel
    ? texts.betterStartingValuesTaken
    : MODEL_VERSIONS.filter((v) => v.version > fromModel && v.version <= toModel)
        .map((v) => v.says)
        .join(' ');

const share = ({ before, after }: ModelChangeRow['moves'][number]): number =>
  before === null || after === null || before === 0 ? Infinity : Math.abs(after / before - 1);

function moveRow([key, name, before, after]: CostChanges[number]): ModelChangeRow['moves'][number] {
  const [hands, plain] = [key.startsWith('hands '), key.replace(/^hands /, '')];
  const plate = plain.startsWith('plate:');
  const each = plate ? texts.perDish : texts.perLitre;
  return {
    key,
    name,
    href: `/${plate ? 'pour' : 'pot'}/${plain.slice(plain.indexOf(':') + 1)}`,
    of: hands ? (`labour, ${each}` as const) : each,
    before,
    after,
  };
}

/** How many updates of the model a manager has not looked at: told where he arrives. */
export const unseenModelChangesCount = (who: Worker): Promise<number> =>
  may(who.role, 'manager') ? unseenModelChanges(database(), who.kitchenId) : Promise.resolve(0);

export interface SavedCostingRow {
  readonly id: string;
  readonly on: string;
  readonly by: string;
  readonly model: number;
  /** Put away, to be brought back. */
  readonly away: boolean;
  /** Of the ingredients, a litre or a plate; and what else was known. */
  readonly layers: Readonly<Record<string, number | null>>;
  readonly lines: readonly {
    readonly said: string;
    readonly amount?: string | undefined;
    readonly g?: number | undefined;
    readonly cost: number | null;
    readonly perKg: number | null;
  }[];
}

/** The costings kept of one thing, and what it costs now. */
export interface SavedCostings {
  readonly what: 'product' | 'plate';
  readonly subject: string;
  readonly mayKeep: boolean;
  readonly now: Readonly<Record<string, number | null>>;
  readonly kept: readonly SavedCostingRow[];
}

export async function savedCostingsPage(
  who: Worker,
  what: 'product' | 'plate',
  subject: string,
): Promise<SavedCostings> {
  const [{ costing }, kept] = await Promise.all([
    costedKitchen(who.kitchenId),
    savedCostings(database(), who.kitchenId, subject),
  ]);
  const layers = costByLayer(costing, `${what}:${subject}`);
  const { ml, g } = what === 'product' ? costOfProduct(costing, subject) : { ml: 1000, g: 1 };
  return {
    what,
    subject,
    mayKeep: may(who.role, 'cook'),
    now: Object.fromEntries(
      Object.entries(layers).map(([name, cost]) => [
        name,
        cost === null || ml === 0 ? null : (cost * g * 1000) / ml,
      ]),
    ),
    kept: kept.map((k) => ({
      id: k.id,
      on: dayIn(who.zone, k.keptAt),
      by: k.by ?? 'somebody',
      model: k.model,
      layers: k.body.layers,
      lines: k.body.lines,
      away: k.away,
    })),
  };
}
