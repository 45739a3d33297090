import { randomBytes } from 'node:crypto';
import { NextResponse, type NextRequest } from 'next/server';
import { databaseAnswers } from '@/server/database';
import { env, overHttps } from '@/server/env';
import { PLAIN_POLICY } from '@/server/plain-policy';

/** Everything that is asked of this server comes by here first. */
export async function proxy(request: NextRequest): Promise<NextResponse> {
  const answer = await answered(request);
  // A house that signs for itself says so for no other port of its computer: the page that puts it on a tablet is one.
  if (overHttps() && env().HALFPOT_LAN === undefined)
    answer.headers.set('strict-transport-security', `max-age=${YEAR_S}`);
  return answer;
}

/** s for which a browser that came by https asks in no other way. */
const YEAR_S = 365 * 24 * 60 * 60;

async function answered(request: NextRequest): Promise<NextResponse> {
  if (!isOurs(request.headers.get('host'))) return plain(421, 'This address is not one of this kitchen’s.');
  if (!METHODS.has(request.method)) return plain(405, 'This is not done here.');
  if (!isWritten(request.nextUrl.pathname)) return plain(400, 'This address cannot be read.');
  // A browser says where a page is from that sends something. The door of writes says so in its own words.
  if (request.method === 'POST' && !request.headers.has('origin') && request.nextUrl.pathname !== '/command')
    return plain(403, 'This did not come from a page of this kitchen.');
  if (!wantsPage(request)) {
    const answer = NextResponse.next({ request: { headers: asSent(request) } });
    answer.headers.set('content-security-policy', PLAIN_POLICY);
    return answer;
  }
  if (!(await databaseAnswers())) return notAnswering();
  const nonce = randomBytes(16).toString('base64');
  const policy = policyFor(nonce);
  const headers = asSent(request);
  // Next takes the nonce for its own scripts from here.
  headers.set('content-security-policy', policy);
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set('content-security-policy', policy);
  return answer;
}

/** Whether a request is for one of the addresses this server is reached by: a page elsewhere may point a name of its own here. */
function isOurs(host: string | null): boolean {
  const ours = env().HALFPOT_HOSTS;
  return ours === undefined || (host !== null && ours.split(',').includes(host.toLowerCase()));
}

const METHODS = new Set(['GET', 'HEAD', 'POST']);

/** What is sent along, without the host it says it was forwarded for: only a proxy that the house has named is believed. */
function asSent(request: NextRequest): Headers {
  const headers = new Headers(request.headers);
  const host = request.headers.get('host');
  if (env().HALFPOT_ORIGIN === undefined && host !== null) headers.set('x-forwarded-host', host);
  return headers;
}

/** Whether an address is whole: half a letter in it (%E0%A4) is nobody's, nor a letter that nobody can type. */
function isWritten(path: string): boolean {
  try {
    return !/[\u0000-\u001f\u007f]/.test(decodeURIComponent(path));
  } catch {
    return false;
  }
}

const wantsPage = (request: NextRequest): boolean =>
  request.method === 'GET' && (request.headers.get('accept') ?? '').includes('text/html');

/** React's own developer tools make code out of text; no page of ours does. */
const DEVELOPING = process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : '';

/**
 * What a page of ours may load and run: what this server sends, and of scripts and styles in the page only those that carry this
 * answer's nonce. Style attributes are drawn with (bars, the pot): they run nothing.
 */
const policyFor = (nonce: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${DEVELOPING}`,
    `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

const plain = (status: number, words: string): NextResponse =>
  new NextResponse(`${words}\n`, {
    status,
    headers: { 'content-type': 'text/plain; charset=utf-8', 'content-security-policy': PLAIN_POLICY },
  });

/** s after which a page that could not be shown is asked for again, by the browser itself. */
const AGAIN_S = 5;

/** Stands for any page while the database does not answer. It tries again without a script. */
const notAnswering = (): NextResponse =>
  new NextResponse(
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta http-equiv="refresh" content="${AGAIN_S}">
<meta name="viewport" content="width=device-width"><title>One moment · Half Pot</title></head>
<body style="font:1.1rem/1.5 sans-serif;background:#f8f5ed;color:#20272c;max-width:34rem;margin:18vh auto 0;padding:0 1rem">
<h1 style="font:600 1.9rem/1.2 serif">The kitchen’s records do not answer</h1>
<p>Nothing that was saved is lost. This page tries again by itself every ${AGAIN_S} seconds; what stands typed in another window stays there.</p>
</body></html>`,
    {
      status: 503,
      headers: {
        'content-type': 'text/html; charset=utf-8',
        'retry-after': String(AGAIN_S),
        'content-security-policy':
          "default-src 'none'; style-src-attr 'unsafe-inline'; frame-ancestors 'none'",
      },
    },
  );

export const config = { matcher: ['/((?!_next/static/).*)'] };
