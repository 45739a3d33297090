import { noParts, type Parts } from '../quantity';
import type { Role, Stuff } from '../larder';
import type { Hob, Matter, Vessel } from '../pot';

/** Things for tests: everything 0 but what the test is about. */
export function stuff(name: string, role: Role, parts: Partial<Parts>, more: Partial<Stuff> = {}): Stuff {
  const known = { ...noParts(), ...parts };
  const sum = Object.values(known).reduce((a, b) => a + b, 0);
  return {
    id: name,
    name,
    role,
    parts: { ...known, rest: known.rest + Math.max(0, 1 - sum) },
    fatBound: false,
    binding: 0,
    gelatinPool: 0,
    gelatinHalfLifeH: 0,
    renderedFat: 0,
    takesWater: 0,
    givesWater: 0,
    juice: 0,
    juiceHalfLifeH: 0.5,
    pulp: 0,
    retention: 0,
    retentionPressed: 0,
    packing: 0.5,
    allergens: [],
    ...more,
  };
}

export const of = (s: Stuff): Matter => ({ is: 'stuff', supply: `usable:${s.id}`, stuff: s });

export const round = (baseCm: number, topCm: number, heightCm: number, maxFill = 1): Vessel => ({
  id: `${baseCm}/${topCm}/${heightCm}`,
  name: `${topCm} cm pot`,
  shape: 'round',
  baseCm,
  topCm,
  heightCm,
  maxFill,
});

export const hob = (netKw: number | null = null): Hob => ({
  id: 'hob',
  name: 'hob',
  netKw,
  fuel: 'electricity',
});
