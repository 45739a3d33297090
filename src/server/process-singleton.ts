const held = globalThis as typeof globalThis & { halfPotHeld?: Map<string, unknown> };

/**
 * Something there is one of in a process. Pages and route handlers are served from two copies of every module: what both hold,
 * and the functions that work with it, are those of whichever came first, or each would work everything out for itself.
 * Not in development, where modules are loaded again at each edit; nor in tests, which play several processes in one.
 */
export function processSingleton<T>(name: string, make: () => T): T {
  if (process.env.NODE_ENV !== 'production') return make();
  const all = (held.halfPotHeld ??= new Map<string, unknown>());
  if (!all.has(name)) all.set(name, make());
  return all.get(name) as T;
}
