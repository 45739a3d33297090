import type { CDPSession, Page } from '@playwright/test';
import { DEMO_FILE, mustRead } from '../kitchens';
import { withDemo } from '../pictured';
import { slideTimes, sliderWords } from './bench-slider';
import { Stop } from '../stop';

/** Keystrokes that are timed, and those typed in all for the heap. */
const TIMED = 150;
const FIRST_EDITS = 200;
const ALL_EDITS = 2000;
const MOVES = 120;
/** ms between keys: faster than anybody types recipes, and none waits for what the one before has left to do. */
const BETWEEN_KEYS = 90;

/**
 * Sixty lines with fourteen hours of heat: what goes in, a long simmer in parts, and what is done to it after. The pot holds the 10.8 kg
 * that its first line says at every other key.
 */
const SIXTY = [
  '1.8 kg venison bones',
  'brown 18 %, takes 1 h',
  'water 20 l',
  ...Array.from({ length: 14 }, (_, i) => ['bare simmer 1 h', 'skim 20 ml', `${100 + i} g onion`]).flat(),
  'strain through a cone sieve',
  'take off the fat with a ladle',
  ...Array.from({ length: 10 }, () => 'skim 10 ml'),
  'reduce by half',
  'season to 0.6 % with salt',
  'portion 60 ml',
].slice(0, 60);

/** The same, but the pot does not hold the 80 kg that its first line says at every other key: each of them refuses all lines, or none. */
const OVER_FULL = ['8 kg venison bones', ...SIXTY.slice(1)];

/** Notes in the page how long it is from an event until what it did has been painted, ms. */
async function timed(page: Page, event: 'input' | 'pointermove'): Promise<() => Promise<number[]>> {
  await page.evaluate((kind) => {
    const times: number[] = [];
    Object.assign(window, { paintTimes: times });
    addEventListener(
      kind,
      () => {
        const from = performance.now();
        requestAnimationFrame(() => {
          // A message after the frame is read when the frame has been painted.
          const { port1, port2 } = new MessageChannel();
          port1.onmessage = () => times.push(performance.now() - from);
          port2.postMessage(0);
        });
      },
      true,
    );
  }, event);
  return () => page.evaluate(() => (window as unknown as { paintTimes: number[] }).paintTimes.splice(0));
}

const quantile = (times: readonly number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))] ?? NaN;

/** What the page's scripts hold, MB: all of it as the browser counts it, and the part that is no code it has compiled. */
async function heapMb(cdp: CDPSession): Promise<{ readonly used: number; readonly held: number }> {
  await cdp.send('HeapProfiler.enable');
  await cdp.send('HeapProfiler.collectGarbage');
  const { usedSize } = await cdp.send('Runtime.getHeapUsage');
  const parts: string[] = [];
  const part = ({ chunk }: { chunk: string }): void => void parts.push(chunk);
  cdp.on('HeapProfiler.addHeapSnapshotChunk', part);
  await cdp.send('HeapProfiler.takeHeapSnapshot', {});
  cdp.off('HeapProfiler.addHeapSnapshotChunk', part);
  const { snapshot, nodes } = JSON.parse(parts.join('')) as {
    snapshot: { meta: { node_fields: string[]; node_types: [string[]] } };
    nodes: number[];
  };
  const { node_fields: fields, node_types: types } = snapshot.meta;
  const [type, size] = [fields.indexOf('type'), fields.indexOf('self_size')];
  let held = 0;
  for (let i = 0; i < nodes.length; i += fields.length)
    if (!['code', 'native'].includes(types[0][nodes[i + type] ?? 0] ?? '')) held += nodes[i + size] ?? 0;
  return { used: usedSize / 1e6, held: held / 1e6 };
}

/** Types in a line, a letter and it taken back in turn; every so often the line is left, which keeps it. */
async function typeIn(page: Page, step: number, keys: number, between = 0): Promise<void> {
  const line = page.getByLabel(`Step ${step}`, { exact: true });
  await line.click();
  // At its front stands its amount, of which every figure below is made: a digit more is another pot.
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  for (let i = 0; i < keys; i += 1) {
    await page.keyboard.press(i % 2 === 0 ? '0' : 'Backspace');
    if (between > 0) await page.waitForTimeout(between);
    if (i % 40 === 39) await page.keyboard.press('Escape');
  }
}

const tell = (words: string): void => void process.stdout.write(`${words}\n`);

async function newSheet(page: Page, base: string, name: string, lines: readonly string[]): Promise<void> {
  await page.goto(`${base}/pot/new`);
  await page.getByLabel('What it is called').fill(name);
  await page.getByLabel(/^Lines you have already/).fill(lines.join('\n'));
  await page.getByRole('button', { name: 'Open the sheet' }).click();
  await page.getByLabel(`Step ${lines.length}`, { exact: true }).waitFor();
}

async function keystrokes(page: Page, name: string, only?: readonly number[]): Promise<void> {
  const lines = await page.getByRole('combobox', { name: /^Step \d+$/ }).count();
  const times = await timed(page, 'input');
  // At the top everything below is another; in the middle half of it.
  for (const step of only ?? [1, Math.ceil(lines / 2)]) {
    await times();
    await typeIn(page, step, TIMED, BETWEEN_KEYS);
    const found = await times();
    tell(
      `${`a key in step ${step} of ${lines}, ${name}`.padEnd(72)}${quantile(found, 0.5).toFixed(0).padStart(6)} ms median ${quantile(found, 0.95).toFixed(0).padStart(6)} ms at the 95th (aim: under 50)`,
    );
  }
}

/** `halfpot bench sheet`: a key and a move of the level on a pot sheet until it is painted, and the heap after many edits. */
export async function benchSheet(): Promise<number> {
  const file = mustRead(DEMO_FILE);
  const [largest] = [...file.recipes].sort((a, b) => b.steps.length - a.steps.length);
  await withDemo(async (browser, base) => {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.goto(base);
    await page.goto(`${base}/pot/${largest?.id ?? ''}`);
    await page.getByLabel('Step 1', { exact: true }).waitFor();
    tell(`a slider’s handler on the demo, ${sliderWords(await slideTimes(browser, base), 8)}`);
    await keystrokes(page, largest?.name ?? '');
    await newSheet(page, base, 'Over full', OVER_FULL);
    await keystrokes(page, '14 hours of heat, refused and not in turn', [1]);
    await newSheet(page, base, 'Sixty lines', SIXTY);
    await keystrokes(page, '14 hours of heat');
    // The level of the reduction, dragged.
    await page.getByLabel('Step 58', { exact: true }).click();
    const handle = page.locator('.pot-drawing .handle').first();
    const box = await handle.boundingBox();
    if (box) {
      const moves = await timed(page, 'pointermove');
      await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
      await page.mouse.down();
      await moves();
      for (let i = 0; i < MOVES; i += 1)
        await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + Math.sin(i / 8) * 6);
      const found = await moves();
      await page.mouse.up();
      const said = await page.getByLabel('Step 58', { exact: true }).inputValue();
      if (!/dip/.test(said)) throw new Stop(`The level was not dragged: the line still says “${said}”.`);
      tell(
        `${'the level dragged, a move'.padEnd(72)}${quantile(found, 0.5).toFixed(0).padStart(6)} ms median ${quantile(found, 0.95).toFixed(0).padStart(6)} ms at the 95th (aim: under 16)`,
      );
    }
    // Without what has noted the times: that is kept too.
    await page.reload();
    await page.getByLabel('Step 60', { exact: true }).waitFor();
    const cdp = await page.context().newCDPSession(page);
    await typeIn(page, 3, FIRST_EDITS);
    const early = await heapMb(cdp);
    const half = (ALL_EDITS - FIRST_EDITS) / 2;
    await typeIn(page, 3, half);
    const middle = await heapMb(cdp);
    await typeIn(page, 3, half);
    const late = await heapMb(cdp);
    for (const [what, of] of [
      ['heap', 'used'],
      ['of it no compiled code', 'held'],
    ] as const)
      tell(
        `${`${what} after ${FIRST_EDITS}, ${FIRST_EDITS + half} and ${ALL_EDITS} edits`.padEnd(72)}${early[of].toFixed(1).padStart(6)} MB ${middle[of].toFixed(1)} MB ${late[of].toFixed(1)} MB, × ${(late[of] / early[of]).toFixed(2)} (aim: under 1.10)`,
      );
  });
  return 0;
}
