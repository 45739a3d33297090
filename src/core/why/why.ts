import { costOfPlate, type KitchenCosting } from '../costing';
import { layerName, layerText, type Layer } from '../layers';
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
        per: 'in the dish',
        detail: `${written.amount}${weighed}${servedWords(times)} at ${money(behind.money ?? 0)} ${behind.per ?? ''}`,
        estimate: behind.estimate,
        rows: [{ ...behind, title: capital(behind.per ?? behind.title) }],
      },
    ];
  });
  return {
    title: plate?.plate.name ?? 'Dish',
    money: cost.cost,
    per: 'per dish',
    detail: `${rows.length} things on it`,
    goTo: `plate:${id}`,
    rows: [...missing(costing, `plate:${id}`), ...rows],
  };
}

/** The same of all layers that are counted: what each of them brings, the ingredients down to the purchase. */
export function whyCounted(
  costing: KitchenCosting,
  key: string,
  counted: readonly Layer[],
  money: ShowMoney,
): Why {
  const ingredients = whyCost(costing, key, money);
  const beside = counted.filter((l) => l !== 'ingredients');
  if (beside.length === 0 || !/^(product|plate):/.test(key)) return ingredients;
  // A product is told by the kilo or the litre: what stands beside its ingredients is told for as much of it.
  const perG = costing.graph.cost(key);
  const many = perG === null || perG === 0 || ingredients.money == null ? null : ingredients.money / perG;
  const rows = beside.map((layer): Why => {
    const cost = costing.layer(layer).cost(key);
    return {
      title: capital(layerName(layer)),
      money: cost === null || many === null ? null : cost * many,
      per: ingredients.per,
      detail: LAYER_DETAIL[layer],
      rows: [],
    };
  });
  const all = [ingredients.money, ...rows.map((r) => r.money)];
  const total = all.reduce<number | null>((sum, m) => (sum === null || m == null ? null : sum + m), 0);
  return {
    title: ingredients.title,
    money: total,
    per: ingredients.per,
    detail: layerText(counted),
    goTo: ingredients.goTo,
    rows: [{ ...ingredients, title: 'Ingredients' }, ...rows],
  };
}

const LAYER_DETAIL: Readonly<Record<Exclude<Layer, 'ingredients'>, string>> = {
  packaging: 'what it is put in',
  energy: 'what the hobs take off the meter',
  hands: 'active minutes at the wage',
};
