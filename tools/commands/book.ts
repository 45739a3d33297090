import { costByLayer, costFile, costOfPlate, costOfProduct, type KitchenCosting } from '@/core/costing';
import { LOSSES, warningWords } from '@/core/pot';
import { forCovers } from '@/core/planner';
import { CONSTANTS } from '@/core/reference';
import { lineWords, namesIn } from '@/core/kitchen-file';
import { DEMO_FILE, mustRead } from '../kitchens';
import { keepPage } from '../generated';

const hours = (h: number): string => {
  const minutes = Math.round(h * 60);
  return minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h${minutes % 60 === 0 ? '' : ` ${minutes % 60}`}`;
};
const kilos = (g: number): string =>
  Math.abs(g) < 995 ? `${Math.round(g)} g` : `${(g / 1000).toFixed(2)} kg`;
const money = (value: number | null, digits = 2): string =>
  value === null ? 'incomplete' : value.toFixed(digits);

/** What the layers beside the ingredients come to, each named. */
function layersOnTop(costing: KitchenCosting, id: string): string {
  const { g, ml } = costOfProduct(costing, id);
  const layers = costByLayer(costing, `product:${id}`);
  const perL = (perG: number | null): string => money(perG === null ? null : (perG * g * 1000) / ml);
  return (['packaging', 'energy', 'hands'] as const)
    .filter((name) => name !== 'packaging' || layers.packaging !== 0)
    .map((name) => `${name} ${perL(layers[name])}`)
    .join(' · ');
}

/** One pot: its steps as they are said, and what it then is. */
function potPage(costing: KitchenCosting, id: string): string {
  const { recipe, run } = costing.recipes.get(id) as NonNullable<
    ReturnType<KitchenCosting['recipes']['get']>
  >;
  const cost = costOfProduct(costing, id);
  const last = run.rows[run.rows.length - 1];
  const lost = LOSSES.map((loss) => [loss, run.rows.reduce((g, r) => g + (r.lost[loss] ?? 0), 0)] as const)
    .filter(([, g]) => g > 0.5)
    .map(([loss, g]) => `${kilos(g)} ${loss}`);
  const parted = run.rows
    .flatMap((row) => row.parted)
    .map(
      (j) => `${kilos(j.product.g)} ${j.name} at ${money(costOfProduct(costing, id, j.name).perKg)} per kilo`,
    );
  const facts = [
    `**${((cost.ml || 0) / 1000).toFixed(2)} l** at **${money(cost.perL)}** per litre`,
    ...(cost.perPortion === null || !last?.portions
      ? []
      : [`${last.portions.whole} portions of ${last.portions.ml} ml at ${money(cost.perPortion, 3)}`]),
  ];
  const inside = last && [
    `salt ${last.saltPct.toFixed(2)} %`,
    `gelatin ${last.gelatinPct.toFixed(2)} %`,
    `body ${last.body.toFixed(2)}`,
    `fat ${last.fatPct.toFixed(1)} %`,
    ...(last.ethanolPct >= 0.005 ? [`alcohol left ${last.ethanolPct.toFixed(2)} %`] : []),
    `hob ${hours(last.hobHours)}`,
    `in all ${hours(last.elapsedHours)}`,
  ];
  const warnings = run.rows.flatMap((row) =>
    row.warnings.map((w) => `- Step ${row.step + 1}: ${warningWords(w)}`),
  );
  const vessel = costing.shelf.vessel(recipe.vessel)?.name ?? '';
  return [
    `## ${recipe.name}`,
    '',
    ...(recipe.note ? [recipe.note, ''] : []),
    `${vessel}. ${facts.join('; ')}.`,
    '',
    ...recipe.steps.map((s, i) => `${i + 1}. ${lineWords(s, recipe, namesIn(costing.state))}`),
    '',
    `On top of the ingredients, per litre: ${layersOnTop(costing, id)}.`,
    '',
    ...(inside ? [`Then: ${inside.join(' · ')}.`, ''] : []),
    `Lost: ${lost.join(' · ') || 'nothing'}.${parted.length > 0 ? ` Parted: ${parted.join(' · ')}.` : ''}`,
    '',
    ...(last && last.allergens.length > 0 ? [`Carries ${last.allergens.join(', ')}.`, ''] : []),
    ...(warnings.length > 0 ? [...warnings, ''] : []),
  ].join('\n');
}

const BANQUET = { plate: 'Venison loin', covers: 120 };

/** The venison for a hundred and twenty: what is cooked, in what, and what multiplying the lists would give. */
function banquet(costing: KitchenCosting): string[] {
  const plate = costing.state.plates.find((p) => p.name.startsWith(BANQUET.plate));
  const found = forCovers(costing, plate?.id ?? '', BANQUET.covers, CONSTANTS);
  if (!found.ok) throw new Error(found.trouble.message);
  return [
    `## ${found.value.plate}: ${BANQUET.covers} covers`,
    '',
    '| cook | litres | in | in its own vessel | list times | hob | per litre | plain multiplication is off by |',
    '|---|---|---|---|---|---|---|---|',
    ...found.value.makings.map(({ name, ml, scaled, own, perL }) => {
      const hob = (scaled.run.rows[scaled.run.rows.length - 1]?.hobHours ?? 0) * scaled.batches;
      const off = scaled.multiplied.offBy;
      return `| ${name} | ${(ml / 1000).toFixed(1)} | ${scaled.batches} × ${scaled.vessel.name} | ${own ? `${own.batches} × ${own.vessel.name}` : 'cannot be done'} | ${scaled.factor.toFixed(2)} | ${hours(hob)} | ${money(perL)} | ${off === undefined ? 'cannot be done' : `${(off * 100).toFixed(1)} %`} |`;
    }),
    '',
  ];
}

/** The demo's pots and plates on one page, to be read with a chef's eye. */
function bookText(): string {
  const file = mustRead(DEMO_FILE);
  const costing = costFile(file, file.referenceDay, CONSTANTS);
  const plates = file.plates.map((p) => {
    const { cost, foodCostPct } = costOfPlate(costing, p.id);
    return `| ${p.name} | ${p.menuPrice ?? ''} | ${money(cost)} | ${foodCostPct === null ? '' : `${foodCostPct.toFixed(1)} %`} |`;
  });
  return `${[
    `# ${file.kitchen.name}: the book`,
    '',
    `Every pot of the demo kitchen as it is costed on ${file.referenceDay}, in ${file.kitchen.currency}; costs are of the ingredients unless another layer is named. Written by`,
    '`./halfpot book` from `demo/kestrel-weir.json`; figures are of the model, to be read with a chef’s eye. No line says that a',
    'process is safe: local food code, the site’s own food-safety plan and licensed practice come first.',
    '',
    ...file.recipes.map((r) => potPage(costing, r.id)),
    '## Dishes',
    '',
    '| dish | on the menu | costs | food cost |',
    '|---|---|---|---|',
    ...plates,
    '',
    ...banquet(costing),
  ].join('\n')}`;
}

/** `halfpot book [--check]`: writes docs/demo-book.md, or says whether it is what the demo says. */
export function book(args: readonly string[]): number {
  keepPage('demo-book.md', bookText(), args, 'book');
  return 0;
}
