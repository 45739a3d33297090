import 'server-only';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { allergenWords, WALL_ENDS } from '@/core/safety';
import type { Formatters } from '@/ui/formatters';
import { inLetters, pdfOf } from '@/server/pdf';
import type { CostCard, WallSheet } from './queries';
import { sizeWords, versionWords } from './words';
import * as texts from './texts';

const text = (said: string, style: Record<string, unknown> = {}): Content => ({
  text: inLetters(said),
  ...style,
});
const cell = (said: string, style: Record<string, unknown> = {}): TableCell => ({
  text: inLetters(said),
  ...style,
});

const CLARET = '#8d1f4a';
const STEEL = '#4d5a61';
const RULES = {
  hLineWidth: () => 0.5,
  vLineWidth: () => 0,
  hLineColor: () => '#9aa3a8',
  paddingTop: () => 3,
  paddingBottom: () => 3,
};
const BOXES = {
  ...RULES,
  vLineWidth: (i: number) => (i >= 3 ? 0.5 : 0),
  vLineColor: () => '#9aa3a8',
  paddingTop: () => 5,
  paddingBottom: () => 5,
};

/** One step of a sheet: what to do, what to look for, and room to write. */
function stepRow(s: WallSheet['steps'][number], { bare, litres, hours }: Formatters): TableCell[] {
  const small = (said: string, style: Record<string, unknown> = {}): Content =>
    text(said, { fontSize: 10.5, ...style });
  const when = <T>(value: T | undefined, of: (value: T) => Content): Content[] =>
    value === undefined ? [] : [of(value)];
  return [
    cell(String(s.n), { bold: true, fontSize: 14 }),
    {
      stack: [
        text(s.said, { fontSize: 14, bold: true }),
        ...when(s.vessel, (v) => small(texts.now(v))),
        ...when(s.note, (n) => text(n, { italics: true, fontSize: 12 })),
        ...s.warnings.map((w) => small(w, { color: CLARET })),
        ...when(s.caution, (c) => small(c, { color: CLARET })),
      ],
    },
    {
      stack: [
        ...when(s.dipCm, (cm) => text(texts.cm(bare(cm, 1)), { fontSize: 14, bold: true })),
        ...when(s.litres, (l) => small(`${litres(l * 1000)}${s.hot ? ', hot' : ''}`)),
        ...when(s.hours, (h) => small(hours(h))),
      ],
    },
    cell(''),
    cell(''),
    cell(''),
  ];
}

const allergensIn = (allergens: readonly string[]): string =>
  allergens.length === 0 ? allergenWords.none : allergenWords.contains(allergens);

/** A sheet for the wall: steps in large type, the dip to look for, boxes to write in. */
export function wallPdf(sheet: WallSheet, figures: Formatters): Promise<Buffer> {
  const heads = ['', texts.whatDo, texts.lookFromRim, texts.dipRead, 'time', 'who'];
  return pdfOf(sheet.name, [
    text(sheet.name, { fontSize: 24, bold: true }),
    text(sizeWords(sheet, figures), { fontSize: 12 }),
    text(versionWords(sheet.version, figures), { fontSize: 9.5, color: STEEL, margin: [0, 0, 0, 4] }),
    ...(sheet.note === undefined ? [] : [text(sheet.note, { fontSize: 12, italics: true })]),
    ...(sheet.ways.length === 0 ? [] : [text(sheet.ways.join(' · '), { fontSize: 11 })]),
    ...(sheet.trouble === undefined ? [] : [text(sheet.trouble, { color: CLARET, bold: true })]),
    {
      margin: [0, 6, 0, 8],
      layout: BOXES,
      table: {
        headerRows: 1,
        dontBreakRows: true,
        widths: [20, '*', 74, 44, 44, 40],
        body: [heads.map((h) => cell(h)), ...sheet.steps.map((s) => stepRow(s, figures))],
      },
    },
    text(allergensIn(sheet.allergens), { bold: sheet.allergens.length > 0 }),
    text(WALL_ENDS, { fontSize: 9.5 }),
  ]);
}

const RIGHT = { alignment: 'right' as const };
const BOLD = { bold: true };

/** A table of a card: its name and heads, its rows. */
const cardTable = (widths: (string | number)[], heads: readonly string[], rows: TableCell[][]): Content => ({
  margin: [0, 4, 0, 10],
  layout: RULES,
  table: {
    widths,
    headerRows: 1,
    dontBreakRows: true,
    body: [heads.map((h, i) => cell(h, i === 0 ? BOLD : RIGHT)), ...rows],
  },
});

/** A litre, layer by layer, and what all of them come to: the sum of the figures shown. */
function layersTable(card: CostCard, { money }: Formatters): Content {
  const known = card.layers.filter(([, perL]) => perL !== null);
  const all = known.reduce((sum, [, perL]) => sum + Math.round((perL ?? 0) * 100) / 100, 0);
  return cardTable(
    ['*', 90],
    [texts.litreLayerLayer, ''],
    [
      ...card.layers.map(([name, perL]) => [
        cell(name),
        cell(perL === null ? texts.noPrice : money(perL), RIGHT),
      ]),
      [
        cell(known.length === card.layers.length ? texts.all : texts.evidence, BOLD),
        cell(money(all), { ...RIGHT, ...BOLD }),
      ],
    ],
  );
}

function lossesTable(card: CostCard, { money, kilos }: Formatters): Content {
  const trimmed =
    card.trimmed === undefined || card.trimmed === 0
      ? []
      : [[cell(texts.trimLoss), cell(''), cell(money(card.trimmed), RIGHT)]];
  const left =
    card.left === undefined
      ? []
      : [
          [
            cell(texts.leftProduct(money(card.spent)), BOLD),
            cell(''),
            cell(money(card.left), { ...RIGHT, ...BOLD }),
          ],
        ];
  return cardTable(
    ['*', 80, 90],
    [texts.losses, '', texts.tookAlong],
    [
      ...trimmed,
      ...card.losses.map((l) => [
        cell(l.name),
        cell(kilos(l.g), RIGHT),
        cell(l.money === undefined ? '' : money(l.money), RIGHT),
      ]),
      ...left,
    ],
  );
}

function platesTable(card: CostCard, { money, bare }: Formatters): Content {
  if (card.plates.length === 0) return text(texts.notUsedAnyDish);
  return cardTable(
    ['*', 80, 70, 60],
    [texts.usedTheseDishes, texts.perDish, texts.foodCost, 'target'],
    card.plates.map((p) => [
      cell(p.name),
      cell(p.cost === null ? 'incomplete' : money(p.cost), RIGHT),
      cell(p.foodCostPct === null ? '' : `${bare(p.foodCostPct, 1)} %`, RIGHT),
      cell(p.target === undefined ? '' : `${bare(p.target, 0)} %`, RIGHT),
    ]),
  );
}

/** A cost card: the litre, what went in, what was lost on the way, and the plates that are made from it. */
export function cardPdf(card: CostCard, figures: Formatters): Promise<Buffer> {
  const { money, kilos, litres, bare, small, day } = figures;
  const { portion } = card;
  return pdfOf(texts.cost(card.name), [
    text(card.name, { fontSize: 22, bold: true }),
    text(texts.prices(litres(card.litres * 1000), day(card.day), versionWords(card.version, figures)), {
      color: STEEL,
    }),
    text(card.perL === null ? texts.perLitreIncomplete : texts.perLitreIngredients(money(card.perL)), {
      fontSize: 20,
      bold: true,
      margin: [0, 8, 0, 2],
    }),
    ...(portion ? [text(texts.portionMl(small(portion.cost), bare(portion.ml, 0)))] : []),
    layersTable(card, figures),
    cardTable(
      ['*', 80, 90],
      [texts.whatGoes, '', 'costs'],
      card.inputs.map((i) => [
        cell(i.name),
        cell(kilos(i.g), RIGHT),
        cell(i.cost === null ? texts.noPrice : money(i.cost), RIGHT),
      ]),
    ),
    lossesTable(card, figures),
    platesTable(card, figures),
    text(allergensIn(card.allergens)),
  ]);
}
