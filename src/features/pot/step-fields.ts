import { z } from 'zod';
import { STRAINERS } from '@/core/pot';
import type { Names } from '@/core/said';
import { VERBS, WrittenStep, type WrittenStep as Step } from '@/core/verbs';
import * as texts from './texts';

export type StepKind = Exclude<Step['do'], 'unread'>;

/** One field of a verb's form, as its written form in the kitchen file has it. */
export interface Field {
  readonly key: string;
  readonly label: string;
  readonly kind: 'text' | 'one of' | 'yes' | 'matter' | 'ingredient' | 'vessel' | 'hob' | 'pieces' | 'cost';
  readonly options: readonly string[];
  readonly needed: boolean;
}

/** How a verb is called in a list: its own word where that says it. */
const CALLED: Readonly<Partial<Record<StepKind, string>>> = {
  add: texts.putSomething,
  water: 'water',
  bring: texts.bringTemperature,
  cook: texts.simmerOrBoil,
  'turn to': texts.continueVesselSetAside,
  into: texts.pourIntoAnotherVessel,
  split: texts.pourPartIntoAnother,
  combine: texts.combineWhatSetAside,
  defat: texts.takeOffFat,
  'to taste': texts.somethingTaste,
  'thicken to': texts.thickenUntil,
  'loosen to': texts.loosenUntil,
  'season to': texts.seasonSaltContent,
  'second wash': texts.keepSolidsSecondWash,
  'draw off': texts.drawSomeOffSomething,
  return: texts.returnWhatSetAside,
  roux: texts.cookRoux,
  puree: 'purée',
  clarify: texts.clarifyRaft,
};
export const verbWords = (verb: StepKind): string => CALLED[verb] ?? verb;

const LABELS: Readonly<Record<string, string>> = {
  of: 'What',
  amount: texts.howMuch,
  level: texts.dip,
  cover: texts.cover,
  time: texts.howLong,
  to: 'To',
  heat: 'Heat',
  lid: 'Lid',
  loss: 'Lost',
  until: texts.stops,
  through: 'Through',
  pressed: 'Pressed',
  by: 'How',
  as: texts.goes,
  cost: texts.shareCost,
  size: texts.portion,
  overfill: texts.over,
  container: texts.packed,
  band: texts.thick,
  salt: 'Salt',
  share: 'Share',
  back: texts.comesBack,
  usual: 'Usually',
  pieces: texts.whichPieces,
  piece: 'Only',
  fatRunOff: texts.fatRunsOff,
  fatKept: texts.fatStaysPot,
  covered: 'Covered',
  from: 'From',
  liquidOnly: texts.onlyLiquid,
  underFat: texts.underOwnFat,
  juicesOnly: texts.onlyJuices,
  vessel: 'Vessel',
  hob: 'On',
  hands: texts.labourIfNotUsual,
};

/** Of a line rather than of what it does. */
const BESIDE = new Set(['do', 'id', 'note', 'off', 'way']);
/** Lists that are said in words only: a form has no field for them, and loses none of them. */
const CARRIED = ['keep'];
const KINDS: Readonly<Record<string, Field['kind']>> = {
  of: 'matter',
  vessel: 'vessel',
  hob: 'hob',
  piece: 'ingredient',
  container: 'ingredient',
  pieces: 'pieces',
  cost: 'cost',
};

interface Shape {
  readonly properties?: Readonly<
    Record<string, { readonly type?: string; readonly enum?: readonly string[]; readonly default?: unknown }>
  >;
  readonly required?: readonly string[];
}

/** The fields of each written form of a verb: most have one form, water has three. */
export function formsOf(verb: StepKind, names: Names): readonly (readonly Field[])[] {
  return (VERBS[verb].written as readonly z.ZodType[]).map((form) => {
    const { properties = {}, required = [] } = z.toJSONSchema(form, {
      io: 'input',
      unrepresentable: 'any',
    }) as Shape;
    return Object.entries(properties)
      .filter(([key]) => !BESIDE.has(key) && !CARRIED.includes(key))
      .map(([key, shape]): Field => {
        const strainers = key === 'through' ? [...STRAINERS, ...(names.strainers ?? [])] : undefined;
        const options = strainers ?? shape.enum ?? [];
        const kind =
          KINDS[key] ?? (options.length > 0 ? 'one of' : shape.type === 'boolean' ? 'yes' : 'text');
        return {
          key,
          label: LABELS[key] ?? key,
          kind,
          options,
          needed: required.includes(key),
        };
      });
  });
}

/** What stands in the fields of a form: text as typed, ids as chosen. */
export type StepFields = Readonly<Record<string, string>>;

/** A step as its form shows it. */
export function fieldsFrom(step: Step): StepFields {
  return Object.fromEntries(
    Object.entries(step).flatMap(([key, value]) => {
      if (BESIDE.has(key) || value === undefined) return [];
      if (typeof value === 'string') return [[key, value]];
      if (typeof value === 'boolean') return [[key, value ? 'yes' : '']];
      return [[key, JSON.stringify(value)]];
    }),
  );
}

/** The step that filled fields come to; undefined while something that is needed is missing or cannot be. */
export function stepFrom(verb: StepKind, fields: readonly Field[], filled: StepFields): Step | undefined {
  const made: Record<string, unknown> = { do: verb };
  for (const { key, kind, needed } of fields) {
    const value = filled[key]?.trim() ?? '';
    if (kind === 'yes') {
      if (value !== '' || needed) made[key] = value !== '';
    } else if (value !== '')
      made[key] =
        kind === 'matter' || kind === 'cost' || (kind === 'pieces' && value.startsWith('['))
          ? (JSON.parse(value) as unknown)
          : value;
  }
  for (const key of CARRIED) if (filled[key]) made[key] = JSON.parse(filled[key]) as unknown;
  const read = WrittenStep.safeParse(made);
  return read.success ? read.data : undefined;
}
