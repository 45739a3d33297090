import { plural } from '@/core/plural';

/** What people read in core/planner. */

// for-covers.ts
export const noSuchDish = 'There is no such dish.';
export const coversOutOfRange = (covers: number): string => `${covers} covers: from 1 to 100000.`;
export const leftOut = (name: string, count: number): string =>
  `${name}: ${plural(count, 'one line cannot be read and is', `${count} lines cannot be read and are`)} left out.`;
export const cannotMade = (name: string): string => `${name} cannot be made.`;
export const noneVesselsCanMake = (ml: string, name: string): string =>
  `None of the vessels can make ${ml} l of ${name}.`;
