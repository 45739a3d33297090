import { HEATS, STRAINERS, type Band, type Heat, type Lid, type Roux, type Strainer } from '../pot';
import type { WrittenCost, WrittenStep } from '../kitchen-file';
import { fine, refuse, type Outcome } from '../trouble';
import { findMatter, findNamed, type Names } from './names';

/** A number, fraction or several of them with units, up to where the name begins. */
const AMOUNT = String.raw`(?:half an?|half|quarter|third|\d[\d.,'/⁄]*)(?:\s+\d+\s*[/⁄]\s*\d+)?(?:\s*[x×*]\s*\d[\d.,'/⁄]*)*`;
const UNIT = String.raw`(?:(?:us|imp)\s+)?(?:fl oz|pints?|quarts?|gallons?|kg|kilos?|mg|g|grams?|lbs?|pounds?|oz|ounces?|ml|cl|dl|l|litres?|liters?|each|ea|pieces?|pcs?|heads?|bunch(?:es)?|bottles?|cans?|tins?|bushels?)`;
const addWith = (units: string): RegExp => {
  const unit = `(?:${units})`;
  return new RegExp(
    String.raw`^((?:${AMOUNT})\s*${unit}(?:\s+\d[\d.,'/⁄]*\s*${unit})*)(?![a-z])\s*(?:of\s+)?(.+)$`,
    'i',
  );
};
const ADD = addWith(UNIT);
const withMeasures = new WeakMap<Names, RegExp>();

/** The form of an addition, the kitchen's own measures among its units. */
function addFor(names: Names): RegExp {
  if (!names.measures?.length) return ADD;
  const made =
    withMeasures.get(names) ?? addWith(`(?:${names.measures.map((m) => m.name).join('|')})s?|${UNIT}`);
  withMeasures.set(names, made);
  return made;
}
const SHARE_OF: Readonly<Record<string, string>> = {
  'by half': '1/2',
  'to half': '1/2',
  'to a half': '1/2',
  'by two thirds': '1/3',
  'to a third': '1/3',
  'by three quarters': '1/4',
  'to a quarter': '1/4',
  'to an eighth': '1/8',
};

type Rule = readonly [RegExp, (m: RegExpExecArray, names: Names) => Outcome<WrittenStep>];
const at = (m: RegExpExecArray, i: number): string => (m[i] ?? '').trim();
const step = (s: WrittenStep): Outcome<WrittenStep> => fine(s);

const RULES: readonly Rule[] = [
  // Before the verbs: “brown crab to taste” browns nothing.
  [/^(.+?)\s+to taste,\s*usually\s+(.+)$/i, (m, names) => readToTaste(at(m, 1), at(m, 2), names)],
  [
    /^brown\s+(.+?)(?:,\s*fat run off\s+(.+?))?(?:,\s*takes\s+(.+?))?$/i,
    (m) =>
      step({
        do: 'brown',
        loss: at(m, 1),
        ...(m[2] ? { fatRunOff: at(m, 2) } : {}),
        ...(m[3] ? { time: at(m, 3) } : {}),
      }),
  ],
  [/^water\s+to\s+cover(?:\s+by\s+(.+))?$/i, (m) => step({ do: 'water', cover: at(m, 1) || '0 cm' })],
  [/^water\s+to\s+(.+\b(?:cm|mm|in|inch|inches))$/i, (m) => step({ do: 'water', level: at(m, 1) })],
  [/^water\s+(.+)$/i, (m) => step({ do: 'water', amount: at(m, 1) })],
  [/^bring\s+to\s+(.+)$/i, (m) => step({ do: 'bring', to: at(m, 1) })],
  [
    /^skim\s+(.+?)(\s+off the surface)?$/i,
    (m) => step({ do: 'skim', amount: at(m, 1), from: m[2] ? 'surface' : 'body' }),
  ],
  [
    /^strain(?:\s+through\s+(?:a\s+)?([^,]+?))?(,\s*(?:not\s+)?pressed)?(?:,\s*keep\s+(?:the\s+)?(.+))?$/i,
    (m, names) => readStrain(at(m, 1), at(m, 2), at(m, 3), names),
  ],
  [
    /^pick\s+(\S+(?:\s*%)?)(?:\s+of the\s+(.+?))?(?:\s+(back)|\s+as\s+(.+?))(,\s*(?:by weight|at .+ a kilo|market .+ a kilo))?$/i,
    (m, names) => readPick(at(m, 1), at(m, 2), at(m, 3) === '' ? at(m, 4) : undefined, at(m, 5), names),
  ],
  [
    /^keep for a second wash as\s+(.+?)(,\s*(?:by weight|at .+ a kilo|market .+ a kilo))?$/i,
    (m) =>
      withCost(at(m, 2), { by: 'credit', perKg: '0' }, (cost) => ({ do: 'second wash', as: at(m, 1), cost })),
  ],
  [
    /^draw off\s+(.+?)(\s+of the liquid)?\s+as\s+(.+?)(,\s*(?:by weight|at .+ a kilo|market .+ a kilo))?$/i,
    (m) =>
      withCost(at(m, 4), { by: 'weight' }, (cost) => ({
        do: 'draw off',
        amount: at(m, 1),
        as: at(m, 3),
        liquidOnly: m[2] !== undefined,
        cost,
      })),
  ],
  [/^into\s+(.+?)(?:\s+on\s+(.+))?$/i, (m, names) => readInto(at(m, 1), at(m, 2), names)],
  [/^(?:chill and lift the fat|take off the fat cold)$/i, () => step({ do: 'defat', by: 'cold' })],
  [
    /^take off the fat with a (ladle|jug)$/i,
    (m) => step({ do: 'defat', by: at(m, 1).toLowerCase() as 'ladle' | 'jug' }),
  ],
  [/^reduce\s+(.+)$/i, (m) => readReduce(at(m, 1))],
  [
    /^(thicken|loosen)\s+to\s+(?:a\s+)?(soup|pouring|coating|binding)(?:\s+consistency)?\s+with\s+(.+)$/i,
    (m, names) =>
      readBand(
        at(m, 1).toLowerCase() as 'thicken' | 'loosen',
        at(m, 2).toLowerCase() as Band,
        at(m, 3),
        names,
      ),
  ],
  [/^top up$/i, () => step({ do: 'top up' })],
  [
    /^cook the roux (white|blond|brown|dark)(?:\s+(?:for\s+)?(.+))?$/i,
    (m) => step({ do: 'roux', to: at(m, 1).toLowerCase() as Roux, ...(m[2] ? { time: at(m, 2) } : {}) }),
  ],
  [
    /^knead(?:\s+(?:for\s+)?(.+))?$/i,
    (m) => step({ do: 'roux', to: 'kneaded', ...(m[1] ? { time: at(m, 1) } : {}) }),
  ],
  [
    /^(pur[ée]e|blend|sieve)(?:,\s*(.+?)\s+lost)?$/i,
    (m) =>
      step({
        do: at(m, 1).toLowerCase() === 'sieve' ? 'sieve' : 'puree',
        ...(m[2] ? { loss: at(m, 2) } : {}),
      }),
  ],
  [/^second pass,\s*(.+?)\s+back$/i, (m) => step({ do: 'second pass', back: at(m, 1) })],
  [
    /^chill\s+to\s+(.+?)(?:,\s*takes\s+(.+))?$/i,
    (m) => step({ do: 'chill', to: at(m, 1), ...(m[2] ? { time: at(m, 2) } : {}) }),
  ],
  [
    /^hold\s+(?:for\s+)?(.+?)(?:,\s*(.+?)\s+an hour lost)?$/i,
    (m) => step({ do: 'hold', time: at(m, 1), ...(m[2] ? { loss: at(m, 2) } : {}) }),
  ],
  [
    /^(thicken|loosen|enrich|deglaze|mount|season)\s+with\s+(.+)$/i,
    (m, names) => readWith(at(m, 1).toLowerCase() as With, at(m, 2), names),
  ],
  [
    /^season\s+to\s+(.+?%)(?:\s+(?:salt\s*)?)?(?:with\s+(.+))?$/i,
    (m, names) => readSeasonTo(at(m, 1), at(m, 2), names),
  ],
  [
    /^portion\s+(.+?)(?:,\s*(.+?)\s+over)?$/i,
    (m) => step({ do: 'portion', size: at(m, 1), ...(m[2] ? { overfill: at(m, 2) } : {}) }),
  ],
  [
    new RegExp(String.raw`^(${HEATS.join('|')})\s+(.+)$`, 'i'),
    (m) => readCook(at(m, 1).toLowerCase() as Heat, at(m, 2)),
  ],
];

/**
 * Reads a step as it is said: `8 kg venison bones`, `brown 18 %`, `water to cover by 3 cm`,
 * `bare simmer 4 h lid ajar`, `strain, pressed`, `reduce by half`, `season to 0.6 %`.
 *
 * Only the form of the line and its names are settled here; amounts stay as typed and are read when
 * the pot is run.
 * @returns trouble `not-understood`, `name-unknown` or `name-unclear`
 */
export function readStep(text: string, names: Names): Outcome<WrittenStep> {
  const said = text.trim().replace(/\s+/g, ' ');
  for (const [pattern, make] of RULES) {
    const match = pattern.exec(said);
    if (match) return make(match, names);
  }
  const added = addFor(names).exec(said);
  if (added) return readAdd(at(added, 1), at(added, 2), names);
  return refuse(
    'not-understood',
    '',
    said === ''
      ? 'Say what happens, such as “8 kg venison bones” or “reduce by half”.'
      : `“${said}” is not understood: say it like “8 kg venison bones”, “simmer 4 h” or “reduce by half”.`,
  );
}

function readAdd(amount: string, name: string, names: Names): Outcome<WrittenStep> {
  const of = findMatter(name, names);
  return of.ok ? step({ do: 'add', of: of.value, amount }) : of;
}

type With = 'thicken' | 'loosen' | 'enrich' | 'deglaze' | 'mount' | 'season';

function readWith(verb: With, rest: string, names: Names): Outcome<WrittenStep> {
  const match = addFor(names).exec(rest);
  if (!match)
    return refuse(
      'not-understood',
      '',
      `“${verb} with ${rest}” needs an amount and a name, such as “${verb} with 80 g butter”.`,
    );
  const of = findMatter(at(match, 2), names);
  return of.ok ? step({ do: verb, of: of.value, amount: at(match, 1) }) : of;
}

function readBand(verb: 'thicken' | 'loosen', band: Band, name: string, names: Names): Outcome<WrittenStep> {
  const of = findMatter(name, names);
  return of.ok ? step({ do: `${verb} to`, of: of.value, band }) : of;
}

function readToTaste(name: string, usual: string, names: Names): Outcome<WrittenStep> {
  const of = findMatter(name, names);
  return of.ok ? step({ do: 'to taste', of: of.value, usual }) : of;
}

function readSeasonTo(salt: string, name: string, names: Names): Outcome<WrittenStep> {
  const of = findMatter(name || 'salt', names);
  return of.ok ? step({ do: 'season to', of: of.value, salt }) : of;
}

function readPick(
  share: string,
  piece: string,
  as: string | undefined,
  cost: string,
  names: Names,
): Outcome<WrittenStep> {
  const found = piece === '' ? undefined : findNamed(piece, names.ingredients, 'ingredient');
  if (found && !found.ok) return found;
  return withCost(cost, { by: 'weight' }, (how) => ({
    do: 'pick',
    share,
    ...(found ? { piece: found.value.id } : {}),
    ...(as === undefined ? {} : { as }),
    cost: how,
  }));
}

/** How a joint product shares the cost, as it is said behind a comma; the usual way where nothing is said. */
function withCost(
  said: string,
  usual: WrittenCost,
  make: (cost: WrittenCost) => WrittenStep,
): Outcome<WrittenStep> {
  const words = said.replace(/^,\s*/, '');
  if (words === '') return step(make(usual));
  if (/^by weight$/i.test(words)) return step(make({ by: 'weight' }));
  const credit = /^at (\d+(?:\.\d{1,4})?) a kilo$/i.exec(words);
  if (credit) return step(make({ by: 'credit', perKg: at(credit, 1) }));
  const market = /^market (\d+(?:\.\d{1,4})?) to (\d+(?:\.\d{1,4})?) a kilo$/i.exec(words);
  if (market) return step(make({ by: 'market', perKg: at(market, 1), restPerKg: at(market, 2) }));
  return refuse(
    'not-understood',
    '',
    `“${words}” is no way to share a cost: “by weight”, “at 12.00 a kilo” or “market 38.00 to 2.00 a kilo”.`,
  );
}

function readStrain(through: string, pressed: string, kept: string, names: Names): Outcome<WrittenStep> {
  const strainer = (through === '' ? 'cone sieve' : through.toLowerCase()) as Strainer;
  if (!STRAINERS.includes(strainer))
    return refuse('name-unknown', '', `“${through}” is not a strainer: ${STRAINERS.join(', ')}.`);
  const keep: string[] = [];
  for (const name of kept === '' ? [] : kept.split(/\s+and\s+(?:the\s+)?/i)) {
    const found = findNamed(name, names.ingredients, 'ingredient');
    if (!found.ok) return found;
    keep.push(found.value.id);
  }
  return step({
    do: 'strain',
    pressed: pressed !== '' && !/not/i.test(pressed),
    through: strainer,
    ...(keep.length > 0 ? { keep } : {}),
  });
}

function readInto(vessel: string, hob: string, names: Names): Outcome<WrittenStep> {
  const v = findNamed(vessel, names.vessels, 'vessel');
  if (!v.ok) return v;
  const h =
    hob === ''
      ? names.hobs[0]
        ? fine(names.hobs[0])
        : refuse('name-unknown', '', 'The kitchen has no hob.')
      : findNamed(hob, names.hobs, 'hob');
  return h.ok ? step({ do: 'into', vessel: v.value.id, hob: h.value.id }) : h;
}

const LIDS: readonly (readonly [RegExp, Lid])[] = [
  [/,?\s*lid ajar$/i, 'ajar'],
  [/,?\s*lid on$/i, 'on'],
  [/,?\s*(?:lid off|open)$/i, 'off'],
  [/,?\s*under paper$/i, 'paper'],
];

function takeLid(text: string): { rest: string; lid: Lid } {
  for (const [pattern, lid] of LIDS) if (pattern.test(text)) return { rest: text.replace(pattern, ''), lid };
  return { rest: text, lid: 'off' };
}

function readCook(heat: Heat, text: string): Outcome<WrittenStep> {
  const { rest, lid } = takeLid(text);
  return step({ do: 'cook', heat, time: rest.replace(/^,?\s*for\s+/i, '').trim(), lid });
}

const HEAT_TAILS: readonly (readonly [RegExp, Heat])[] = [
  [/\s+at a bare simmer$/i, 'bare simmer'],
  [/\s+at a simmer$/i, 'simmer'],
  [/\s+at a brisk boil$/i, 'brisk boil'],
  [/\s+at a hard boil$/i, 'hard boil'],
  [/\s+in a wide pan$/i, 'wide pan'],
];

function readReduce(text: string): Outcome<WrittenStep> {
  const { rest, lid } = takeLid(text);
  const tail = HEAT_TAILS.find(([pattern]) => pattern.test(rest));
  const said = (tail ? rest.replace(tail[0], '') : rest).trim();
  const heat = tail?.[1] ?? 'brisk boil';
  const to = (until: Extract<WrittenStep, { do: 'reduce' }>['until'], value: string): Outcome<WrittenStep> =>
    step({ do: 'reduce', until, to: value.trim(), heat, lid });
  const share = SHARE_OF[said.toLowerCase()];
  if (share) return to('share', share);
  const patterns: readonly (readonly [RegExp, Extract<WrittenStep, { do: 'reduce' }>['until']])[] = [
    [/^to (.+) of it$/i, 'share'],
    [/^to a dip of (.+)$/i, 'dip'],
    [/^to (.+) gelatin$/i, 'gelatin'],
    [/^to (.+) salt$/i, 'salt'],
    [/^to body (.+)$/i, 'body'],
    [/^for (.+)$/i, 'time'],
    [/^to (.+)$/i, 'volume'],
  ];
  for (const [pattern, until] of patterns) {
    const match = pattern.exec(said);
    if (match) return to(until, at(match, 1));
  }
  return refuse(
    'not-understood',
    '',
    `“reduce ${said}” needs a target: “by half”, “to 3 l”, “to a dip of 33 cm”, “to 8 % gelatin” or “for 20 min”.`,
  );
}
