import fs from 'node:fs/promises';
import path from 'node:path';
import { NextResponse } from 'next/server';

export const dynamic = 'force-dynamic';

/** The part of the stove that stays in a browser; it is made with the build, and there is none while somebody develops. */
export async function GET(): Promise<NextResponse> {
  const text = await fs
    .readFile(path.join(process.cwd(), '.next', 'halfpot-sw.js'), 'utf8')
    .catch(() => undefined);
  if (text === undefined) return new NextResponse('', { status: 404 });
  return new NextResponse(text, {
    headers: { 'content-type': 'text/javascript; charset=utf-8', 'cache-control': 'no-cache' },
  });
}
