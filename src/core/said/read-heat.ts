import type { Heat, Lid } from '../pot';
import type { WrittenStep } from '../kitchen-file';
import { refuse, type Outcome } from '../trouble';
import { at, step } from './match';

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

/** `simmer 4 h lid ajar`, from behind the heat. */
export function readCook(heat: Heat, text: string): Outcome<WrittenStep> {
  const fat = /,?\s*under its fat$/i;
  const { rest, lid } = takeLid(text.replace(fat, ''));
  return step({
    do: 'cook',
    heat,
    time: rest.replace(/^,?\s*for\s+/i, '').trim(),
    lid,
    ...(fat.test(text) ? { underFat: true } : {}),
  });
}

const HEAT_TAILS: readonly (readonly [RegExp, Heat])[] = [
  [/\s+at a bare simmer$/i, 'bare simmer'],
  [/\s+at a simmer$/i, 'simmer'],
  [/\s+at a brisk boil$/i, 'brisk boil'],
  [/\s+at a hard boil$/i, 'hard boil'],
  [/\s+in a wide pan$/i, 'wide pan'],
];

/** `reduce by half at a simmer`, from behind the verb. */
export function readReduce(text: string): Outcome<WrittenStep> {
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
