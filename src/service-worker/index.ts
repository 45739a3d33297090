import { CacheFirst, ExpirationPlugin, NetworkFirst, Serwist } from 'serwist';
import { KEPT_PAGES as PAGES } from '../wire/kept-pages';

/*
 * What stands between the stove's pages and the network. A pot goes on when the network is gone: its page opens and reloads from what this
 * browser has kept, what is told waits in the browser's own queue. Pages of other stations are never kept here: they would show figures
 * that are not.
 */

const PARTS = 'half-pot-parts';
const DAY_S = 24 * 3600;
/** s for which the network is waited for before the kept page is shown. */
const PATIENCE_S = 4;
/** A browser holds a build or two, and the pages of a few weeks' pots. */
const MOST = { parts: 600, pages: 60 } as const;

/** What is used of the worker's scope: its types are another library than a page's. */
interface Scope {
  readonly location: { readonly origin: string };
  addEventListener(type: 'message', listener: (event: MessageEvent<unknown>) => void): void;
}
const scope = self as unknown as Scope;

const isStove = (path: string): boolean => path === '/stove' || path.startsWith('/stove/');
const isPart = (path: string): boolean => path.startsWith('/_next/static/') || path === '/icon.svg';

/** Somebody has gone home: what was kept for them is nobody's. */
const forget = (): Promise<boolean> => caches.delete(PAGES);

/** From here on nobody has answered but something that stands before the kitchen's computer, or its last words: as good as no network. */
const NOBODY = 502;
const NOTHING_KEPT =
  'The server does not answer, and this browser has not kept this page. Go back to a pot that was open here, or try again.\n';

/** A page is kept as it was answered, with its rules of what may run in it; an answer that is another page is not kept, and ends what was. */
const asAnswered = {
  fetchDidSucceed: ({ response }: { response: Response }): Promise<Response> =>
    response.status < NOBODY
      ? Promise.resolve(response)
      : Promise.reject(new Error(`Answered ${response.status}.`)),
  handlerDidError: (): Promise<Response> =>
    Promise.resolve(
      new Response(NOTHING_KEPT, { status: 503, headers: { 'content-type': 'text/plain; charset=utf-8' } }),
    ),
  cacheWillUpdate: async ({ response }: { response: Response }): Promise<Response | null> => {
    if (response.redirected) {
      await forget();
      return null;
    }
    return response.status === 200 ? response : null;
  },
};

const pages = new NetworkFirst({
  cacheName: PAGES,
  networkTimeoutSeconds: PATIENCE_S,
  matchOptions: { ignoreSearch: true, ignoreVary: true },
  plugins: [asAnswered, new ExpirationPlugin({ maxEntries: MOST.pages, maxAgeSeconds: 30 * DAY_S })],
});

/** What the house has: asked for by a page that is open, kept for when nobody answers. */
const isPantry = (path: string): boolean => path === '/stove/pantry';

const parts = new CacheFirst({
  cacheName: PARTS,
  matchOptions: { ignoreVary: true },
  plugins: [new ExpirationPlugin({ maxEntries: MOST.parts, maxAgeSeconds: 60 * DAY_S })],
});

new Serwist({
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin && request.mode === 'navigate' && isStove(url.pathname),
      handler: pages,
    },
    { matcher: ({ url, sameOrigin }) => sameOrigin && isPantry(url.pathname), handler: pages },
    { matcher: ({ url, sameOrigin }) => sameOrigin && isPart(url.pathname), handler: parts },
  ],
}).addEventListeners();

/** Fetches what a page is made of, and only then pages that somebody may open when the network is gone: a page that is kept can be shown. */
async function keep(urls: readonly string[]): Promise<void> {
  const here = urls
    .map((url) => new URL(url, scope.location.origin))
    .filter((u) => u.origin === scope.location.origin);
  const ofParts = await caches.open(PARTS);
  const parts = here.filter((u) => isPart(u.pathname));
  await Promise.all(
    parts.map(async ({ href }) => {
      if (!(await ofParts.match(href, { ignoreVary: true }))) await ofParts.add(href).catch(() => undefined);
    }),
  );
  // Opened only now: while parts were fetched the pages may have been deleted, and what is put into a deleted cache is lost.
  const ofPages = await caches.open(PAGES);
  for (const { href, pathname } of here.filter((u) => isStove(u.pathname))) {
    // Anyone who asks for it again has it kept again; here it is only to be there at all.
    if (isPantry(pathname) && (await ofPages.match(pathname, { ignoreVary: true }))) continue;
    const answer = await fetch(href, isPantry(pathname) ? {} : { headers: { accept: 'text/html' } }).catch(
      () => undefined,
    );
    if (answer?.ok && !answer.redirected) await ofPages.put(pathname, answer);
  }
}

scope.addEventListener('message', (event) => {
  const said = event.data as { readonly keep?: readonly string[]; readonly forget?: true } | undefined;
  if (said?.keep)
    (event as MessageEvent & { waitUntil(done: Promise<unknown>): void }).waitUntil(keep(said.keep));
  if (said?.forget) (event as MessageEvent & { waitUntil(done: Promise<unknown>): void }).waitUntil(forget());
});
