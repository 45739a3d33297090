import { unitOf } from '@/core/quantity';
import { inSentence, type Names } from '@/core/said';
import { MODEL_LINES, type WrittenStep } from '@/core/verbs';
import type { Outcome } from '@/core/trouble';
import { searcher } from '@/search';
import type { SheetNames } from './names';

/** Lines offered at once: what one sees without reading a list. */
const MOST = 7;

/** Something a line can take, as it is called in one. */
interface Thing {
  readonly id: string;
  readonly name: string;
  readonly by: readonly string[];
}

const LITRES = ['l'];

/** Everything that a line can take: ingredients and the trim of them, what is made here, what parts from it, what a last batch left. */
function thingsIn(names: SheetNames): Thing[] {
  const recipes = new Map(names.recipes.map((r) => [r.id, r.name]));
  const things: Thing[] = [
    ...names.ingredients.map(({ id, name }, i) => ({ id: `i${i} ${id}`, name, by: names.usual?.[id] ?? [] })),
    ...names.recipes
      .filter((r) => r.id !== names.self)
      .map(({ id, name }) => ({ id: `r ${id}`, name, by: LITRES })),
    ...(names.parts ?? []).map(({ id, part }, i) => ({
      id: `p${i} ${id}`,
      name: `${part} of ${recipes.get(id) ?? ''}`,
      by: [],
    })),
    ...names.recipes.map(({ id, name }) => ({ id: `l ${id}`, name: `last batch of ${name}`, by: LITRES })),
    ...names.ingredients.map(({ id, name }, i) => ({
      id: `t${i} ${id}`,
      name: `stock trim of ${name}`,
      by: [],
    })),
  ];
  return things.map((t) => ({ ...t, name: inSentence(t.name) }));
}

const finders = new WeakMap<Names, (wanted: string) => Thing[]>();

/** Things by any of their words, what is called so or begins so first; the search is made once for all names there are. */
function finderFor(names: SheetNames): (wanted: string) => Thing[] {
  const known = finders.get(names);
  if (known) return known;
  const search = searcher(thingsIn(names));
  const find = (wanted: string): Thing[] => {
    const found = search(wanted).slice(0, 60);
    const plain = wanted.trim().toLowerCase();
    const rank = (t: Thing): number =>
      t.name.toLowerCase() === plain ? 0 : t.name.toLowerCase().startsWith(plain) ? 1 : 2;
    // What a last batch left and stock trim are asked for by those words.
    const kind = (t: Thing): number => (/^[lt]/.test(t.id) && !/last|trim/.test(plain) ? 1 : 0);
    // What a last batch left and stock trim are offered where they are asked for, or where there is nothing else.
    const asked = found.filter((t) => kind(t) === 0);
    const longer = (a: Thing, b: Thing): number => (rank(a) === 1 ? a.name.length - b.name.length : 0);
    return (asked.length > 0 ? asked : found).sort(
      (a, b) => kind(a) - kind(b) || rank(a) - rank(b) || longer(a, b),
    );
  };
  finders.set(names, find);
  return find;
}

/** `2 kg oni` in parts: the number, the unit if it is one, and what is left of a name. */
const AMOUNT = /^((?:\d[\d.,/ ]*|[½¼¾⅓⅔]|an?|half an?|a couple of)\s*)(\S*)\s*(.*)$/iu;

function withAmount(
  typed: string,
  find: (wanted: string) => Thing[],
  measures: ReadonlySet<string>,
): string[] {
  const [, number = '', word = '', rest = ''] = AMOUNT.exec(typed) ?? [];
  if (number === '') return [];
  const isUnit = unitOf(word) !== undefined || measures.has(word.toLowerCase());
  const name = (isUnit ? rest : `${word} ${rest}`).replace(/^of\s+/i, '').trim();
  if (name.length < 2) return [];
  const n = number.trim();
  return find(name)
    .slice(0, MOST)
    .flatMap((t) =>
      isUnit
        ? [`${n} ${word} ${t.name}`]
        : [...new Set([...t.by, 'kg'])].slice(0, 2).map((by) => [n, by, t.name].filter(Boolean).join(' ')),
    );
}

/** What a verb usually takes, where a line does not say it yet. */
const USUALLY: Readonly<Partial<Record<WrittenStep['do'], readonly string[]>>> = {
  season: ['salt'],
  'season to': ['salt'],
  mount: ['butter'],
  enrich: ['double cream', 'cream'],
  loosen: ['whole milk'],
  'loosen to': ['whole milk'],
  deglaze: ['red wine', 'white wine'],
  thicken: ['corn starch', 'cornflour', 'roux'],
  'thicken to': ['corn starch', 'roux'],
  clarify: ['egg white'],
  'to taste': ['lemon juice'],
};

/** A usual line with the kitchen's own things in it; nothing where it has none to put there. */
function filled(
  verb: WrittenStep['do'],
  line: string,
  names: SheetNames,
  find: (w: string) => Thing[],
): string[] {
  if (line.includes('<vessel>'))
    return names.vessels.slice(0, 3).map((v) => line.replace('<vessel>', v.name));
  if (!line.includes('<matter>')) return [line];
  const thing = USUALLY[verb]?.flatMap((wanted) => find(wanted).slice(0, 1)).at(0);
  return thing ? [line.replace('<matter>', thing.name)] : [];
}

/** `deglaze with 200 ml wh`: what stands before a name that is being typed after a verb. */
const AFTER_VERB = /^(.*?\b(?:with|of)\s+(?:\d[\d.,/ ]*\s*\S+\s+)?)(\p{L}.*)$/iu;

function verbLines(typed: string, names: SheetNames, find: (wanted: string) => Thing[]): string[] {
  const low = typed.toLowerCase();
  const lines = Object.entries(MODEL_LINES).flatMap(([verb, models]) =>
    models
      .filter((m) => m.startsWith(low) || (low.length > 2 && m.replace(/é/g, 'e').startsWith(low)))
      .flatMap((m) => filled(verb as WrittenStep['do'], m, names, find)),
  );
  const [, before, name = ''] = AFTER_VERB.exec(typed) ?? [];
  if (before === undefined || name.length < 2) return lines;
  const named = find(name)
    .slice(0, MOST)
    .map((t) => `${before}${t.name}`);
  return [...named, ...lines];
}

/**
 * Lines that what was typed may be on the way to: verbs as they are usually said, things by any of their words with the amounts
 * people measure them in. Each of them can be read.
 */
export function suggestions(
  typed: string,
  names: SheetNames,
  read: (line: string, names: Names) => Outcome<WrittenStep>,
): string[] {
  const wanted = typed.replace(/^\s+/, '');
  if (wanted.trim().length < 2) return [];
  const find = finderFor(names);
  const measures = new Set((names.measures ?? []).map((m) => m.name.toLowerCase()));
  const found =
    AMOUNT.test(wanted) && /^[\d½¼¾⅓⅔]|^(?:an?|half)\s/i.test(wanted)
      ? withAmount(wanted, find, measures)
      : [
          ...verbLines(wanted, names, find),
          ...find(wanted)
            .slice(0, MOST)
            .map((t) => ['1', t.by.length === 0 ? 'kg' : t.by[0], t.name].filter(Boolean).join(' ')),
        ];
  const said = wanted.trim().toLowerCase();
  const told = [...new Set(found)].filter((line) => line.toLowerCase() !== said);
  const sound: string[] = [];
  for (const line of told) {
    if (sound.length >= MOST) break;
    if (read(line, names).ok) sound.push(line);
  }
  return sound;
}
