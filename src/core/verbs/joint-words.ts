import { matchAt, plain } from '../said';
import { fine, refuse, type Outcome } from '../trouble';
import type { WrittenCost } from '../written';
import type { Namer } from '../said';
import * as texts from './texts';

/** How a joint product is costed, behind a comma at the end of a line: a group of a pattern. */
export const COST = String.raw`(,\s*(?:by weight|at .+ a kilo|market .+ a kilo))?`;

/** How a joint product shares the cost, as it is said behind a comma; the usual way where nothing is said. */
export function costIn(said: string, usual: WrittenCost): Outcome<WrittenCost> {
  const words = said.replace(/^,\s*/, '');
  if (words === '') return fine(usual);
  if (/^by weight$/i.test(words)) return fine({ by: 'weight' });
  const credit = /^at (\d+(?:\.\d{1,4})?) a kilo$/i.exec(words);
  if (credit) return fine({ by: 'credit', perKg: matchAt(credit, 1) });
  const market = /^market (\d+(?:\.\d{1,4})?) to (\d+(?:\.\d{1,4})?) a kilo$/i.exec(words);
  if (market) return fine({ by: 'market', perKg: matchAt(market, 1), restPerKg: matchAt(market, 2) });
  return refuse('not-understood', '', texts.noWayToShareCost(words));
}

/** How it is costed in words, where that is not the usual way. */
export function costWords(cost: WrittenCost, usual: 'weight' | 'credit' | 'none'): string {
  if (cost.by === 'market') return `, market ${cost.perKg} to ${cost.restPerKg} a kilo`;
  if (cost.by === 'weight') return usual === 'weight' ? '' : ', by weight';
  return usual === 'credit' && cost.perKg === '0' ? '' : `, at ${cost.perKg} a kilo`;
}

/** Where fat goes that is taken off: to another use under its name, or nowhere. */
export interface FatGoes {
  readonly as?: string | undefined;
  readonly cost?: WrittenCost | undefined;
}

export function fatIn(name: string, cost: string): Outcome<FatGoes> {
  if (name === '') return fine({});
  if (cost === '') return fine({ as: plain(name) });
  const how = costIn(cost, { by: 'credit', perKg: '0' });
  return how.ok ? fine({ as: plain(name), cost: how.value }) : how;
}

export const fatWords = (step: FatGoes, name: Namer): string =>
  step.as === undefined ? '' : ` as ${name.part(step.as)}${step.cost ? costWords(step.cost, 'none') : ''}`;
