import type { Heat, Lid } from '../pot';
import type { WrittenCost, WrittenStep } from '../kitchen-file';
import { nameMatter, type Names } from './names';

const LID_WORDS: Readonly<Record<Lid, string>> = {
  off: '',
  ajar: ' lid ajar',
  on: ' lid on',
  paper: ' under paper',
};
const HEAT_WORDS: Readonly<Record<Heat, string>> = {
  'bare simmer': ' at a bare simmer',
  simmer: ' at a simmer',
  'brisk boil': '',
  'hard boil': ' at a hard boil',
  'wide pan': ' in a wide pan',
};
/** Shares that are said rather than counted. */
const SAID_SHARES: Readonly<Record<string, string>> = {
  '1/2': 'by half',
  '1/3': 'by two thirds',
  '1/4': 'to a quarter',
  '1/8': 'to an eighth',
};

/** Writes a step the way it is said in a kitchen. `readStep` understands every one of them. */
export const writeStep = (step: WrittenStep, names: Names): string =>
  `${doingWords(step, names)}${step.do === 'unread' || step.hands === undefined ? '' : `, ${step.hands} of hands`}`;

function doingWords(step: WrittenStep, names: Names): string {
  switch (step.do) {
    case 'unread':
      return step.said;
    case 'add':
      return `${step.amount} ${nameMatter(step.of, names)}`;
    case 'thicken':
    case 'loosen':
    case 'enrich':
    case 'deglaze':
    case 'mount':
    case 'season':
      return `${step.do} with ${step.amount} ${nameMatter(step.of, names)}`;
    case 'to taste':
      return `${nameMatter(step.of, names)} to taste, usually ${step.usual}`;
    case 'thicken to':
    case 'loosen to':
      return `${step.do} ${step.band} with ${nameMatter(step.of, names)}`;
    case 'top up':
      return 'top up';
    case 'roux':
      return `${step.to === 'kneaded' ? 'knead' : `cook the roux ${step.to}`}${step.time ? ` ${step.time}` : ''}`;
    case 'puree':
      return `purée${step.loss ? `, ${step.loss} lost` : ''}`;
    case 'sieve':
      return `sieve${step.loss ? `, ${step.loss} lost` : ''}`;
    case 'second pass':
      return `second pass, ${step.back} back`;
    case 'chill':
      return `chill to ${step.to}${step.time ? `, takes ${step.time}` : ''}`;
    case 'hold':
      return `hold ${step.time}${step.loss ? `, ${step.loss} an hour lost` : ''}`;
    case 'season to':
      return `season to ${step.salt} with ${nameMatter(step.of, names)}`;
    case 'brown':
      return `brown ${step.loss}${step.fatRunOff ? `, fat run off ${step.fatRunOff}${step.fatKept ? ' kept in the pot' : fatWords(step)}` : ''}${step.time ? `, takes ${step.time}` : ''}`;
    case 'water':
      if ('amount' in step) return `water ${step.amount}`;
      return 'level' in step ? `water to ${step.level}` : `water to cover by ${step.cover}`;
    case 'bring':
      return `bring to ${step.to}`;
    case 'cook':
      return `${step.heat} ${step.time}${LID_WORDS[step.lid]}${step.underFat ? ' under its fat' : ''}`;
    case 'skim':
      return `skim ${step.amount}${step.from === 'surface' ? ' off the surface' : ''}`;
    case 'strain':
      return `strain through a ${step.through}${step.pressed ? ', pressed' : ''}${step.keep ? `, keep ${step.keep.map((id) => nameMatter({ ingredient: id }, names)).join(' and ')}` : ''}`;
    case 'pick':
      return `pick ${step.share}${step.piece === undefined ? '' : ` of the ${nameMatter({ ingredient: step.piece }, names)}`}${step.as === undefined ? ' back' : ` as ${step.as}`}${costWords(step.cost, 'weight')}`;
    case 'second wash':
      return `keep for a second wash as ${step.as}${costWords(step.cost, 'credit')}`;
    case 'draw off':
      return `draw off ${step.amount}${step.liquidOnly ? ' of the liquid' : ''} as ${step.as}${costWords(step.cost, 'weight')}`;
    case 'into':
      return `into ${vesselName(step.vessel, names)} on ${hobName(step.hob, names)}`;
    case 'split':
      return `split ${step.amount}${step.liquidOnly ? ' of the liquid' : ''} into ${vesselName(step.vessel, names)} on ${hobName(step.hob, names)}`;
    case 'turn to':
    case 'combine':
      return `${step.do === 'combine' ? 'combine with' : 'turn to'} ${vesselName(step.vessel, names)}`;
    case 'defat':
      return `${step.by === 'cold' ? 'chill and lift the fat' : `take off the fat with a ${step.by}`}${fatWords(step)}`;
    case 'reduce':
      return `reduce ${targetWords(step)}${HEAT_WORDS[step.heat]}${LID_WORDS[step.lid]}`;
    case 'portion':
      return `portion ${step.size}${step.overfill ? `, ${step.overfill} over` : ''}${step.container === undefined ? '' : `, in ${nameMatter({ ingredient: step.container }, names)}`}`;
  }
}

const vesselName = (id: string, names: Names): string =>
  names.vessels.find((v) => v.id === id)?.name ?? `[${id}]`;
const hobName = (id: string, names: Names): string => names.hobs.find((h) => h.id === id)?.name ?? `[${id}]`;

/** Where fat goes that is taken off: to another use under its name. */
const fatWords = (step: { as?: string | undefined; cost?: WrittenCost | undefined }): string =>
  step.as === undefined ? '' : ` as ${step.as}${step.cost ? costWords(step.cost, 'none') : ''}`;

/** How it is costed, where that is not the usual way. */
function costWords(cost: WrittenCost, usual: 'weight' | 'credit' | 'none'): string {
  if (cost.by === 'market') return `, market ${cost.perKg} to ${cost.restPerKg} a kilo`;
  if (cost.by === 'weight') return usual === 'weight' ? '' : ', by weight';
  return usual === 'credit' && cost.perKg === '0' ? '' : `, at ${cost.perKg} a kilo`;
}

function targetWords(step: Extract<WrittenStep, { do: 'reduce' }>): string {
  switch (step.until) {
    case 'share':
      return SAID_SHARES[step.to] ?? `to ${step.to} of it`;
    case 'volume':
      return `to ${step.to}`;
    case 'dip':
      return `to a dip of ${step.to}`;
    case 'gelatin':
      return `to ${step.to} gelatin`;
    case 'salt':
      return `to ${step.to} salt`;
    case 'body':
      return `to body ${step.to}`;
    case 'time':
      return `for ${step.to}`;
  }
}
