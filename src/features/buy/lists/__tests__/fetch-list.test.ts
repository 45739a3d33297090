import { demoKitchen } from '@/core/testing/demo';
import type { StandIn } from '../../../../../stand-ins/listen';
import { listOf, priceInWeek, startPriceLists } from '../../../../../stand-ins/price-list';
import { readTable } from '../file';
import { fetchList } from '../fetch-list';

// Whose own doors are not to be asked is known by these.
Object.assign(process.env, {
  DATABASE_URL: 'mysql://u:p@127.0.0.1:3399/halfpot',
  HALFPOT_SECRET: 'a secret of thirty-two letters and more',
});

const file = demoKitchen();
const at = new Date('2026-03-14T12:00:00Z');
let standIn: StandIn;
const address = (path: string): string => `http://127.0.0.1:${standIn.port}/${path}`;

beforeAll(async () => {
  standIn = await startPriceLists(file, 0, () => at);
});
afterAll(() => standIn.stop());

test('a supplier’s list comes as its computer has it, and can be read', async () => {
  const got = await fetchList(address('tarn-hatchery.csv'));
  if (!got.ok) throw new Error(got.trouble.message);
  const table = await readTable(got.value.bytes);
  expect(table.ok && table.value.heads).toEqual(['Art.', 'Description', 'Packed', 'Price EUR']);
  expect(table.ok && table.value.rows).toHaveLength(
    file.articles.filter((a) => a.supplier === file.suppliers[2]?.id).length,
  );
});

test('prices are the same all week and others the next, near what was last paid', () => {
  const monday = (text: string) => listOf(file, 'weirside-game', new Date(text));
  expect(monday('2026-03-12T01:00:00Z')).toBe(monday('2026-03-14T23:00:00Z'));
  expect(monday('2026-03-12T01:00:00Z')).not.toBe(monday('2026-03-19T01:00:00Z'));
  for (let week = 0; week < 200; week += 1) {
    const price = priceInWeek(20, 'X', week);
    expect(price).toBeGreaterThan(18);
    expect(price).toBeLessThan(22);
  }
});

test.each([
  ['weirside-game.csv?as=error', 'The supplier’s server answered with 503'],
  ['weirside-game.csv?as=broken', 'The supplier’s server does not answer, or broke off'],
  ['nobody.csv', 'The supplier’s server answered with 404'],
  ['weirside-game.csv?as=slow', 'The supplier’s server did not send the list within 0.4 seconds'],
])('%s is handled in words', async (path, words) => {
  // Only the one that is slow is not waited for: the others answer when a busy machine lets them.
  const got = await fetchList(address(path), path.endsWith('slow') ? 400 : 20_000);
  expect(!got.ok && got.trouble.message).toContain(words);
});

test('a computer that is not there', async () => {
  const got = await fetchList('http://127.0.0.1:9/list.csv');
  expect(!got.ok && got.trouble.code).toBe('no-answer');
});
