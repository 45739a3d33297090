import fs from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import type { PersonRole } from '@/db/people/people';
import type * as Asked from '../server-query';
import type { Worker } from '../roles';

let who: Worker | undefined;
jest.mock('../session', () => ({ currentWorker: () => Promise.resolve(who) }));
// eslint-disable-next-line @typescript-eslint/no-require-imports -- after what stands in for the session
const { serverQuery: asked } = require('../server-query') as typeof Asked;

const as = (role: PersonRole): Worker => ({
  kitchenId: 'k',
  person: { id: 'p', name: 'Somebody', role },
  role,
  zone: 'Europe/Dublin',
});
const double = asked(
  { role: 'cook', of: z.tuple([z.number().max(10)]), otherwise: null },
  (w, n): string | null => `${w.role} ${n * 2}`,
);

test('a question is answered to whoever may ask it, asked with what it is asked with', async () => {
  who = as('cook');
  expect(await double(4)).toBe('cook 8');
  who = as('manager');
  expect(await double(5)).toBe('manager 10');
});

test('to nobody, to a lesser role and to anything else it answers as if nobody had asked', async () => {
  who = undefined;
  expect(await double(4)).toBeNull();
  who = as('reader');
  expect(await double(4)).toBeNull();
  who = as('cook');
  const odd = double as unknown as (...given: unknown[]) => Promise<string | null>;
  for (const given of [[11], ['4'], [], [4, 5], [{ length: 1 }], [null]])
    expect(await odd(...given)).toBeNull();
});

const FREE: readonly (readonly [file: string, names: readonly string[]])[] = [
  ['people/actions.ts', ['signIn', 'signOut', 'registerDevice']],
  ['first/actions.ts', ['openKitchen']],
];

test('no question of any page is asked otherwise; the door’s own are the only ones without', () => {
  const found: string[] = [];
  const visit = (at: string): void => {
    for (const entry of fs.readdirSync(at, { withFileTypes: true })) {
      const file = path.join(at, entry.name);
      if (entry.isDirectory()) visit(file);
      else if (/\.tsx?$/.test(entry.name) && /^'use server';/m.test(fs.readFileSync(file, 'utf8')))
        found.push(file);
    }
  };
  visit('src');
  expect(found.length).toBeGreaterThan(7);
  for (const file of found) {
    const exported = [...fs.readFileSync(file, 'utf8').matchAll(/^export (?!type|interface)(.*)$/gm)].map(
      (m) => m[1] ?? '',
    );
    const free = exported.filter(
      (line) => !/^const \w+ = serverQuery\($/.test(line.replace(/serverQuery\(.*$/, 'serverQuery(')),
    );
    // Signing in and out ask who somebody is; letting a device in sets a cookie, and checks its manager itself. Anyone who begins a
    // kitchen is nobody yet: a word guards that.
    expect([file, free.map((line) => /function (\w+)/.exec(line)?.[1] ?? line)]).toEqual([
      file,
      FREE.find(([of]) => file.endsWith(of))?.[1] ?? [],
    ]);
  }
});
