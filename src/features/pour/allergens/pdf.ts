import 'server-only';
import type { TableCell } from 'pdfmake/interfaces';
import { allergenPage } from '@/core/safety';
import type { Formatters } from '@/ui/formatters';
import { inLetters, pdfOf } from '@/server/pdf';
import type { AllergensPage } from './queries';
import { cellWords, isWhole, partialReason } from './words';
import * as texts from './texts';

const CLARET = '#8d1f4a';
const RULES = {
  hLineWidth: (i: number) => (i === 1 ? 1 : 0.5),
  vLineWidth: () => 0,
  hLineColor: () => '#9aa3a8',
  paddingTop: () => 3,
  paddingBottom: () => 3,
  paddingLeft: () => 3,
  paddingRight: () => 3,
};

const cell = (said: string, style: Record<string, unknown> = {}): TableCell => ({
  text: inLetters(said),
  ...style,
});

/** The matrix on paper, lying: what each comes from stands in its cell, so that it can be answered at a table. */
export function allergensPdf(page: AllergensPage, { day }: Pick<Formatters, 'day'>): Promise<Buffer> {
  const { allergens, rows, what } = page;
  const title = what === 'plates' ? texts.dishesTheirAllergens : texts.potsTheirAllergens;
  return pdfOf(
    title,
    [
      { text: inLetters(title), fontSize: 20, bold: true },
      {
        text: inLetters(`${page.kitchen}, ${day(page.day)}. ${allergenPage.paper}`),
        margin: [0, 2, 0, 8],
      },
      {
        fontSize: allergens.length > 8 ? 7.5 : 9,
        layout: RULES,
        table: {
          headerRows: 1,
          widths: [110, ...allergens.map(() => '*')],
          body: [
            [what === 'plates' ? 'Dish' : 'Pot', ...allergens].map((head) => cell(head, { bold: true })),
            ...rows.map((r) => [
              {
                stack: [
                  cell(r.name, { bold: true }),
                  ...(isWhole(r) ? [] : [cell(partialReason(r), { color: CLARET })]),
                ],
              } as TableCell,
              ...allergens.map((a) =>
                cell(cellWords(r, a), r.from[a] ? {} : { color: CLARET, italics: true }),
              ),
            ]),
          ],
        },
      },
    ],
    { pageOrientation: 'landscape' },
  );
}
