/** Where a browser keeps the stove's pages: the service worker fills it. */
export const KEPT_PAGES = 'half-pot-stove';
const WHOSE = 'half-pot-pages-of';

/** Lets go of the pages a browser has kept: anyone who sits down next is shown nobody else's. What waits to be sent is not among them. */
export async function forgetPages(): Promise<void> {
  try {
    localStorage.removeItem(WHOSE);
    // Only pages that came safely have it.
    if ('caches' in globalThis) await caches.delete(KEPT_PAGES);
  } catch {
    // A browser without storage has kept nothing.
  }
}

/** Says whose pages a browser keeps from now on: another's are let go of, also where nobody signed out before them. */
export async function keepPagesOf(person: string): Promise<void> {
  try {
    const before = localStorage.getItem(WHOSE);
    if (before !== null && before !== person) await forgetPages();
    localStorage.setItem(WHOSE, person);
  } catch {
    // As above.
  }
}
