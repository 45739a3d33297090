/** An article as a list could name it. */
export interface KnownArticle {
  readonly id: string;
  readonly name: string;
  readonly code?: string | undefined;
}

/** How a row found its article. */
export type Match = { readonly article: string; readonly by: 'code' | 'name' } | { readonly by: 'none' };

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
const plainCode = (code: string): string => code.toUpperCase().replace(/\s+/g, '');

/**
 * Matches rows to a supplier's articles: by code, then by name. Two articles of one code or name are
 * no match: it is asked. A code that is known under another name still counts, as suppliers rename more than they renumber.
 */
export function matcher(
  articles: readonly KnownArticle[],
): (row: { code?: string | undefined; name: string }) => Match {
  const byCode = unique(articles.flatMap((a) => (a.code ? [[plainCode(a.code), a.id] as const] : [])));
  const byName = unique(articles.map((a) => [plain(a.name), a.id] as const));
  return ({ code, name }) => {
    const coded = code === undefined ? undefined : byCode.get(plainCode(code));
    if (coded) return { article: coded, by: 'code' };
    const named = byName.get(plain(name));
    return named ? { article: named, by: 'name' } : { by: 'none' };
  };
}

/** Keys that stand for one thing only. */
function unique(pairs: readonly (readonly [string, string])[]): Map<string, string> {
  const once = new Map<string, string>();
  const twice = new Set<string>();
  for (const [key, id] of pairs) {
    if (once.has(key)) twice.add(key);
    once.set(key, id);
  }
  for (const key of twice) once.delete(key);
  return once;
}
