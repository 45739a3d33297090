import fs from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { ROOT } from '../place';

/*
 * Words that nobody in a kitchen says (docs/glossary.md has the ones we use). Looked for in our own texts only: what people type,
 * names of ingredients and the everyday forms in which steps are understood are none of ours.
 */

const FORBIDDEN: readonly (readonly [RegExp, string])[] = [
  [/\bcall it otherwise\b|\bcall this one otherwise\b/i, 'Rename'],
  [/\bput (?:it|them) away\b|\b(?:been|is|was) put away\b|\bput away since\b/i, 'Archive, archived'],
  [/^bring (?:it|them) back\b|\bbrought back\b/i, 'Restore'],
  [/\bthrow (?:it|this \w+) away\b|\bthrown away since\b/i, 'Delete, Discard'],
  [/\btake it back\b|\btaken back:/i, 'Undo'],
  [/\btake the line out\b|\btake it off\b(?! the heat)/i, 'Remove'],
  [/\bwrite (?:it|an invoice) down\b|\bis written down already\b/i, 'Save, New invoice'],
  [/\bput a pot on\b|\bit was never on\b/i, 'Start a batch, Delete batch'],
  [/\bcooked lately\b|\bwhat was told\b|\btold as it happens\b/i, 'Recent batches, Log, Now'],
  [/\bdone otherwise\b/i, 'Done differently'],
  [/\bthe heat is off\b|\bleave it for the night\b/i, 'Heat off, Leave overnight'],
  [/\bforetold\b/i, 'forecast'],
  [/\bfill no higher\b/i, 'max fill'],
  [/\bhands as usual\b|\bhour of hands\b|\bminutes of hands\b/i, 'labour'],
  [/\bby its sheet\b/i, 'planned'],
  [/\bfour times in five\b/i, '8 in 10'],
  [/\blives? from\b/i, 'is made from, used in'],
  [/\breckon(?:s|ed|ing)?\b/i, 'calculated, used'],
  [/\bmothers and daughters\b/i, 'Family tree'],
  [/\blaid beside it\b/i, 'Compared with'],
  [/\bkeep it so\b|\bask it otherwise\b/i, 'Save, Edit'],
  [/\bwhat the pots teach\b|\bwhat tests have taught\b/i, 'Learned from …'],
  [/\ba new tray\b|\bapply it to the book\b/i, 'New what-if, Apply to the price book'],
  [/\banother size of it\b/i, 'Scale recipe, New portion size'],
  [/\bwho carries what\b/i, 'Allergens'],
  [/\bits food may cost\b/i, 'Target food cost'],
  [/\bweighed in\b/i, 'start weight'],
  [/\bwent on the way\b/i, 'Losses'],
  [/\bgo on weighing\b/i, 'Continue weighing'],
  [/\bworking (?:it out|out every pot)\b/i, 'Calculating …'],
  [/\bthe kitchen’s computer\b/i, 'the server'],
  [/\b(?:a|an|the|this|that|each|every|new|one|which|no) plates?\b/i, 'dish'],
  [/\bof hands\b|\bhands and energy\b/i, 'labour'],
  [/(?:€|\d|sign\}?) a (?:litre|kilo)\b/i, 'per litre, per kilo'],
  [/\banew\b|\bwhoever\b|\bthereof\b/i, 'plain words'],
];

/** Where words are recognised, not said: everyday forms of steps, and data. */
const NOT_OURS = /^src\/core\/(?:verbs|said|written)\/|__tests__|\/testing\//;

function sources(folder: string): string[] {
  return fs.readdirSync(path.join(ROOT, folder), { withFileTypes: true }).flatMap((entry) => {
    const file = `${folder}/${entry.name}`;
    if (entry.isDirectory()) return sources(file);
    return /\.tsx?$/.test(entry.name) && !NOT_OURS.test(file) ? [file] : [];
  });
}

/** Texts of a file that people may see: of JSX, and strings with a space in them. */
function textsOf(file: string): { line: number; text: string }[] {
  const source = ts.createSourceFile(
    file,
    fs.readFileSync(path.join(ROOT, file), 'utf8'),
    ts.ScriptTarget.Latest,
    false,
    file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found: { line: number; text: string }[] = [];
  const visit = (node: ts.Node): void => {
    if (
      ts.isJsxText(node) ||
      ts.isStringLiteral(node) ||
      ts.isNoSubstitutionTemplateLiteral(node) ||
      ts.isTemplateHead(node) ||
      ts.isTemplateMiddle(node) ||
      ts.isTemplateTail(node)
    ) {
      const text = node.text.replace(/\s+/g, ' ').trim();
      // SQL is no text.
      if (text.includes(' ') && !/\b(?:SELECT|INSERT|UPDATE|DELETE|AS)\b/.test(text))
        found.push({ line: source.getLineAndCharacterOfPosition(node.pos).line + 1, text });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

test('no text of ours uses a word that nobody says', () => {
  const files = sources('src');
  expect(files.length).toBeGreaterThan(400);
  const wrong = files.flatMap((file) =>
    textsOf(file).flatMap(({ line, text }) =>
      FORBIDDEN.flatMap(([word, instead]) =>
        word.test(text) ? [`${file}:${line} “${text}”: say ${instead}`] : [],
      ),
    ),
  );
  expect(wrong).toEqual([]);
});

test('a forbidden word is found where people would read it, and only there', () => {
  const said = (text: string): boolean => FORBIDDEN.some(([word]) => word.test(text));
  for (const text of [
    'Call it otherwise',
    'Take it back',
    'who lives from it',
    'is reckoned with',
    'The heat is off',
  ])
    expect([text, said(text)]).toEqual([text, true]);
  for (const text of ['Put the lid on', 'thrown away with the water', 'Heat off', 'Undo', 'made from'])
    expect([text, said(text)]).toEqual([text, false]);
});
