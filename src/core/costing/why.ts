import type { Basis } from '../kitchen-file';
import type { KitchenCosting, RecipeCosting } from './kitchen';
import { gapsOf } from './kitchen';
import { opened } from './opened';
import { costOfPlate } from './plate-cost';
import { costOfProduct, inputCosts, partsCost, whereTheMoneyWent } from './product-cost';
import { beforeTheKnife, isGuess, type Supply } from './supplies';
import { supplyOf } from './resolve';

/** One row of an answer to *why*: a figure, the words for how it came about, and the rows behind it. */
export interface Why {
  readonly title: string;
  /** The figure, in currency; null where it is not known. */
  readonly money?: number | null | undefined;
  /** What the money is per: `a litre`, `a kilo`, `in the pot`, `on the plate`, `a pack`. */
  readonly per?: string | undefined;
  readonly detail?: string | undefined;
  readonly estimate?: boolean | undefined;
  /** Where the figure can be changed: `recipe:ID`, `ingredient:ID`, `plate:ID`, or the tests of an ingredient, `tests:ID`. */
  readonly goTo?: string | undefined;
  readonly rows: readonly Why[];
}

export type ShowMoney = (value: number) => string;

const kg = (g: number): string =>
  g < 1000 ? `${g < 10 ? g.toFixed(1) : Math.round(g)} g` : `${(g / 1000).toFixed(2)} kg`;
const litre = (ml: number): string => (ml < 1000 ? `${Math.round(ml)} ml` : `${(ml / 1000).toFixed(1)} l`);
const pct = (share: number): string => `${Number((share * 100).toFixed(1))} %`;

/** Answers *why* for any key of the graph (`usable:`, `trim:`, `product:`, `plate:`), down to the purchase. */
export function whyCost(costing: KitchenCosting, key: string, money: ShowMoney): Why {
  const [kind, id = ''] = key.split(':');
  if (kind === 'plate') return whyPlate(costing, id, money);
  if (kind === 'product') {
    const [recipe = '', part] = id.split('#');
    return part === undefined ? whyProduct(costing, recipe, money) : whyPart(costing, recipe, part, money);
  }
  if (kind === 'last') return whyLast(costing, id, money);
  return whySupply(costing, id, kind === 'trim', money);
}

const capital = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

const missing = (costing: KitchenCosting, key: string): Why[] =>
  gapsOf(costing, key).map((t) => ({ title: t.message, rows: [] }));

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

/** A joint product: how it shares the cost of the pot it parts from, and that pot behind it. */
function whyPart(costing: KitchenCosting, id: string, part: string, money: ShowMoney): Why {
  const cost = costOfProduct(costing, id, part);
  const recipe = costing.recipes.get(id);
  const joint = recipe?.run.rows.flatMap((row) => row.parted).find((j) => j.name === part);
  const how =
    joint?.cost.by === 'credit'
      ? `credited at ${money(joint.cost.perG * 1000)} a kilo`
      : joint?.cost.by === 'market'
        ? `by what it would fetch, ${money(joint.cost.perG * 1000)} a kilo against ${money(joint.cost.restPerG * 1000)} for what stays`
        : 'sharing the cost by weight';
  return {
    title: `${capital(part)} of ${recipe?.recipe.name ?? 'a pot'}`,
    money: cost.perKg,
    per: 'a kilo',
    detail: `${kg(cost.g)} of it, ${how}`,
    goTo: `recipe:${id}`,
    rows: [whyProduct(costing, id, money)],
  };
}

/** What the last batch left. What that one cost is asked at its own sheet: two that feed each other have no last why. */
function whyLast(costing: KitchenCosting, id: string, money: ShowMoney): Why {
  const [made = '', perLitre] = id.split('@');
  const [recipe = '', part] = made.split('#');
  const name = costing.recipes.get(recipe)?.recipe.name ?? 'a pot';
  const perG = costing.graph.has(`last:${id}`) ? costing.graph.cost(`last:${id}`) : null;
  return {
    title: `Last batch of ${part === undefined ? name : `${part} of ${name}`}`,
    money: perG === null ? null : perG * 1000,
    per: 'a kilo',
    detail:
      perLitre === undefined
        ? 'at what a batch of it costs, batch after batch'
        : `at a fixed value of ${money(Number(perLitre))} a litre`,
    goTo: `recipe:${recipe}`,
    rows: [],
  };
}

function whyProduct(costing: KitchenCosting, id: string, money: ShowMoney): Why {
  const key = `product:${id}`;
  const recipe = costing.recipes.get(id);
  const cost = costOfProduct(costing, id);
  const title = recipe?.recipe.name ?? 'Product';
  if (!recipe || cost.total === null)
    return {
      title,
      money: null,
      per: 'a litre',
      detail: 'The cost is incomplete.',
      goTo: `recipe:${id}`,
      rows: missing(costing, key),
    };
  const perInput = inputCosts(costing, id);
  const inputs = recipe.run.inputs
    .map((input, i) => ({ input, paid: perInput[i] ?? null }))
    .filter(({ input }) => input.supply !== 'free')
    .map(({ input, paid }): Why => {
      const price = whyCost(costing, input.supply, money);
      const perKg = money((costing.graph.cost(input.supply) ?? 0) * 1000);
      return {
        title: input.name,
        money: paid,
        per: 'in the pot',
        detail: `${kg(input.g)} at ${perKg} a kilo${wholePacks(recipe, costing, input.supply)}`,
        estimate: price.estimate,
        rows: [{ ...price, title: capital(price.per ?? price.title) }],
      };
    });
  return {
    title,
    money: cost.perL,
    per: 'a litre',
    detail: `${money(cost.total)} in the pot ÷ ${litre(cost.ml)}`,
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
        detail: `${kg(p.g)} at ${money((costing.graph.cost(`product:${recipe.id}#${p.name}`) ?? 0) * 1000)} a kilo`,
        rows: [],
      })),
    },
  ];
}

/** Says so where opened packs are charged whole. */
function wholePacks(recipe: RecipeCosting, costing: KitchenCosting, supply: string): string {
  const found = opened(recipe.run.inputs, (id) => costing.supplies.get(id)?.opens).find(
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
          : [{ title: 'cut off before the pot', money: went.trimmed, per: 'in the pot', rows: [] }]),
        ...lost,
        ...parted,
        { title: 'still in the product', money: went.left, per: 'in the pot', rows: [] },
      ],
    },
  ];
}

function whySupply(costing: KitchenCosting, id: string, trim: boolean, money: ShowMoney): Why {
  const supply = costing.supplies.get(id);
  if (!supply) return { title: 'Ingredient', money: null, rows: [] };
  const title = trim ? `${supply.ingredient.name}, stock trim` : supply.ingredient.name;
  const value = trim ? supply.trimPerKg : supply.usablePerKg;
  const goTo = `ingredient:${id}`;
  const per = trim ? 'a kilo of stock trim' : 'a usable kilo';
  if (value === undefined)
    return { title, money: null, per, detail: supply.trouble?.message, goTo, rows: [] };
  return {
    title,
    money: value,
    per,
    detail: knifeWords(supply, trim, money),
    estimate: isGuess(supply),
    goTo,
    rows: [
      whyYield(supply),
      ...(supply.comesOff ? [whyCameOff(costing, supply, money)] : whyPurchase(costing, supply, money)),
    ],
  };
}

/** What comes off and carries money away, in words: `0.60 × 28 % stock trim`. */
function carriers(s: Supply, money: ShowMoney): { credits: string[]; shares: string[]; idle: string[] } {
  const others = [
    {
      name: 'stock trim',
      share: s.stockTrim,
      setValue: s.knife.setValuePerKg,
      taken: s.knife.trimTaken,
      sold: false,
    },
    ...s.knife.byProducts.map((b) => ({
      name: b.knife.name,
      share: b.share,
      setValue: b.setValuePerKg,
      taken: b.taken,
      sold: b.sold,
    })),
  ].filter((o) => o.share > 0);
  const part = (o: (typeof others)[number]): string =>
    `${pct(o.share)} ${o.name}${o.taken < 1 ? `, ${pct(o.taken)} of it taken` : ''}`;
  const carrying = others.filter((o) => o.taken > 0);
  return {
    credits: carrying
      .filter((o) => o.sold || s.knife.school === 'value')
      .map((o) => `${money(o.setValue)} × ${part(o)}`),
    shares: carrying.filter((o) => !o.sold && s.knife.school === 'weight').map(part),
    idle: others.filter((o) => o.taken <= 0).map((o) => `${pct(o.share)} ${o.name}`),
  };
}

function knifeWords(s: Supply, trim: boolean, money: ShowMoney): string {
  const p = money(beforeTheKnife(s) ?? 0);
  const came = s.comesOff ? 'as it comes off' : 'bought';
  const { credits, shares, idle } = carriers(s, money);
  if (trim) {
    if (s.knife.school === 'free') return 'stock trim is free: the usable part carries all';
    if (s.knife.school === 'value')
      return `stock trim at its set value of ${money(s.knife.setValuePerKg)} a kilo`;
    return `${p} shared by weight: ÷ (${[`${pct(s.usable)} usable`, ...shares].join(' + ')})`;
  }
  const paid = credits.length === 0 ? `${p} a kilo ${came}` : `(${[`${p} ${came}`, ...credits].join(' − ')})`;
  const over =
    shares.length === 0
      ? `${pct(s.usable)} usable`
      : `(${[`${pct(s.usable)} usable`, ...shares].join(' + ')})`;
  const nobody = idle.length === 0 ? '' : ` · no pot takes ${idle.join(', ')}: the usable part carries it`;
  return `${paid} ÷ ${over}${nobody}`;
}

const whyYield = (s: Supply): Why => ({
  title: `Usable yield ${pct(s.usable)}${s.stockTrim > 0 ? `, stock trim ${pct(s.stockTrim)}` : ''}`,
  detail: `${s.yieldSource === 'estimate' ? 'an estimate' : 'measured'}${s.yieldRange ? `, likely ${s.yieldRange[0]} to ${s.yieldRange[1]} %` : ''}, since ${s.yieldOn}${s.yieldBasis ? ` · ${s.yieldBasis}` : ''}`,
  estimate: isGuess(s),
  goTo: `tests:${s.ingredient.id}`,
  rows: [],
});

/** What a by-product costs as it comes off, by the school of what it comes off. */
function whyCameOff(costing: KitchenCosting, s: Supply, money: ShowMoney): Why {
  const mother = costing.supplies.get(s.comesOff?.of ?? '');
  const byProduct = mother?.knife.byProducts.find((b) => b.knife.id === s.ingredient.id);
  const how =
    byProduct?.sold || mother?.knife.school === 'value'
      ? `at its set value of ${money(byProduct?.setValuePerKg ?? 0)} a kilo`
      : mother?.knife.school === 'weight'
        ? 'sharing the price by weight'
        : 'free: the usable part carries all';
  return {
    title: `Comes off ${mother?.ingredient.name ?? 'another ingredient'}`,
    money: s.comesOff?.perKg,
    per: 'a kilo as it comes off',
    detail: how,
    goTo: `ingredient:${s.comesOff?.of ?? ''}`,
    rows: mother ? [whySupply(costing, mother.ingredient.id, false, money)] : [],
  };
}

function whyPurchase(costing: KitchenCosting, s: Supply, money: ShowMoney): Why[] {
  const { price } = s;
  if (!price) return [];
  const { pack } = price;
  const weighed =
    pack.weighedOn !== undefined
      ? `, ${kg(pack.g)} as weighed on ${pack.weighedOn}`
      : pack.kind === 'mass'
        ? ''
        : `, ${kg(pack.g)}`;
  const latest: Why = {
    title: price.invoice ? `Invoice ${price.invoice}` : 'Quoted price',
    money: price.packPrice.toNumber(),
    per: 'a pack',
    detail: `${price.article.name}, ${price.article.pack}${weighed} from ${price.supplier}, ${price.on} · ${money(price.packPrice.times(1000).div(pack.g).toNumber())} a kilo`,
    rows: [],
  };
  if (price.basis.by === 'latest')
    return price.note === undefined ? [latest] : [latest, { title: price.note, rows: [] }];
  return [
    {
      title: capital(basisWords(price.basis, money)),
      money: price.perKg.toNumber(),
      per: 'a kilo',
      detail: price.note,
      rows: price.layers.map((l): Why => ({
        title: `Invoice ${l.receipt.invoice}`,
        money: l.money.toNumber(),
        per: 'paid',
        detail: `${kg(l.g)}${l.g === l.receipt.g ? '' : ` of ${kg(l.receipt.g)}`} on ${l.receipt.on}`,
        rows: [],
      })),
    },
    { ...latest, title: `For comparison: ${latest.title.charAt(0).toLowerCase()}${latest.title.slice(1)}` },
  ];
}

/** A basis in words: what a price of an ingredient is the price of. */
export function basisWords(basis: Basis, money: ShowMoney): string {
  switch (basis.by) {
    case 'latest':
      return 'the latest price';
    case 'average':
      return `the average of ${basis.days} days, by weight`;
    case 'stock':
      return 'what the stock last counted was bought at, first in first out';
    case 'fixed':
      return `a fixed price of ${money(Number(basis.price))} for ${basis.per}`;
  }
}
