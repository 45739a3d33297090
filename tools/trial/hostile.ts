import fs from 'node:fs';
import path from 'node:path';
import { v7 } from 'uuid';
import { z } from 'zod';
import type { KitchenFile } from '@/core/kitchen-file';
import * as ingredient from '@/features/buy/ingredient/wire';
import * as larder from '@/features/buy/larder/wire';
import * as lists from '@/features/buy/lists/wire';
import * as purchases from '@/features/buy/purchases/wire';
import * as prices from '@/features/buy/wire';
import * as people from '@/features/people/wire';
import * as pots from '@/features/pot/wire';
import * as plates from '@/features/pour/wire';
import * as bench from '@/features/trim/bench/wire';
import * as flow from '@/features/trim/flow/wire';
import * as schools from '@/features/trim/schools/wire';
import * as taught from '@/features/trim/taught/wire';
import type { Wire } from '@/wire';
import type { Instance } from '../instance';
import { cookieOf } from '../person';
import { ROOT } from '../place';
import type { Row } from './writers';

/** What nobody at work would send. */
const NASTY: readonly unknown[] = [
  null,
  '',
  ' ',
  '0',
  '-1',
  '1e309',
  'NaN',
  -1,
  1e308,
  Number.MAX_SAFE_INTEGER,
  true,
  [],
  {},
  [[[[[[]]]]]],
  "'; DROP TABLE recipe; --",
  '${7*7}{{7*7}}',
  '<img src=x onerror=alert(1)>',
  '\u0000',
  '\ud800',
  '\u202e1 kg',
  '9'.repeat(400),
  'x'.repeat(200_000),
  '🥕'.repeat(50),
  '../../../etc/passwd',
  '%E0%A4',
  '1/0 kg',
  '((((((((((((((((1))))))))))))))))',
  { __proto__: { role: 'manager' }, constructor: { prototype: {} } },
  Array.from({ length: 5000 }, () => 0),
  '2026-02-31',
  '9999-12-31',
];

interface Schema {
  readonly type?: string;
  readonly format?: string;
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly items?: Schema;
  readonly anyOf?: readonly Schema[];
}

/** A body that a schema would take, with one thing of the kitchen wherever an id stands. */
function plausible(schema: Schema, id: string): unknown {
  if (schema.const !== undefined) return schema.const;
  if (schema.enum) return schema.enum[0];
  if (schema.anyOf?.[0]) return plausible(schema.anyOf[0], id);
  if (schema.properties)
    return Object.fromEntries(Object.entries(schema.properties).map(([key, of]) => [key, plausible(of, id)]));
  if (schema.type === 'array') return schema.items ? [plausible(schema.items, id)] : [];
  if (schema.type === 'boolean') return true;
  if (schema.type === 'number' || schema.type === 'integer') return 1;
  return schema.format === 'uuid' ? id : '1 kg';
}

/** Every way to put one value into a body, in place of a part of it: the whole of it first. */
function* with1(body: unknown, value: unknown): Generator<unknown> {
  yield value;
  if (Array.isArray(body)) {
    for (const [i, part] of body.entries())
      for (const other of with1(part, value)) yield body.map((p: unknown, j) => (i === j ? other : p));
  } else if (typeof body === 'object' && body !== null)
    for (const [key, part] of Object.entries(body))
      for (const other of with1(part, value)) yield { ...body, [key]: other };
}

const wires = (): Wire<unknown, unknown, unknown>[] =>
  [ingredient, larder, lists, purchases, prices, people, pots, plates, bench, flow, schools, taught]
    .flatMap((room) => Object.values(room) as unknown[])
    .filter(
      (w): w is Wire<unknown, unknown, unknown> =>
        typeof w === 'object' && w !== null && 'kind' in w && 'body' in w,
    );

/** One thing that is asked, however it travels. */
interface Asked {
  readonly what: string;
  readonly ask: (address: string, cookie: string) => Promise<Response>;
}

const post =
  (to: string, body: string, headers: Record<string, string>) => (address: string, cookie: string) =>
    fetch(address + to, {
      method: 'POST',
      headers: { cookie, origin: address, ...headers },
      body,
      redirect: 'manual',
    });

/** Every kind of write with every nasty thing in every place of its body. */
function* commands(file: KitchenFile): Generator<Asked> {
  const ids = [file.ingredients[0]?.id, file.articles[0]?.id, file.recipes[0]?.id, file.plates[0]?.id, v7()];
  for (const { kind, version, body } of wires()) {
    const schema = z.toJSONSchema(body, { unrepresentable: 'any', io: 'input' }) as Schema;
    for (const id of ids)
      for (const nasty of NASTY)
        for (const made of with1(plausible(schema, id ?? ''), nasty))
          yield {
            what: kind,
            ask: (address, cookie) =>
              post(
                '/command',
                JSON.stringify({ commandId: v7(), kind, kindVersion: version, seen: 1, body: made }),
                { 'content-type': 'application/json' },
              )(address, cookie),
          };
  }
  const json = { 'content-type': 'application/json' };
  for (const torn of ['', '{', '[]', 'null', '{"commandId":1}', '['.repeat(100_000), '"' + 'x'.repeat(1e6)])
    yield { what: 'command', ask: post('/command', torn, json) };
}

/** The questions that pages ask, found in what was built, with every nasty thing as what they are asked with. */
function* actions(): Generator<Asked> {
  const manifest = JSON.parse(
    fs.readFileSync(path.join(ROOT, '.next/server/server-reference-manifest.json'), 'utf8'),
  ) as { node: Record<string, { workers: Record<string, unknown> }> };
  for (const [id, { workers }] of Object.entries(manifest.node)) {
    const page = Object.keys(workers)[0] ?? '';
    const to = page
      .replace(/^app/, '')
      .replace(/\/\([^)]*\)/g, '')
      .replace(/\/page$/, '')
      .replace('[id]', v7());
    for (const nasty of NASTY) {
      for (const args of [[nasty], [nasty, nasty], [nasty, nasty, nasty, nasty]])
        yield {
          what: `action of ${to}`,
          ask: post(to, JSON.stringify(args), {
            'next-action': id,
            'content-type': 'text/plain;charset=UTF-8',
          }),
        };
      yield {
        what: `form of ${to}`,
        ask: (address, cookie) => {
          const form = new FormData();
          form.set(`$ACTION_ID_${id}`, '');
          for (const field of ['person', 'secret', 'file']) form.set(field, String(nasty));
          return fetch(address + to, {
            method: 'POST',
            headers: { cookie, origin: address },
            body: form,
            redirect: 'manual',
          });
        },
      };
    }
    yield { what: `action of ${to}`, ask: post(to, '', { 'next-action': id }) };
    yield { what: `action of ${to}`, ask: post(to, '["$F1","$undefined","$Q1"', { 'next-action': id }) };
  }
}

/** Every page and route there is, with nasty things in its address. */
function* addresses(): Generator<Asked> {
  const routes = JSON.parse(
    fs.readFileSync(path.join(ROOT, '.next/app-path-routes-manifest.json'), 'utf8'),
  ) as Record<string, string>;
  for (const route of Object.values(routes).filter((r) => !r.startsWith('/_')))
    for (const nasty of NASTY) {
      const text = String(typeof nasty === 'object' ? JSON.stringify(nasty) : nasty).slice(0, 4000);
      const escaped =
        /[\ud800-\udfff]/.test(text) && text.length === 1 ? '%ED%A0%80' : encodeURIComponent(text);
      const to = route.replace('[id]', escaped);
      for (const address of [
        `${to}?on=${escaped}&known=${escaped}&q=${escaped}&with=${escaped}&school=${escaped}`,
      ])
        yield {
          what: route,
          ask: (base, cookie) =>
            fetch(base + address, {
              headers: { cookie, accept: 'text/html' },
              redirect: 'manual',
              signal: AbortSignal.timeout(20_000),
            }),
        };
    }
}

/** Traces of our inside in an answer: where a file lies, a statement, a line of a stack. */
const LEAK = /node_modules|\/src\/|at \w+ \(|ER_[A-Z_]{4,}|\bSELECT .* FROM\b|mysql:\/\//;

/** Sends nasty things to everything that takes something, and says what came of it. */
export async function hostile(most: number, file: KitchenFile, app: Instance, row: Row): Promise<void> {
  const all = [...commands(file), ...actions(), ...addresses()];
  // A share of each, evenly, where there are more than are wanted.
  const every = Math.max(1, all.length / most);
  const some = Array.from(
    { length: Math.min(most, all.length) },
    (_, i) => all[Math.floor(i * every)] as Asked,
  );
  const cookie = await cookieOf(app.address);
  const seen = {
    answered: 0,
    torn: 0,
    said: 0,
    our: [] as string[],
    leaks: [] as string[],
    silent: [] as string[],
  };
  const { pid } = app;
  const look = async ({ what, ask }: Asked): Promise<void> => {
    try {
      const answer = await ask(app.address, cookie);
      const text = await answer.text();
      seen.answered += 1;
      // What no browser of ours can have sent is ended by the framework before any code of ours is reached.
      if (answer.status === 500 && what.startsWith('action of') && text.includes('E{"digest"'))
        seen.torn += 1;
      else if (answer.status >= 500 || text.includes('"code":"failed"'))
        seen.our.push(`${what}: ${answer.status} ${text.slice(0, 90)}`);
      else if (answer.status >= 400 || text.includes('"ok":false')) seen.said += 1;
      // A page carries its own scripts; what is looked at is what was answered to something refused.
      if (LEAK.test(text) && !text.startsWith('<!DOCTYPE')) seen.leaks.push(what);
    } catch {
      seen.silent.push(what);
    }
  };
  const began = performance.now();
  const todo = some.values();
  await Promise.all(
    Array.from({ length: 8 }, async () => {
      for (const one of todo) await look(one);
    }),
  );
  const s = Math.round((performance.now() - began) / 1000);
  const named = (list: readonly string[]): string =>
    list.length === 0 ? '' : ` (${[...new Set(list)].slice(0, 6).join(', ')})`;
  row(
    `hostile payloads, ${some.length} of ${all.length}, in ${s} s`,
    `${seen.said} refused in words, ${seen.torn} torn ones ended by the framework, ${seen.our.length} failures of ours${named(seen.our)}, ${seen.leaks.length} leaks${named(seen.leaks)}, ${seen.silent.length} unanswered${named(seen.silent)}; ${app.pid === pid && (await fetch(`${app.address}/ready`)).ok ? 'still ready' : 'NOT READY'}`,
  );
}
