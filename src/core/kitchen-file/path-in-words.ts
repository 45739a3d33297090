/** What one of a list is called in a sentence. */
const ONE_OF: Readonly<Record<string, string>> = {
  recipes: 'recipe',
  plates: 'plate',
  menus: 'menu',
  trays: 'tray',
  questions: 'question',
  batches: 'batch',
  ingredients: 'ingredient',
  articles: 'article',
  suppliers: 'supplier',
  vessels: 'vessel',
  hobs: 'hob',
  people: 'person',
  measures: 'measure',
  purchases: 'purchase',
  tests: 'test',
  counts: 'count',
  wastes: 'waste',
  steps: 'step',
  lines: 'line',
  parts: 'part',
  quotes: 'quote',
  yields: 'yield',
};

/** A field as it is read out: “menuPrice” is a menu price. */
const spoken = (field: string): string => field.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

/**
 * A path of a kitchen file in its own words: `recipes[3].steps[5].amount` is “recipe “Juniper sauce”, step 6, amount”. What has a
 * name is called by it, the rest is counted from one, as people count.
 */
export function pathInWords(file: unknown, path: string): string {
  const keys = path.match(/[^.[\]]+/g) ?? [];
  const said: string[] = [];
  let at: unknown = file;
  for (let i = 0; i < keys.length; i += 1) {
    const key = keys[i] as string;
    at = (at as Record<string, unknown> | null | undefined)?.[key];
    const index = keys[i + 1];
    const one = ONE_OF[key];
    if (one === undefined || index === undefined || !/^\d+$/.test(index)) {
      said.push(/^\d+$/.test(key) ? String(Number(key) + 1) : spoken(key));
      continue;
    }
    at = (at as unknown[] | undefined)?.[Number(index)];
    const name = (at as { name?: unknown } | null | undefined)?.name;
    said.push(
      typeof name === 'string' && name.trim() !== '' ? `${one} “${name}”` : `${one} ${Number(index) + 1}`,
    );
    i += 1;
  }
  return said.join(', ');
}
