import 'server-only';
import path from 'node:path';
import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import * as texts from './texts';

/** The letters of the house, shipped with it: one file for each alphabet, since none holds them all. The application runs in its own folder. */
const FILES = path.join(process.cwd(), 'node_modules/@fontsource/sofia-sans/files');
const ALPHABETS = ['latin', 'latin-ext', 'greek', 'cyrillic', 'cyrillic-ext'] as const;
type Alphabet = (typeof ALPHABETS)[number];

const file = (alphabet: Alphabet, weight: 400 | 700, style: 'normal' | 'italic'): string =>
  path.join(FILES, `sofia-sans-${alphabet}-${weight}-${style}.woff`);

pdfmake.setFonts(
  Object.fromEntries(
    ALPHABETS.map((a) => [
      a,
      {
        normal: file(a, 400, 'normal'),
        bold: file(a, 700, 'normal'),
        italics: file(a, 400, 'italic'),
        bolditalics: file(a, 700, 'italic'),
      },
    ]),
  ),
);
// Nothing is fetched for a page, and nothing but its letters is read.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((asked: string) => path.resolve(asked).startsWith(FILES));

/** Which alphabet's file holds a letter. */
function alphabetOf(letter: string): Alphabet {
  const code = letter.codePointAt(0) ?? 0;
  if (code >= 0x370 && code <= 0x3ff) return 'greek';
  if (code >= 0x460 && code <= 0x52f) return code === 0x490 || code === 0x491 ? 'cyrillic' : 'cyrillic-ext';
  if (code >= 0x400 && code <= 0x45f) return 'cyrillic';
  return (code >= 0x100 && code <= 0x2ba && code !== 0x131 && code !== 0x152 && code !== 0x153) ||
    (code >= 0x1e00 && code <= 0x1eff)
    ? 'latin-ext'
    : 'latin';
}

/** A text in as many pieces as it has alphabets, each in the letters that hold it. */
export function inLetters(text: string): { readonly text: string; readonly font: Alphabet }[] {
  const runs: { text: string; font: Alphabet }[] = [];
  for (const letter of text) {
    const last = runs.at(-1);
    const font = alphabetOf(letter);
    if (last?.font === font) last.text += letter;
    else runs.push({ text: letter, font });
  }
  return runs;
}

/** A document of A4 pages, numbered where there are several. */
export function pdfOf(
  title: string,
  content: Content,
  page: Pick<TDocumentDefinitions, 'pageOrientation'> = {},
): Promise<Buffer> {
  const definition: TDocumentDefinitions = {
    info: { title },
    pageSize: 'A4',
    ...page,
    pageMargins: [40, 36, 40, 44],
    defaultStyle: { font: 'latin', fontSize: 10.5, lineHeight: 1.15 },
    footer: (page, pages) =>
      pages > 1
        ? { text: [...inLetters(texts.partOf(title, page, pages))], margin: [40, 10, 40, 0], fontSize: 9 }
        : '',
    content,
  };
  return pdfmake.createPdf(definition).getBuffer();
}

/** A PDF as an answer, shown in the browser and saved under a name. */
export const pdfAnswer = (pdf: Buffer, name: string): Response =>
  new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename*=UTF-8''${encodeURIComponent(`${name}.pdf`)}`,
      'cache-control': 'no-store',
    },
  });
