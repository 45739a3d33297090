import { spawn } from 'node:child_process';
import { once } from 'node:events';
import net from 'node:net';
import JSZip from 'jszip';
import type { KitchenFile } from '@/core/kitchen-file';
import type { Instance } from '../instance';
import { person } from '../person';
import { sleep } from '../processes';
import { at, type Row } from './writers';

/** What a process of its own does: asks for a page again and again until it is told to stop, and says how long each took. */
const ASKING = `const ms = []; let going = true; process.stdin.on('data', () => (going = false));
while (going) {
  const began = performance.now();
  await fetch(process.argv[1]).then((a) => a.arrayBuffer());
  ms.push(performance.now() - began);
  await new Promise((done) => setTimeout(done, 10));
}
console.log(JSON.stringify(ms)); process.exit(0);`;

/** Somebody else who asks for a page meanwhile, in a process of their own: how long they wait, ms, in order. */
function others(address: string, path: string): { readonly stop: () => Promise<number[]> } {
  const asking = spawn(process.execPath, ['--input-type=module', '-e', ASKING, address + path], {
    stdio: ['pipe', 'pipe', 'inherit'],
  });
  let said = '';
  asking.stdout.on('data', (part: Buffer) => (said += part.toString()));
  return {
    async stop() {
      asking.stdin.write('stop');
      await once(asking, 'close');
      // The first is its own beginning.
      return (JSON.parse(said) as number[]).slice(1).sort((a, b) => a - b);
    },
  };
}

const waited = (ms: readonly number[]): string =>
  `others wait ${Math.round(at(ms, 0.5))} ms, 95 % within ${Math.round(at(ms, 0.95))} ms, ${Math.round(at(ms, 1))} ms at the worst`;

/** Clients that send a letter a second: headers that never end, and a body that never comes. */
export async function slow(n: number, seconds: number, app: Instance, row: Row): Promise<void> {
  const { port } = new URL(app.address);
  const sockets = Array.from({ length: n }, (_, i) => {
    const socket = net.connect(Number(port), '127.0.0.1');
    socket.on('error', () => undefined);
    socket.write(
      i % 2 === 0
        ? 'GET /buy HTTP/1.1\r\nHost: '
        : `POST /command HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nOrigin: ${app.address}\r\nContent-Type: application/json\r\nContent-Length: 100000\r\n\r\n{`,
    );
    return socket;
  });
  const asking = others(app.address, '/ready');
  for (let s = 0; s < seconds; s += 1) {
    for (const socket of sockets) if (socket.writable) socket.write('x');
    await sleep(1000);
  }
  const ms = await asking.stop();
  for (const socket of sockets) socket.destroy();
  row(`${n} clients that send a letter a second, ${seconds} s`, waited(ms));
}

/** A small workbook with one merge over the whole sheet. */
async function mergedOverAll(): Promise<Buffer> {
  const zip = new JSZip();
  const xml = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
  const rel = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  zip.file(
    '[Content_Types].xml',
    `${xml}<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/></Types>`,
  );
  const rels = 'http://schemas.openxmlformats.org/package/2006/relationships';
  zip.file(
    '_rels/.rels',
    `${xml}<Relationships xmlns="${rels}"><Relationship Id="r1" Type="${rel}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
  );
  zip.file(
    'xl/workbook.xml',
    `${xml}<workbook xmlns="${main}" xmlns:r="${rel}"><sheets><sheet name="a" sheetId="1" r:id="r1"/></sheets></workbook>`,
  );
  zip.file(
    'xl/_rels/workbook.xml.rels',
    `${xml}<Relationships xmlns="${rels}"><Relationship Id="r1" Type="${rel}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
  );
  zip.file(
    'xl/worksheets/sheet1.xml',
    `${xml}<worksheet xmlns="${main}"><sheetData><row r="1"><c r="A1"><v>1</v></c></row></sheetData><mergeCells count="1"><mergeCell ref="A1:XFD1048576"/></mergeCells></worksheet>`,
  );
  return zip.generateAsync({ type: 'nodebuffer', compression: 'DEFLATE' });
}

const HOSTILE: Readonly<Record<string, () => Promise<Buffer> | Buffer>> = {
  'one merge over a whole sheet': mergedOverAll,
  'one line of 15 MB': () => Buffer.alloc(15 * 1024 * 1024, 'x;'),
  '15 MB of carriage returns': () => Buffer.alloc(15 * 1024 * 1024, 'a\r'),
  async '600 MB in a small zip'() {
    const zip = new JSZip();
    zip.file('xl/workbook.xml', Buffer.alloc(600 * 1024 * 1024));
    return zip.generateAsync({ type: 'nodebuffer', compression: 'DEFLATE' });
  },
};

/** Files made to do harm: how soon each is refused, and how long others wait meanwhile. */
export async function uploads(file: KitchenFile, app: Instance, row: Row): Promise<void> {
  const who = await person(app.address);
  const supplier = file.suppliers[0]?.id ?? '';
  for (const [name, make] of Object.entries(HOSTILE)) {
    const base64 = (await make()).toString('base64');
    const asking = others(app.address, '/ready');
    await sleep(300);
    const began = performance.now();
    const answer = await who.ask('list.take', 1, { supplier, name: 'list.xlsx', base64 });
    const s = ((performance.now() - began) / 1000).toFixed(1);
    await sleep(300);
    const ms = await asking.stop();
    row(`list of ${name}`, `${answer.ok ? 'TAKEN' : 'refused'} after ${s} s; ${waited(ms)}`);
  }
}

/** The sign-in form as a browser without script sends it. */
async function signInForm(address: string): Promise<FormData> {
  const answer = await fetch(`${address}/sign-in?out`, { headers: { accept: 'text/html' } });
  const hidden = /<input type="hidden" name="([^"]+)"(?: value="([^"]*)")?/g;
  const form = new FormData();
  for (const [, name = '', value = ''] of (await answer.text()).matchAll(hidden))
    form.set(name, value.replaceAll('&quot;', '"').replaceAll('&amp;', '&'));
  return form;
}

/** Somebody guesses at the door for a while, as fast as it answers: how many guesses are looked at. */
export async function guesses(seconds: number, file: KitchenFile, app: Instance, row: Row): Promise<void> {
  const form = await signInForm(app.address);
  form.set('person', file.people.find((p) => p.role === 'manager')?.id ?? '');
  let [asked, looked] = [0, 0];
  const guessing = async (from: () => string, until: number): Promise<void> => {
    while (performance.now() < until) {
      form.set('secret', `guess number ${asked}`);
      asked += 1;
      const headers = { origin: app.address, 'x-forwarded-for': from() };
      const answer = await fetch(`${app.address}/sign-in?out`, { method: 'POST', headers, body: form });
      if ((await answer.text()).includes('not the password of this name')) looked += 1;
    }
  };
  const places: Readonly<Record<string, () => string>> = {
    'from one place': () => '203.0.113.9',
    'from a made-up place each': () => `198.51.${asked % 100}.${asked % 250}`,
  };
  for (const [where, from] of Object.entries(places)) {
    [asked, looked] = [0, 0];
    const until = performance.now() + seconds * 1000;
    await Promise.all([1, 2, 3, 4].map(() => guessing(from, until)));
    row(`guessing at the door ${where}, ${seconds} s`, `${asked} tries, ${looked} looked at`);
  }
}
