import type { Of } from '../written';
import { findMatter, type Names } from './names';
import { whichSaid, type WhichSaid } from './which';
import {
  amountSaid,
  lengthSaid,
  litresSaid,
  numberSaid,
  shareSaid,
  temperatureSaid,
  timeSaid,
} from './slots';

/**
 * Everyday ways to say a step. A form is a small grammar: words, `(this|that)`, `[left out or not]`, and `<slots>` that take as many
 * words as are of their kind. All ways in which a line fits all forms are found, not only the first one: a line that can mean two
 * things is asked, never guessed.
 *
 * ```
 * (simmer|cook) [gently] [for] <time>
 * ```
 */
export interface Form<W> {
  readonly form: string;
  /** The step it means; nothing where it does after all not fit; or lines to choose from, where something is lacking that only a person can say. */
  readonly means: (slots: Slots) => W | Asks | undefined;
}

/** What is asked back: why, and lines that would be understood, nearest first. */
export interface Asks {
  readonly asks: string;
  readonly instead: readonly string[];
}
export const asks = (why: string, ...instead: string[]): Asks => ({ asks: why, instead });
export const isAsking = (means: unknown): means is Asks =>
  typeof means === 'object' && means !== null && 'asks' in means;

/** What stood in a form's slots, each as a field of a step writes it. */
export interface Slots {
  readonly amount: string;
  readonly time: string;
  readonly share: string;
  readonly temperature: string;
  readonly litres: string;
  readonly length: string;
  readonly matter: Of;
  /** The words the matter was called by. */
  readonly called: string;
  readonly number: string;
  /** Which pieces: `{}` where all are meant. */
  readonly which: { readonly pieces?: Exclude<WhichSaid, undefined> };
  /** The form's own words that stood in the line. */
  readonly said: readonly string[];
}

type Kind = 'amount' | 'time' | 'share' | 'temperature' | 'litres' | 'length' | 'matter' | 'number' | 'which';

type Node =
  | { readonly is: 'word'; readonly word: string }
  | { readonly is: 'slot'; readonly kind: Kind }
  | { readonly is: 'one of'; readonly ways: readonly (readonly Node[])[]; readonly optional: boolean };

/** Words and signs of a line, in lower case. */
export const tokensOf = (line: string): string[] =>
  line
    .toLowerCase()
    .match(/\d+(?:[.,]\d+)?(?:\s*[/⁄]\s*\d+)?|[½¼¾⅓⅔]|%|°\s*[cf]\b|[\p{L}][\p{L}'’-]*|[,;]/gu)
    ?.map((t) => t.replace(/\s+/g, '')) ?? [];

const parsed = new Map<string, readonly Node[]>();

/** A form taken apart, once. */
function nodesOf(form: string): readonly Node[] {
  const known = parsed.get(form);
  if (known) return known;
  const parts = form.match(/<\w+>|[()[\]|]|[^\s()[\]|<>]+/g) ?? [];
  let i = 0;
  const sequences = (end: string | undefined): (readonly Node[])[] => {
    const ways: Node[][] = [[]];
    for (; i < parts.length && parts[i] !== end; i += 1) {
      const part = parts[i] as string;
      const way = ways[ways.length - 1] as Node[];
      if (part === '|') ways.push([]);
      else if (part === '(' || part === '[') {
        i += 1;
        way.push({ is: 'one of', ways: sequences(part === '(' ? ')' : ']'), optional: part === '[' });
      } else if (part.startsWith('<')) way.push({ is: 'slot', kind: part.slice(1, -1) as Kind });
      else way.push({ is: 'word', word: part });
    }
    return ways;
  };
  const nodes = sequences(undefined)[0] ?? [];
  parsed.set(form, nodes);
  return nodes;
}

/** Words that a name or an amount may run to. */
const LONGEST = 9;

/** A line being read: its words, and what stretches of them were already found to be. */
interface Reading {
  readonly tokens: readonly string[];
  readonly names: Names;
  readonly found: Map<string, unknown>;
}

const READERS: Readonly<
  Record<Exclude<Kind, 'matter' | 'which'>, (words: readonly string[], names: Names) => string | undefined>
> = {
  amount: amountSaid,
  time: timeSaid,
  share: shareSaid,
  temperature: temperatureSaid,
  litres: litresSaid,
  length: lengthSaid,
  number: numberSaid,
};

/** What a stretch of words is as a slot of a kind; undefined where it is none. Looked up once for each stretch. */
function spanAs(r: Reading, kind: Kind, from: number, to: number): Partial<Slots> | undefined {
  const key = `${kind} ${from} ${to}`;
  if (r.found.has(key)) return r.found.get(key) as Partial<Slots> | undefined;
  const words = r.tokens.slice(from, to);
  let slots: Partial<Slots> | undefined;
  if (kind === 'matter') {
    const called = words.join(' ').replaceAll(' ,', ',');
    const of = /^[,;]|[,;]$/.test(called) ? undefined : findMatter(called, r.names, 'left');
    slots = of?.ok ? { matter: of.value, called } : undefined;
  } else if (kind === 'which') {
    const which = /^[,;]|[,;]$/.test(words.join(' '))
      ? undefined
      : whichSaid(words.join(' '), r.names, 'left');
    slots = which?.ok ? { which: which.value } : undefined;
  } else {
    const read = READERS[kind](words, r.names);
    slots = read === undefined ? undefined : { [kind]: read };
  }
  r.found.set(key, slots);
  return slots;
}

/** Every way in which nodes fit the words from a place on: where they end, and what stood in their slots. */
function* fits(
  nodes: readonly Node[],
  n: number,
  r: Reading,
  at: number,
  slots: Partial<Slots>,
): Generator<{ readonly at: number; readonly slots: Partial<Slots> }> {
  const node = nodes[n];
  if (!node) return void (yield { at, slots });
  if (node.is === 'word') {
    if (r.tokens[at] === node.word)
      yield* fits(nodes, n + 1, r, at + 1, { ...slots, said: [...(slots.said ?? []), node.word] });
    return;
  }
  if (node.is === 'one of') {
    for (const way of node.ways)
      for (const end of fits(way, 0, r, at, slots)) yield* fits(nodes, n + 1, r, end.at, end.slots);
    if (node.optional) yield* fits(nodes, n + 1, r, at, slots);
    return;
  }
  for (let to = at + 1; to <= Math.min(r.tokens.length, at + LONGEST); to += 1) {
    const found = spanAs(r, node.kind, at, to);
    if (found) yield* fits(nodes, n + 1, r, to, { ...slots, ...found });
  }
}

/** Words that begin or end a line and change nothing. */
const COURTESY = new Set(['then', 'and', 'now', 'please', 'next', 'finally', 'first']);

/** Every different thing that a line means by some forms. */
export function meaningsOf<W>(line: string, forms: readonly Form<W>[], names: Names): (W | Asks)[] {
  const all = tokensOf(line);
  const from = all.findIndex((t) => !COURTESY.has(t));
  const tokens = all.slice(Math.max(0, from));
  if (tokens.length === 0 || tokens.length > 40) return [];
  const reading: Reading = { tokens, names, found: new Map() };
  const found = new Map<string, W | Asks>();
  for (const { form, means } of forms)
    for (const end of fits(nodesOf(form), 0, reading, 0, {}))
      if (end.at === tokens.length) {
        const meant = means({ said: [], ...end.slots } as unknown as Slots);
        if (meant !== undefined) found.set(JSON.stringify(meant), meant);
      }
  // What is understood goes before what would have to be asked.
  const meant = [...found.values()].filter((m) => !isAsking(m));
  return meant.length > 0 ? meant : [...found.values()];
}
