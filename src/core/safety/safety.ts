/*
 * Every sentence about safety, allergens and the law, in one place. A change here is listed with its old and new wording in
 * the change log. The sentences defer to local code, the site's own plan and the label: Half Pot decides none of it.
 */

const list = (names: readonly string[]): string => names.join(', ');

/** Cautions at a step. Each ends with what comes first. */
const CAUTION_ENDS = 'Local food code and the site’s own plan come first.';
const caution = (words: string): string => `${words} ${CAUTION_ENDS}`;

export const cautions = {
  /** @param volume litres in words */
  hotAndHeavy: (volume: string) => caution(`Hot and heavy, ${volume}: lift and pour with two people.`),
  hotLiquid: caution('Hot liquid: pour away from yourself.'),
  spirits: caution('Alcohol vapour over a flame: keep your face and sleeves away.'),
  hotBlending: caution(
    'Hot liquid in a closed blender bursts out: fill it by half and hold a cloth over it.',
  ),
  coolFast: caution('Cool fast in shallow pans or small tubs, never deep on the bench.'),
  coolBeforeResting: caution('Cool fast in shallow pans before it rests overnight, never deep on the bench.'),
  keptWarm: caution('Kept warm it stays hot, or it is a place for bacteria.'),
} as const;

/** Printed under a sheet for the wall. */
export const WALL_ENDS = 'Local food code and this kitchen’s own food-safety plan come first.';

/** Allergens of what a pot makes. An empty list never means *free of*. */
export const allergenWords = {
  none: 'No allergens come in with these ingredients as they are entered; the label decides.',
  contains: (names: readonly string[]) =>
    `Contains ${list(names)}, and so does every dish made with it. The label decides.`,
  /** After the wrong thing went into a pot. */
  nowContains: (names: readonly string[]) =>
    `It now contains ${list(names)}. Tell everyone who serves a dish made from this pot before anything is poured.`,
} as const;

/** Allergens that labels here have to name. A kitchen may add its own. */
export const LABEL_ALLERGENS = [
  'celery',
  'crustaceans',
  'egg',
  'fish',
  'gluten',
  'lupin',
  'milk',
  'molluscs',
  'mustard',
  'nuts',
  'peanuts',
  'sesame',
  'soya',
  'sulphites',
] as const;

/** The allergen page, on screen and on paper. */
export const allergenPage = {
  lead: 'From the labels that were checked here, down to each ingredient; where none was, from what is usual for it. The label on the packet and local food law come first.',
  dash: '– No ingredient’s label names it. Traces are not covered.',
  notShown: (names: readonly string[]) =>
    names.length === 0 ? '' : `Not shown, because no label checked here names them: ${list(names)}.`,
  paper:
    'An empty cell: no ingredient contains it, by the labels that were checked and by what is usual for the others. Local food law and the label on the packet come first.',
  toCheck: (many: number) =>
    many === 1 ? 'One label has not been checked:' : `${many} labels have not been checked:`,
  untilThen: 'Until then, do not tell anybody that these are free of anything.',
  unknown: 'not known',
} as const;

/** What an ingredient contains by its label. */
export const labelWords = {
  noneNamed: 'none of those that labels name',
  unread: 'not known: label not checked',
  read: 'The label was checked and names none of them',
  confirms: (none: boolean) =>
    `By saving you confirm that the label names these${none ? ': none' : ''} and no others.`,
} as const;

/** Cooling, reheating and hot holding. */
export const coolingWords = {
  planDecides: 'The site’s food-safety plan says what becomes of it, not Half Pot.',
  mayBeServed: 'The site’s food-safety plan says whether it may be served.',
} as const;
