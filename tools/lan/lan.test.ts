import fs from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import os from 'node:os';
import path from 'node:path';
import { X509Certificate } from 'node:crypto';
import { freePort } from '../processes';
import { broughtCertificate, houseCertificate, type Secured } from './authority';
import { isLoopback, reachedAs } from './names';
import { serveLan, type Lan } from './serve';

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'halfpot-lan-'));
const REACHED = { ips: ['192.0.2.7'], names: ['kitchen', 'kitchen.local'] };
let secured: Secured;
beforeAll(() => {
  secured = houseCertificate(folder, REACHED);
});
afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

test('the authority is made once; a certificate anew when its names change, and a tablet that trusts the one takes the other', () => {
  const [before, authority] = [secured.cert, secured.authority];
  expect(houseCertificate(folder, REACHED)).toEqual(secured);
  const moved = houseCertificate(folder, { ...REACHED, ips: ['192.0.2.8'] });
  expect(moved.authority).toEqual(authority);
  expect(moved.cert).not.toBe(before);
  const [cert, issuer] = [new X509Certificate(moved.cert), new X509Certificate(authority?.pem ?? '')];
  expect(cert.checkIssued(issuer) && cert.verify(issuer.publicKey)).toBe(true);
  expect([cert.checkIP('192.0.2.8'), cert.checkIP('192.0.2.7')]).toEqual(['192.0.2.8', undefined]);
  expect(cert.checkHost('kitchen.local')).toBe('kitchen.local');
  // Browsers take none that lasts longer than this.
  const days = (new Date(cert.validTo).getTime() - new Date(cert.validFrom).getTime()) / 86_400_000;
  expect(days).toBeLessThanOrEqual(398);
  expect(issuer.ca && !cert.ca).toBe(true);
  expect(fs.statSync(path.join(folder, 'https/authority.key')).mode & 0o077).toBe(0);
  secured = houseCertificate(folder, REACHED);
});

test('what cannot be served is said in a sentence', () => {
  expect(isLoopback('127.0.0.1') && isLoopback('localhost') && !isLoopback('0.0.0.0')).toBe(true);
  expect(() => reachedAs('203.0.113.9')).toThrow(/“203.0.113.9” is not an address of this machine/);
  expect(() => broughtCertificate('a.pem', undefined)).toThrow(
    '--cert and --key go together: the key is missing.',
  );
});

describe('served', () => {
  let lan: Lan;
  let inside: http.Server;
  let port: number;
  let asked: http.IncomingHttpHeaders = {};
  beforeAll(async () => {
    inside = http.createServer((request, answer) => {
      asked = request.headers;
      answer.end('the kitchen');
    });
    const behind = await freePort();
    await new Promise<void>((done) => inside.listen(behind, '127.0.0.1', done));
    port = await freePort();
    lan = await serveLan({ host: '127.0.0.1', port, secured, address: `https://kitchen:${port}` }, behind);
  });
  afterAll(async () => {
    await lan.stop();
    inside.close();
  });

  const get = (options: https.RequestOptions): Promise<{ status: number; body: string }> =>
    new Promise((done, failed) => {
      https
        .get({ host: '127.0.0.1', port, ...options }, (answer) => {
          let body = '';
          answer.on('data', (d: Buffer) => (body += d.toString()));
          answer.on('end', () => done({ status: answer.statusCode ?? 0, body }));
        })
        .on('error', failed);
    });

  test('by https, to whoever trusts the house’s authority; nobody says for himself where he comes from', async () => {
    await expect(get({})).rejects.toThrow(/self-signed|unable to verify|unable to get/);
    const headers = { 'x-forwarded-for': '10.0.0.1', 'x-forwarded-host': 'elsewhere' };
    expect(await get({ ca: secured.authority?.pem, headers })).toEqual({ status: 200, body: 'the kitchen' });
    expect(asked['x-forwarded-proto']).toBe('https');
    expect(asked['x-forwarded-for']).not.toContain('10.0.0.1');
    expect(asked['x-forwarded-host']).not.toBe('elsewhere');
  });

  test('by plain http there is only the page that puts the authority on a tablet', async () => {
    const plain = `http://127.0.0.1:${port + 1}`;
    const page = await (await fetch(plain)).text();
    expect(page).toContain(secured.authority?.fingerprint ?? '?');
    expect(page).toContain(`https://kitchen:${port}`);
    const file = await fetch(`${plain}/half-pot-authority.crt`);
    expect(file.headers.get('content-type')).toBe('application/x-x509-ca-cert');
    expect(new X509Certificate(await file.text()).ca).toBe(true);
    expect((await fetch(`${plain}/buy`, { redirect: 'manual' })).status).toBe(302);
  });
});
