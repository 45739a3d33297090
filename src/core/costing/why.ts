import type { KitchenCosting } from './kitchen';
import { costOfPlate } from './plate-cost';
import { supplyOf } from './resolve';
import { whySupply } from './why-bought';
import { whyLast, whyPart, whyProduct } from './why-made';
import { capital, kg, missing, type ShowMoney, type Why } from './why-row';

/** Answers *why* for any key of the graph (`usable:`, `trim:`, `product:`, `plate:`), down to the purchase. */
export function whyCost(costing: KitchenCosting, key: string, money: ShowMoney): Why {
  const why = (of: string): Why => whyCost(costing, of, money);
  const [kind, id = ''] = key.split(':');
  if (kind === 'plate') return whyPlate(costing, id, money);
  if (kind === 'product') {
    const [recipe = '', part] = id.split('#');
    return part === undefined
      ? whyProduct(costing, recipe, money, why)
      : whyPart(costing, recipe, part, money, why);
  }
  if (kind === 'last') return whyLast(costing, id, money);
  return whySupply(costing, id, kind === 'trim', money);
}

function whyPlate(costing: KitchenCosting, id: string, money: ShowMoney): Why {
  const cost = costOfPlate(costing, id);
  const plate = costing.plates.get(id);
  const rows = (plate?.lines ?? []).map(({ written, resolved }, i): Why => {
    const behind = whyCost(costing, supplyOf(written.of), money);
    const weighed = resolved.ok && !written.amount.includes('g') ? `, ${kg(resolved.value.g)},` : '';
    return {
      title: behind.title,
      money: cost.lines[i],
      per: 'on the plate',
      detail: `${written.amount}${weighed} at ${money(behind.money ?? 0)} ${behind.per ?? ''}`,
      estimate: behind.estimate,
      rows: [{ ...behind, title: capital(behind.per ?? behind.title) }],
    };
  });
  return {
    title: plate?.plate.name ?? 'Plate',
    money: cost.cost,
    per: 'a plate',
    detail: `${rows.length} things on it`,
    goTo: `plate:${id}`,
    rows: [...missing(costing, `plate:${id}`), ...rows],
  };
}
