import { costOfProduct, inputCosts, whereTheMoneyWent, type KitchenCosting } from '../costing';
import { partsCost } from '../layers';
import { openedPacks } from '../prices';
import type { RecipeCosting } from '../shelf';
import { lastOf, productOf, type Supplied } from '../supply';
import { capital, kg, litre, missing, type AskWhy, type ShowMoney, type Why } from './why-row';

/** A joint product: how it shares the cost of the pot it parts from, and that pot behind it. */
export function whyPart(
  costing: KitchenCosting,
  id: string,
  part: string,
  money: ShowMoney,
  why: AskWhy,
): Why {
  const cost = costOfProduct(costing, id, part);
  const recipe = costing.recipes.get(id);
  const joint = recipe?.run.rows.flatMap((row) => row.parted).find((j) => j.name === part);
  const how =
    joint?.cost.by === 'credit'
      ? `credited at ${money(joint.cost.perG * 1000)} per kilo`
      : joint?.cost.by === 'market'
        ? `by what it would fetch, ${money(joint.cost.perG * 1000)} per kilo against ${money(joint.cost.restPerG * 1000)} for what stays`
        : 'sharing the cost by weight';
  return {
    title: `${capital(part)} of ${recipe?.recipe.name ?? 'a pot'}`,
    money: cost.perKg,
    per: 'per kilo',
    detail: `${kg(cost.g)} of it, ${how}`,
    goTo: `recipe:${id}`,
    rows: [whyProduct(costing, id, money, why)],
  };
}

/** What the last batch left. What that one cost is asked at its own sheet: two that feed each other have no last why. */
export function whyLast(
  costing: KitchenCosting,
  { id: recipe, part, perLitre }: Extract<Supplied, { is: 'last' }>,
  money: ShowMoney,
): Why {
  const name = costing.recipes.get(recipe)?.recipe.name ?? 'a pot';
  const key = lastOf(recipe, part, perLitre);
  const perG = costing.graph.has(key) ? costing.graph.cost(key) : null;
  return {
    title: `Last batch of ${part === undefined ? name : `${part} of ${name}`}`,
    money: perG === null ? null : perG * 1000,
    per: 'per kilo',
    detail:
      perLitre === undefined
        ? 'at what a batch of it costs, batch after batch'
        : `at a fixed value of ${money(Number(perLitre))} per litre`,
    goTo: `recipe:${recipe}`,
    rows: [],
  };
}

/** A product: what went in, what parted from it, what became of the litres and of the money. */
export function whyProduct(costing: KitchenCosting, id: string, money: ShowMoney, why: AskWhy): Why {
  const key = productOf(id);
  const recipe = costing.recipes.get(id);
  const cost = costOfProduct(costing, id);
  const title = recipe?.recipe.name ?? 'Product';
  if (!recipe || cost.total === null)
    return {
      title,
      money: null,
      per: 'per litre',
      detail: 'The cost is incomplete.',
      goTo: `recipe:${id}`,
      rows: missing(costing, key),
    };
  const perInput = inputCosts(costing, id);
  const inputs = recipe.run.inputs
    .map((input, i) => ({ input, paid: perInput[i] ?? null }))
    .filter(({ input }) => input.supply !== 'free')
    .map(({ input, paid }): Why => {
      const price = why(input.supply);
      const perKg = money((costing.graph.cost(input.supply) ?? 0) * 1000);
      return {
        title: input.name,
        money: paid,
        per: 'in the pot',
        detail: `${kg(input.g)} at ${perKg} per kilo${wholePacks(recipe, costing, input.supply)}`,
        estimate: price.estimate,
        rows: [{ ...price, title: capital(price.per ?? price.title) }],
      };
    });
  // The one it is thought of in stands first; the other is never left out.
  const each = cost.inKilos
    ? {
        money: cost.perKg,
        per: 'per kilo',
        detail: `${money(cost.total)} in the pot ÷ ${kg(cost.g)}; ${money(cost.perL ?? 0)} per litre`,
      }
    : { money: cost.perL, per: 'per litre', detail: `${money(cost.total)} in the pot ÷ ${litre(cost.ml)}` };
  return {
    title,
    ...each,
    goTo: `recipe:${id}`,
    estimate: inputs.some((row) => row.estimate),
    rows: [
      {
        title: 'What went in',
        money: perInput.reduce<number>((sum, paid) => sum + (paid ?? 0), 0),
        per: 'in the pot',
        rows: inputs,
      },
      ...whyParted(costing, recipe, perInput, money),
      {
        title: 'What became of the litres',
        detail: `${litre(cost.ml)} are left`,
        rows: whyLitres(costing, id),
      },
      ...whyMoneyWent(costing, id),
    ],
  };
}

/** What left the pot for another use, and the part of the cost it took along. */
function whyParted(
  costing: KitchenCosting,
  { run, recipe }: RecipeCosting,
  costs: readonly (number | null)[],
  money: ShowMoney,
): Why[] {
  const parts = partsCost(run.rows, costs);
  if (parts.length === 0) return [];
  return [
    {
      title: 'What parted from it',
      money: -parts.reduce((sum, p) => sum + p.money, 0),
      per: 'in the pot',
      rows: parts.map((p) => ({
        title: p.name,
        money: -p.money,
        per: 'in the pot',
        detail: `${kg(p.g)} at ${money((costing.graph.cost(productOf(recipe.id, p.name)) ?? 0) * 1000)} per kilo`,
        rows: [],
      })),
    },
  ];
}

/** Says so where opened packs are charged whole. */
function wholePacks(recipe: RecipeCosting, costing: KitchenCosting, supply: string): string {
  const found = openedPacks(recipe.run.inputs, (id) => costing.supplies.get(id)?.opens).find(
    (o) => o.supply === supply && o.factor !== 1,
  );
  return found
    ? `, charged as ${found.packs} whole ${found.packs === 1 ? 'pack' : 'packs'} of ${kg(found.pack.g)}`
    : '';
}

function whyLitres(costing: KitchenCosting, id: string): Why[] {
  const { run } = costing.recipes.get(id) as RecipeCosting;
  return run.rows
    .filter((row) => Object.keys(row.lost).length > 0)
    .map((row) => ({
      title: `Step ${row.step + 1}, ${row.do}`,
      detail: `${Object.entries(row.lost)
        .map(([cause, g]) => `${kg(g)} ${cause}`)
        .join(', ')} → ${litre(row.ml)} of liquid`,
      rows: [],
    }));
}

function whyMoneyWent(costing: KitchenCosting, id: string): Why[] {
  const went = whereTheMoneyWent(costing, id);
  if (!went) return [];
  const parted = Object.entries(went.parted).map(([name, value]): Why => ({
    title: name,
    money: value,
    per: 'in the pot',
    rows: [],
  }));
  const lost = Object.entries(went.lost).map(([cause, value]): Why => ({
    title: cause,
    money: value,
    per: 'in the pot',
    rows: [],
  }));
  return [
    {
      title: 'Where the money went',
      detail:
        'Every loss of liquid takes its share of what was in the pot at that moment. The product carries all of it.',
      rows: [
        ...(Math.abs(went.trimmed) < 0.005
          ? []
          : [{ title: 'trim loss', money: went.trimmed, per: 'in the pot', rows: [] }]),
        ...lost,
        ...parted,
        { title: 'still in the product', money: went.left, per: 'in the pot', rows: [] },
      ],
    },
  ];
}
