import type { Relative } from '@/core/costing';
import type { Formatters } from '@/ui/formatters-context';

/** Where one of the family is looked at by itself. */
export const hrefOf = ({ id, is }: Pick<Relative, 'id' | 'is'>): string => {
  const own = id.slice(id.indexOf(':') + 1);
  return is === 'pot' ? `/pot/${own}` : is === 'plate' ? `/pour/${own}` : `/buy/${own}`;
};

/** What one of the family gives and costs, in a few words. */
export function costWords(r: Relative, { litres, money, bare }: Formatters): string {
  if (r.is === 'plate')
    return r.cost === null
      ? 'incomplete'
      : `${money(r.cost)}${r.foodCostPct === null || r.foodCostPct === undefined ? '' : ` · ${bare(r.foodCostPct, 1)} %${r.over ? ', over its target' : ''}`}`;
  const cost = r.cost === null ? 'incomplete' : `${money(r.cost)} per ${r.inKilos ? 'kilo' : 'litre'}`;
  return r.is === 'bench' ? cost : `${litres(r.ml)} · ${cost}`;
}
