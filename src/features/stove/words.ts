import type { WrittenBatchEvent } from '@/core/kitchen-file';
import type { Heat, Lid } from '@/core/pot';

/** A heat and a lid in words. */
export const heatWords = ({ heat, lid }: { readonly heat: Heat; readonly lid: Lid }): string =>
  `${heat}, ${lid === 'off' ? 'no lid' : lid === 'ajar' ? 'lid ajar' : lid === 'on' ? 'lid on' : 'under paper'}`;

const ANSWERED = {
  lost: 'drawn off, spilled or boiled over',
  water: 'topped up with water',
  read: 'it is as it was read',
  misread: 'misread',
} as const;

const NOT_LEARNED = {
  gives: 'what it gave',
  keeps: 'what the strainer kept',
  clings: 'what stayed in strainers or on walls',
  loses: 'what stayed in the machine',
  pours: 'how full its portions were',
  hands: 'labour',
} as const;

/** What happened to a batch, as it is told. */
export function eventWords(event: WrittenBatchEvent, line?: string): string {
  switch (event.is) {
    case 'done':
      return `done: ${line ?? 'a line'}`;
    case 'dip':
      return `${event.cm} cm below the rim${event.with === 'spoon' ? ', by the spoon' : ''}${event.celsius === undefined ? '' : `, at ${event.celsius} °C`}`;
    case 'litres':
      return `${event.l} l by the jug`;
    case 'kilos':
      return `${event.kg} kg by the scale`;
    case 'salt':
      return `${event.pct} % salt by the meter`;
    case 'off':
      return 'heat off';
    case 'degrees':
      return `${event.celsius} °C`;
    case 'taste':
      return [event.thick && `tastes ${event.thick}`, event.salt && `tastes ${event.salt}`]
        .filter(Boolean)
        .join(', ');
    case 'note':
      return event.text;
    case 'answered':
      return ANSWERED[event.as];
    case 'rescue':
      return event.problem.startsWith('too') ? `${event.problem}: put right` : event.problem;
    case 'left':
      return `${event.why}: ${event.l} l are left`;
    case 'moved':
      return `cools in the ${event.to}, ${event.depthCm} cm deep`;
    case 'reheating':
      return 'is reheated';
    case 'holding':
      return 'is held hot';
    case 'night':
      return `left overnight${event.heat ? `, turned down to ${event.heat}` : ''}`;
    case 'brix':
      return `${event.bx} °Bx by the refractometer`;
    case 'sets':
      return `a chilled spoonful ${event.how}`;
    case 'left out':
      return `not learned from: ${heatWords(event)}`;
    case 'not learned':
      return `not learned from: ${NOT_LEARNED[event.kind]}${event.kind === 'hands' ? ` (${event.of})` : ''}`;
    case 'otherwise':
      return `done differently: ${line ?? 'a line'}`;
    case 'ended':
      return [
        event.l === undefined ? 'ended' : `ended: ${event.l} l`,
        event.portions !== undefined && `${event.portions} portions`,
      ]
        .filter(Boolean)
        .join(', ');
  }
}
