import fc from 'fast-check';
import { limitSources, MOST_SOURCES } from '../../pot/merge-sources';
import { CONSTANTS } from '../../reference';
import { cases } from '../../testing/cases';
import { hob, of, round, stuff } from '../../testing/stuff';
import { ethanolG } from '../../pot/liquid';
import { pieceG, type Product } from '../../pot';
import { runPot, type PotStep } from '..';

const wine = stuff('Wine', 'liquid', { water: 0.89, ethanol: 0.1 });
const onion = stuff('Onion', 'piece', { water: 0.89, sugar: 0.05 }, { givesWater: 0.3 });
const pot = round(60, 60, 60);
const simmer: PotStep = { do: 'cook', heat: 'simmer', hours: 0.2, lid: 'off' };
const made = (steps: readonly PotStep[]): Product => {
  const run = runPot({ vessel: pot, hob: hob(), steps: [...steps] }, CONSTANTS);
  if (!run.product) throw new Error(run.refused?.trouble.message);
  return run.product;
};
const some = (product: Product, g: number): PotStep => ({
  do: 'add',
  what: { is: 'product', supply: 'product:base', name: 'base', product },
  g,
});

describe('what a product brings twice is one thing', () => {
  const base = made([
    { do: 'add', what: of(wine), g: 1000 },
    { do: 'add', what: of(onion), g: 500 },
    simmer,
    { do: 'add', what: of(onion), g: 300 },
  ]);

  test('a thing that went in twice goes on as one, pools and all', () => {
    expect(base.pieces.map((p) => [p.stuff.name, Math.round(p.rawG)])).toEqual([['Onion', 800]]);
  });

  test('the same gram for gram, whether it is taken at once or in two halves', () => {
    const [whole, halves] = [
      made([some(base, 900), simmer]),
      made([some(base, 450), some(base, 450), simmer]),
    ];
    expect(halves.liquid.sources.length).toBe(whole.liquid.sources.length);
    expect(halves.pieces.length).toBe(whole.pieces.length);
    expect(ethanolG(halves.liquid)).toBeCloseTo(ethanolG(whole.liquid), 9);
    expect(halves.pieces.map(pieceG)[0]).toBeCloseTo(whole.pieces.map(pieceG)[0] ?? NaN, 9);
    expect(halves.liquid.water).toBeCloseTo(whole.liquid.water, 7);
  });

  test('twelve generations that each take the one before twice stay small, and lose no gram', () => {
    let product = base;
    for (let generation = 0; generation < 12; generation += 1) {
      const half = product.g * 0.45;
      product = made([some(product, half), simmer, some(product, half)]);
      expect(product.liquid.sources.length).toBeLessThanOrEqual(MOST_SOURCES);
      expect(product.pieces.length).toBe(1);
    }
    expect(ethanolG(product.liquid)).toBeGreaterThan(0);
  });

  test('however many additions are taken for one, all that was added and all that is left is there', () => {
    const source = fc.record({
      of: fc.constantFrom<string>('Red wine', 'Port'),
      added: fc.double({ min: 0.001, max: 500, noNaN: true }),
      minutes: fc.nat(900),
      phi: fc.nat(100).map((n) => n / 100),
      left: fc.double({ min: 0, max: 500, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(source, { maxLength: 80 }), (sources) => {
        const few = limitSources(sources);
        expect(few.length).toBeLessThanOrEqual(MOST_SOURCES);
        for (const what of ['added', 'left'] as const) {
          const sum = (list: typeof sources): number => list.reduce((g, s) => g + s[what], 0);
          expect(sum(few)).toBeCloseTo(sum(sources), 6);
        }
        const [minutes, phi] = [sources.map((s) => s.minutes), sources.map((s) => s.phi)];
        for (const s of few) {
          expect(s.minutes).toBeGreaterThanOrEqual(Math.min(...minutes) - 1e-9);
          expect(s.minutes).toBeLessThanOrEqual(Math.max(...minutes) + 1e-9);
          expect(s.phi).toBeLessThanOrEqual(Math.max(...phi) + 1e-9);
        }
        // Few that are not alike stay as they are.
        if (sources.length <= MOST_SOURCES)
          expect(few.length).toBe(new Set(sources.map((s) => `${s.of} ${s.minutes} ${s.phi}`)).size);
      }),
      { numRuns: cases(200) },
    );
  });
});
