import type { z } from 'zod';
import { refuse, type Trouble } from '../trouble';
import { checkKitchen } from './checks';
import { LISTS, type Sparse } from './sparse';
import { upgradeCounts } from './upgrade';
import { FORMAT_VERSION, KitchenFile } from './schema';
import { duplicateKeys } from './duplicate-keys';
import { pathInWords } from './path-in-words';
import * as texts from './texts';

/** A kitchen file read whole, or every mistake in it: nothing is half loaded. */
export type FileRead =
  | { readonly ok: true; readonly file: KitchenFile }
  | { readonly ok: false; readonly mistakes: readonly Trouble[] };

/** Characters: a house of years with its history; a browser holds half as much again in one text. */
const HUGE = 256 * 1024 * 1024;

/** Reads the text of a kitchen file: JSON, then shape, then what the parts say of each other. */
export function readKitchenText(text: string): FileRead {
  if (text.length > HUGE)
    return {
      ok: false,
      mistakes: [refuse('too-large', '', texts.fileCharactersMostRead(text.length, HUGE)).trouble],
    };
  let json: unknown;
  const plain = text.replace(/^\uFEFF/, '');
  try {
    json = JSON.parse(plain);
  } catch (error) {
    const why = error instanceof Error ? error.message : 'unknown';
    return { ok: false, mistakes: [refuse('not-json', '', texts.fileNotJson(why)).trouble] };
  }
  const twice = duplicateKeys(plain);
  const read = readKitchen(json);
  return twice.length === 0
    ? read
    : { ok: false, mistakes: [...placed(json, twice), ...(read.ok ? [] : read.mistakes)] };
}

/** Mistakes with their places in words. */
const placed = (json: unknown, mistakes: readonly Trouble[]): Trouble[] =>
  mistakes.map((m) => (m.path === '' ? m : { ...m, where: pathInWords(json, m.path) }));

export function readKitchen(read: unknown): FileRead {
  const version = (read as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > FORMAT_VERSION)
    return {
      ok: false,
      mistakes: [
        refuse('newer-version', 'version', texts.fileNewerVersionHalf(version, FORMAT_VERSION), {
          value: version,
          limit: FORMAT_VERSION,
        }).trouble,
      ],
    };
  const json = version === 1 ? upgradeCounts(read as Record<string, unknown>) : read;
  const parsed = KitchenFile.safeParse(json);
  if (parsed.success) {
    const mistakes = checkKitchen(parsed.data);
    return mistakes.length > 0
      ? { ok: false, mistakes: placed(json, mistakes) }
      : { ok: true, file: parsed.data };
  }
  const shape = parsed.error.issues.flatMap((issue) => shapeMistakes(issue, []));
  return { ok: false, mistakes: placed(json, [...shape, ...checkKitchen(sparse(json))]) };
}

/** What is sound of a file with mistakes in its shape, so that what its parts say of each other is told too. */
function sparse(json: unknown): Sparse {
  const raw = (typeof json === 'object' && json !== null ? json : {}) as Record<string, unknown>;
  const items = (list: string): unknown[] => (Array.isArray(raw[list]) ? (raw[list] as unknown[]) : []);
  const idOf = (item: unknown): string => String((item as { id?: unknown } | null)?.id ?? '');
  const shapes = KitchenFile.shape;
  const kitchen = shapes.kitchen.safeParse(raw.kitchen);
  const element = (list: (typeof LISTS)[number]): z.ZodType => {
    const schema = shapes[list];
    return ('removeDefault' in schema ? schema.removeDefault() : schema).element as z.ZodType;
  };
  const read = LISTS.map((list) => [list, items(list).map((item) => element(list).safeParse(item).data)]);
  return {
    ...(Object.fromEntries(read) as unknown as Sparse),
    kitchen: kitchen.data ?? ({ decimalMark: '.' } as KitchenFile['kitchen']),
    measures: shapes.measures.safeParse(raw.measures ?? []).data ?? [],
    counts: shapes.counts.safeParse(raw.counts ?? []).data ?? [],
    ids: Object.fromEntries(LISTS.map((list) => [list, items(list).map(idOf)])) as unknown as NonNullable<
      Sparse['ids']
    >,
  };
}

type Issue = {
  readonly code?: string | undefined;
  readonly path: readonly PropertyKey[];
  readonly message: string;
  readonly errors?: readonly (readonly Issue[])[];
};

/**
 * One sentence for each thing that is wrong with the shape. Of alternatives that all fail, the one
 * that fails least is taken to be meant.
 */
function shapeMistakes(issue: Issue, before: readonly PropertyKey[]): Trouble[] {
  const path = [...before, ...issue.path];
  if (issue.errors && issue.errors.length > 0) {
    const meant = [...issue.errors].sort((a, b) => wrongness(a) - wrongness(b))[0] ?? [];
    return meant.flatMap((inner) => shapeMistakes(inner, path));
  }
  return [{ code: issue.code ?? 'shape', path: pathOf(path), message: `${sentence(issue.message)}` }];
}

/** Alternatives whose discriminating word is wrong are further off than those with a wrong figure. */
const wrongness = (issues: readonly Issue[]): number =>
  issues.reduce(
    (sum, i) =>
      sum +
      (i.path.length === 1 && (i.path[0] === 'do' || i.path[0] === 'is' || i.path[0] === 'shape') ? 100 : 1),
    0,
  );

const sentence = (message: string): string => {
  const plain = message.replace(
    /^Invalid input: expected (\w+), received (\w+)$/,
    (_, want: string, got: string) =>
      got === 'undefined' ? `is missing (${want} is wanted)` : `should be ${want}, not ${got}`,
  );
  return `${plain.charAt(0).toUpperCase()}${plain.slice(1)}${plain.endsWith('.') ? '' : '.'}`;
};

const pathOf = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (said, key) =>
      typeof key === 'number' ? `${said}[${key}]` : said === '' ? String(key) : `${said}.${String(key)}`,
    '',
  );
