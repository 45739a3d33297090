const ID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** Every id that stands in some values, however deep: a write depends on what it names. */
export function idsIn(...values: readonly unknown[]): Set<string> {
  const found = new Set<string>();
  const walk = (value: unknown): void => {
    if (typeof value === 'string') {
      if (ID.test(value)) found.add(value);
    } else if (typeof value === 'object' && value !== null)
      for (const inner of Object.values(value)) walk(inner);
  };
  walk(values);
  return found;
}
