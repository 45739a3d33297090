import type { Basis } from '../kitchen-file';
import type { KitchenCosting } from '../costing';
import { priceBeforeTrim, isGuess, type Supply } from '../prices';
import { capital, kg, pct, type ShowMoney, type Why } from './why-row';

/** An ingredient: its knife, its tests, and what was paid for it. */
export function whySupply(costing: KitchenCosting, id: string, trim: boolean, money: ShowMoney): Why {
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
  const p = money(priceBeforeTrim(s) ?? 0);
  const came = s.comesOff ? 'as it comes off' : 'bought';
  const { credits, shares, idle } = carriers(s, money);
  if (trim) {
    if (s.knife.school === 'free') return 'stock trim is free: the usable part carries all';
    if (s.knife.trimTaken <= 0) return 'no pot takes it: the usable part carries all';
    if (s.knife.school === 'value')
      return `stock trim at its set value of ${money(s.knife.setValuePerKg)} per kilo`;
    return `${p} shared by weight: ÷ (${[`${pct(s.usable)} usable`, ...shares].join(' + ')})`;
  }
  const paid =
    credits.length === 0 ? `${p} per kilo ${came}` : `(${[`${p} ${came}`, ...credits].join(' − ')})`;
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
      ? `at its set value of ${money(byProduct?.setValuePerKg ?? 0)} per kilo`
      : mother?.knife.school === 'weight'
        ? 'sharing the price by weight'
        : 'free: the usable part carries all';
  return {
    title: `Comes off ${mother?.ingredient.name ?? 'another ingredient'}`,
    money: s.comesOff?.perKg,
    per: 'per kilo as it comes off',
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
    detail: `${price.article.name}, ${price.article.pack}${weighed} from ${price.supplier}, ${price.on} · ${money(price.packPrice.times(1000).div(pack.g).toNumber())} per kilo`,
    goTo: price.invoice && `invoice:${price.on} ${price.invoice}`,
    rows: [],
  };
  if (price.basis.by === 'latest')
    return price.note === undefined ? [latest] : [latest, { title: price.note, rows: [] }];
  return [
    {
      title: capital(basisWords(price.basis, money)),
      money: price.perKg.toNumber(),
      per: 'per kilo',
      detail: price.note,
      rows: price.layers.map((l): Why => ({
        title: `Invoice ${l.receipt.invoice}`,
        money: l.money.toNumber(),
        per: 'paid',
        detail: `${kg(l.g)}${l.g === l.receipt.g ? '' : ` of ${kg(l.receipt.g)}`} on ${l.receipt.on}`,
        goTo: `invoice:${l.receipt.on} ${l.receipt.invoice}`,
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
