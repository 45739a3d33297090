import { costOfPlate, type KitchenCosting } from '../costing';
import { readSupply } from '../supply';
import { supplyOf } from '../verbs';
import { whySupply } from './why-bought';
import { whyLast, whyPart, whyProduct } from './why-made';
import { capital, kg, missing, type ShowMoney, type Why } from './why-row';

/** Answers *why* for any key of the graph (`usable:`, `trim:`, `product:`, `plate:`), down to the purchase. */
export function whyCost(costing: KitchenCosting, key: string, money: ShowMoney): Why {
  const why = (of: string): Why => whyCost(costing, of, money);
  const from = readSupply(key);
  if (!from || from.is === 'free') return whyPlate(costing, key.slice(key.indexOf(':') + 1), money);
  if (from.is === 'product')
    return from.part === undefined
      ? whyProduct(costing, from.id, money, why)
      : whyPart(costing, from.id, from.part, money, why);
  if (from.is === 'last') return whyLast(costing, from, money);
  return whySupply(costing, from.id, from.is === 'trim', money);
}

/** What more, or less, than its portion a plate uses up. */
const servedWords = (times: number): string =>
  Math.abs(times - 1) < 1e-9 ? '' : ` × ${times.toFixed(3)} as it is served,`;

function whyPlate(costing: KitchenCosting, id: string, money: ShowMoney): Why {
  const cost = costOfPlate(costing, id);
  const plate = costing.plates.get(id);
  const rows = (plate?.lines ?? []).flatMap(({ written, resolved, times }, i): Why[] => {
    if (written.packaging) return [];
    const behind = whyCost(costing, supplyOf(written.of), money);
    const weighed = resolved.ok && !written.amount.includes('g') ? `, ${kg(resolved.value.g)},` : '';
    return [
      {
        title: behind.title,
        money: cost.lines[i],
        per: 'on the plate',
        detail: `${written.amount}${weighed}${servedWords(times)} at ${money(behind.money ?? 0)} ${behind.per ?? ''}`,
        estimate: behind.estimate,
        rows: [{ ...behind, title: capital(behind.per ?? behind.title) }],
      },
    ];
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
