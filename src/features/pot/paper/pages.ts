import 'server-only';
import type { Content, TableCell } from 'pdfmake/interfaces';
import type { Figures } from '@/ui/figure-words';
import { inLetters, pdfOf } from '@/server/pdf';
import type { CostCard, WallSheet } from './queries';
import { sizeWords, versionWords } from './words';

const text = (said: string, style: Record<string, unknown> = {}): Content => ({
  text: inLetters(said),
  ...style,
});
const cell = (said: string, style: Record<string, unknown> = {}): TableCell => ({
  text: inLetters(said),
  ...style,
});

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

/** A sheet for the wall: steps in large type, the dip to look for, boxes to write in. */
export function wallPdf(sheet: WallSheet, figures: Figures): Promise<Buffer> {
  const { bare, litres, hours } = figures;
  const rows: TableCell[][] = sheet.steps.map((s) => [
    cell(String(s.n), { bold: true, fontSize: 15 }),
    {
      stack: [
        text(s.said, { fontSize: 15, bold: true }),
        ...(s.vessel === undefined ? [] : [text(`in the ${s.vessel} now`, { fontSize: 10.5 })]),
        ...(s.note === undefined ? [] : [text(s.note, { italics: true, fontSize: 12 })]),
        ...s.warnings.map((w) => text(w, { fontSize: 10.5, color: '#8d1f4a' })),
        ...(s.caution === undefined ? [] : [text(s.caution, { fontSize: 10.5, color: '#8d1f4a' })]),
      ],
    },
    {
      stack: [
        ...(s.dipCm === undefined ? [] : [text(`${bare(s.dipCm, 1)} cm`, { fontSize: 15, bold: true })]),
        ...(s.litres === undefined
          ? []
          : [text(`${litres(s.litres * 1000)}${s.hot ? ', hot' : ''}`, { fontSize: 10.5 })]),
        ...(s.hours === undefined ? [] : [text(hours(s.hours), { fontSize: 10.5 })]),
      ],
    },
    cell(''),
    cell(''),
    cell(''),
  ]);
  return pdfOf(sheet.name, [
    text(sheet.name, { fontSize: 24, bold: true }),
    text(sizeWords(sheet, figures), { fontSize: 12 }),
    text(versionWords(sheet.version, figures), { fontSize: 9.5, color: '#4d5a61', margin: [0, 0, 0, 4] }),
    ...(sheet.note === undefined ? [] : [text(sheet.note, { fontSize: 12, italics: true })]),
    ...(sheet.ways.length === 0 ? [] : [text(sheet.ways.join(' · '), { fontSize: 11 })]),
    ...(sheet.trouble === undefined ? [] : [text(sheet.trouble, { color: '#8d1f4a', bold: true })]),
    {
      margin: [0, 6, 0, 8],
      layout: BOXES,
      table: {
        headerRows: 1,
        dontBreakRows: true,
        widths: [20, '*', 74, 44, 44, 40],
        body: [
          [
            cell(''),
            cell('what to do'),
            cell('look for, from the rim'),
            cell('dip read'),
            cell('time'),
            cell('who'),
          ],
          ...rows,
        ],
      },
    },
    text(
      sheet.allergens.length === 0
        ? 'No allergens come in with these ingredients as they are written down; the label decides.'
        : `Carries ${sheet.allergens.join(', ')} into every dish. The label decides.`,
      { bold: sheet.allergens.length > 0 },
    ),
    text('Local food code and this kitchen’s own food-safety plan come first.', { fontSize: 9.5 }),
  ]);
}

/** A cost card: the litre, what went in, what was lost on the way, and the plates that live from it. */
export function cardPdf(card: CostCard, figures: Figures): Promise<Buffer> {
  const { money, kilos, litres, bare, small, day } = figures;
  const right = { alignment: 'right' as const };
  const table = (widths: (string | number)[], body: TableCell[][]): Content => ({
    margin: [0, 4, 0, 10],
    layout: RULES,
    table: { widths, headerRows: 1, dontBreakRows: true, body },
  });
  const known = card.layers.filter(([, perL]) => perL !== null);
  const all = known.reduce((sum, [, perL]) => sum + Math.round((perL ?? 0) * 100) / 100, 0);
  return pdfOf(`${card.name}, cost`, [
    text(card.name, { fontSize: 22, bold: true }),
    text(
      `${litres(card.litres * 1000)}, at the prices of ${day(card.day)} · ${versionWords(card.version, figures)}`,
      { color: '#4d5a61' },
    ),
    text(card.perL === null ? 'A litre: incomplete' : `${money(card.perL)} a litre, ingredients`, {
      fontSize: 20,
      bold: true,
      margin: [0, 8, 0, 2],
    }),
    ...(card.portion
      ? [text(`${small(card.portion.cost)} a portion of ${bare(card.portion.ml, 0)} ml`)]
      : []),
    table(
      ['*', 90],
      [
        [cell('A litre, layer by layer', { bold: true }), cell('')],
        ...card.layers.map(([name, perL]) => [
          cell(name),
          cell(perL === null ? 'no price' : money(perL), right),
        ]),
        [
          cell(known.length === card.layers.length ? 'with all of it' : 'what is known of it', {
            bold: true,
          }),
          cell(money(all), { ...right, bold: true }),
        ],
      ],
    ),
    table(
      ['*', 80, 90],
      [
        [cell('What goes in', { bold: true }), cell('', right), cell('costs', right)],
        ...card.inputs.map((i) => [
          cell(i.name),
          cell(kilos(i.g), right),
          cell(i.cost === null ? 'no price' : money(i.cost), right),
        ]),
      ],
    ),
    table(
      ['*', 80, 90],
      [
        [cell('What was lost on the way', { bold: true }), cell('', right), cell('took along', right)],
        ...(card.trimmed === undefined || card.trimmed === 0
          ? []
          : [[cell('cut off before the pot'), cell(''), cell(money(card.trimmed), right)]]),
        ...card.losses.map((l) => [
          cell(l.name),
          cell(kilos(l.g), right),
          cell(l.money === undefined ? '' : money(l.money), right),
        ]),
        ...(card.left === undefined
          ? []
          : [
              [
                cell(`left in the product, of ${money(card.spent)}`, { bold: true }),
                cell(''),
                cell(money(card.left), { ...right, bold: true }),
              ],
            ]),
      ],
    ),
    card.plates.length === 0
      ? text('No plate lives from it yet.')
      : table(
          ['*', 80, 70, 60],
          [
            [
              cell('Plates that live from it', { bold: true }),
              cell('a plate', right),
              cell('food cost', right),
              cell('target', right),
            ],
            ...card.plates.map((p) => [
              cell(p.name),
              cell(p.cost === null ? 'incomplete' : money(p.cost), right),
              cell(p.foodCostPct === null ? '' : `${bare(p.foodCostPct, 1)} %`, right),
              cell(p.target === undefined ? '' : `${bare(p.target, 0)} %`, right),
            ]),
          ],
        ),
    text(
      card.allergens.length === 0
        ? 'No allergens come in with these ingredients as they are written down; the label decides.'
        : `Carries ${card.allergens.join(', ')}. The label decides.`,
    ),
  ]);
}
