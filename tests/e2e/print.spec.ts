import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { TextItem } from 'pdfjs-dist/types/src/display/api';
import { expect, open, openPot, test } from './kitchen';
import type { Page } from '@playwright/test';

/** What a page says on paper, and on how many sheets. */
async function onPaper(page: Page): Promise<{ words: string; sheets: number }> {
  await page.evaluate(() => document.fonts.ready);
  const pdf = await getDocument({ data: new Uint8Array(await page.pdf({ format: 'A4' })), verbosity: 0 })
    .promise;
  let words = '';
  for (let i = 1; i <= pdf.numPages; i += 1) {
    const { items } = await (await pdf.getPage(i)).getTextContent();
    words += items.map((item) => (item as TextItem).str).join(' ');
  }
  return { words: words.replace(/\s+/g, ' '), sheets: pdf.numPages };
}

/** The frame around the work, and what is there to press. */
const FRAME = ['Sign out', 'Skip to content', 'This kitchen', 'Find a', 'Add line', 'Weigh it', 'next step'];

const pages: readonly (readonly [string, (page: Page) => Promise<unknown>, readonly string[]])[] = [
  [
    'a sheet',
    (page) => openPot(page, 'Juniper sauce'),
    ['Juniper sauce', 'per litre, ingredients', 'below rim', '9.1 cm'],
  ],
  [
    'per dish',
    async (page) => {
      await open(page, '/pour');
      await page.getByRole('link', { name: /^Venison loin/ }).click();
      await expect(page.getByRole('heading', { level: 1 })).toContainText('Venison loin');
    },
    ['Venison loin, juniper sauce, celeriac', 'Food cost', 'Celeriac'],
  ],
  [
    'the price book',
    (page) => open(page, '/buy'),
    ['Price book', 'Venison bones', 'River trout, whole', 'Wheat'],
  ],
  [
    'a test',
    async (page) => {
      await open(page, '/trim');
      await page.getByRole('link', { name: 'Leek', exact: true }).click();
      await expect(page.getByText('The tests say')).toBeVisible();
    },
    ['Leek', 'usable', 'Own tests'],
  ],
];
test('on paper a sheet, per dish, the price book and a test are whole and without their frame', async ({
  page,
}) => {
  for (const [name, go, said] of pages)
    await test.step(name, async () => {
      await go(page);
      const { words, sheets } = await onPaper(page);
      for (const word of said) expect.soft(words).toContain(word);
      for (const word of FRAME) expect.soft(words).not.toContain(word);
      expect.soft(sheets).toBeLessThanOrEqual(name === 'the price book' ? 5 : 3);
    });
});

test('a figure typed over is on paper as it stands', async ({ page }) => {
  await openPot(page, 'Juniper sauce');
  const steps = await page
    .getByLabel(/^Step \d+$/)
    .evaluateAll((all) => all.map((f) => (f as HTMLInputElement).value));
  const { words } = await onPaper(page);
  for (const step of steps) expect(words.replaceAll(' ', '')).toContain(step.replaceAll(' ', ''));
});
