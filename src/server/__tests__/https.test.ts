import { NextRequest } from 'next/server';
import type * as Proxy from '../../proxy';
import type * as Door from '../door/request';

jest.mock('../database', () => ({ databaseAnswers: () => Promise.resolve(true) }));
jest.mock('../session', () => ({}));
jest.mock('../door/perform', () => ({}));

const HOSTS = '127.0.0.1:4180,kitchen.example';

/** The way in and the door of a process started with these. */
function started(more: Readonly<Record<string, string>>) {
  delete process.env.HALFPOT_ORIGIN;
  Object.assign(process.env, {
    DATABASE_URL: 'mysql://u:p@127.0.0.1:3399/halfpot',
    HALFPOT_SECRET: 'a secret of thirty-two letters and more',
    HALFPOT_HOSTS: HOSTS,
    ...more,
  });
  let proxy: typeof Proxy | undefined;
  let door: typeof Door | undefined;
  jest.isolateModules(() => {
    /* eslint-disable @typescript-eslint/no-require-imports -- loaded fresh, as after a start */
    proxy = require('../../proxy') as typeof Proxy;
    door = require('../door/request') as typeof Door;
    /* eslint-enable */
  });
  return {
    ask: (host: string, path = '/sign-in') =>
      (proxy as typeof Proxy).proxy(new NextRequest(`http://${host}${path}`, { headers: { host } })),
    readJson: (text: string) => (door as typeof Door).readJson(text),
    fromHere: (headers: Record<string, string>) => (door as typeof Door).isFromHere(new Headers(headers)),
  };
}

test('over https browsers are told to ask in no other way; on plain http nothing is said that could not be kept', async () => {
  const behind = started({ HALFPOT_ORIGIN: 'https://kitchen.example' });
  expect((await behind.ask('kitchen.example')).headers.get('strict-transport-security')).toBe(
    'max-age=31536000',
  );
  const plain = started({});
  expect((await plain.ask('127.0.0.1:4180')).headers.get('strict-transport-security')).toBeNull();
});

test('a foreign name gets nothing, and half a letter in an address a sentence', async () => {
  const { ask } = started({});
  expect((await ask('evil.example')).status).toBe(421);
  expect((await ask('127.0.0.1:4180')).status).toBe(200);
  expect((await ask('127.0.0.1:4180', '/buy/%E0%A4')).status).toBe(400);
});

test('a write comes from a page of this house: by the host it was sent to, or by the address people reach it by', () => {
  const plain = started({});
  expect(plain.fromHere({ origin: 'http://127.0.0.1:4180', host: '127.0.0.1:4180' })).toBe(true);
  expect(plain.fromHere({ origin: 'http://evil.example', host: '127.0.0.1:4180' })).toBe(false);
  expect(plain.fromHere({ host: '127.0.0.1:4180' })).toBe(false);
  // A proxy that puts its own host in: only where it was said by which address people come.
  const through = { origin: 'https://kitchen.example', host: '127.0.0.1:4180' };
  expect(plain.fromHere(through)).toBe(false);
  const behind = started({ HALFPOT_ORIGIN: 'https://kitchen.example/' });
  expect(behind.fromHere(through)).toBe(true);
  expect(behind.fromHere({ ...through, origin: 'http://kitchen.example' })).toBe(false);
});

test('half a letter in what is sent becomes one that stands for nothing; whole ones stay', () => {
  const { readJson } = started({});
  expect(readJson(String.raw`{"a":["x\ud800y","\ud83e\udd55","\\ud800"]}`)).toEqual({
    a: ['x\ufffdy', '🥕', String.raw`\ud800`],
  });
  expect(readJson('{"a":"Kräuter"}')).toEqual({ a: 'Kräuter' });
  expect(readJson('{')).toBeUndefined();
});
