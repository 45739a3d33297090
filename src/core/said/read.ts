import { HEATS, type Band, type Heat, type Roux } from '../pot';
import type { WrittenStep } from '../kitchen-file';
import { refuse, type Outcome } from '../trouble';
import { at, step } from './match';
import { findNamed, type Names } from './names';
import { readCook, readReduce } from './read-heat';
import { addFor, readAdd, readBand, readSeasonTo, readToTaste, readWith, type With } from './read-matter';
import { COST, readPick, readPortion, readStand, readStrain, withCost, withFat } from './read-parts';

type Rule = readonly [RegExp, (m: RegExpExecArray, names: Names) => Outcome<WrittenStep>];

const RULES: readonly Rule[] = [
  // Before the verbs: “brown crab to taste” browns nothing.
  [/^(.+?)\s+to taste,\s*usually\s+(.+)$/i, (m, names) => readToTaste(at(m, 1), at(m, 2), names)],
  [
    new RegExp(
      String.raw`^brown\s+(.+?)(?:,\s*fat run off\s+(.+?)(?:\s+(kept in the pot)|\s+as\s+(.+?)${COST})?)?(?:,\s*takes\s+(.+?))?$`,
      'i',
    ),
    (m) =>
      withFat(at(m, 4), at(m, 5), (fat) => ({
        do: 'brown',
        loss: at(m, 1),
        ...(m[2] ? { fatRunOff: at(m, 2) } : {}),
        ...(m[3] ? { fatKept: true } : {}),
        ...fat,
        ...(m[6] ? { time: at(m, 6) } : {}),
      })),
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
    new RegExp(
      String.raw`^pick\s+(\S+(?:\s*%)?)(?:\s+of the\s+(.+?))?(?:\s+(back)|\s+as\s+(.+?))${COST}$`,
      'i',
    ),
    (m, names) => readPick(at(m, 1), at(m, 2), at(m, 3) === '' ? at(m, 4) : undefined, at(m, 5), names),
  ],
  [
    new RegExp(String.raw`^keep for a second wash as\s+(.+?)${COST}$`, 'i'),
    (m) =>
      withCost(at(m, 2), { by: 'credit', perKg: '0' }, (cost) => ({ do: 'second wash', as: at(m, 1), cost })),
  ],
  [
    new RegExp(String.raw`^draw off\s+(.+?)(\s+of the liquid)?\s+as\s+(.+?)${COST}$`, 'i'),
    (m) =>
      withCost(at(m, 4), { by: 'weight' }, (cost) => ({
        do: 'draw off',
        amount: at(m, 1),
        as: at(m, 3),
        liquidOnly: m[2] !== undefined,
        cost,
      })),
  ],
  [
    /^into\s+(.+?)(?:\s+on\s+(.+))?$/i,
    (m, names) => readStand(at(m, 1), at(m, 2), names, (vessel, hob) => ({ do: 'into', vessel, hob })),
  ],
  [
    /^split\s+(.+?)(\s+of the liquid)?\s+into\s+(.+?)(?:\s+on\s+(.+))?$/i,
    (m, names) =>
      readStand(at(m, 3), at(m, 4), names, (vessel, hob) => ({
        do: 'split',
        amount: at(m, 1),
        liquidOnly: m[2] !== undefined,
        vessel,
        hob,
      })),
  ],
  [
    /^(turn to|combine with)\s+(?:the\s+)?(.+)$/i,
    (m, names) => {
      const found = findNamed(at(m, 2), names.vessels, 'vessel');
      if (!found.ok) return found;
      return step({ do: /^turn/i.test(at(m, 1)) ? 'turn to' : 'combine', vessel: found.value.id });
    },
  ],
  [
    new RegExp(String.raw`^(?:chill and lift the fat|take off the fat cold)(?:\s+as\s+(.+?)${COST})?$`, 'i'),
    (m) => withFat(at(m, 1), at(m, 2), (fat) => ({ do: 'defat', by: 'cold', ...fat })),
  ],
  [
    new RegExp(String.raw`^take off the fat with a (ladle|jug)(?:\s+as\s+(.+?)${COST})?$`, 'i'),
    (m) =>
      withFat(at(m, 2), at(m, 3), (fat) => ({
        do: 'defat',
        by: at(m, 1).toLowerCase() as 'ladle' | 'jug',
        ...fat,
      })),
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
    /^portion\s+(.+?)(?:,\s*(.+?)\s+over)?(?:,\s*in\s+(?:an?\s+)?(.+))?$/i,
    (m, names) => readPortion(at(m, 1), at(m, 2), at(m, 3), names),
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
  // What a step takes of hands can stand behind any of them.
  const hands = /^(.+),\s*([^,]+?)\s+of hands$/i.exec(said);
  if (!hands) return readDoing(said, names);
  const read = readDoing(at(hands, 1), names);
  return read.ok && read.value.do !== 'unread' ? step({ ...read.value, hands: at(hands, 2) }) : read;
}

function readDoing(said: string, names: Names): Outcome<WrittenStep> {
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
