import fc from 'fast-check';
import { cases } from '../../../testing/cases';
import { moneyWentIn, rowCosts } from '../../../layers';
import { CONSTANTS } from '../../../reference';
import { randomPot } from '../../../testing/random-pot';
import { hob, of, round, stuff } from '../../../testing/stuff';
import { liquidG, type PotRun, type Vessel } from '../../../pot';
import { runPot, type PotStep } from '../..';

const broth = stuff('Broth', 'liquid', { water: 0.97, gelatin: 0.01, salt: 0.002 });
const wine = stuff('Wine', 'liquid', { water: 0.89, ethanol: 0.1 }, { allergens: ['sulphites'] });
const tall = round(30, 30, 30);
const wide = round(40, 40, 16);
const run = (...steps: PotStep[]): PotRun => runPot({ vessel: tall, hob: hob(), steps }, CONSTANTS);
const add = (g: number, what = broth): PotStep => ({ do: 'add', what: of(what), g });
const split = (value: number, vessel: Vessel = wide): PotStep => ({
  do: 'split',
  part: { by: 'share', value },
  liquidOnly: false,
  vessel,
  hob: hob(),
});
const boil = (hours: number): PotStep => ({ do: 'cook', heat: 'brisk boil', hours, lid: 'off' });

describe('one pot in two vessels', () => {
  test('each boils in its own width; the clock is the slower one’s, the hobs are added up', () => {
    const r = run(add(8000), split(0.5), boil(1), { do: 'turn to', vessel: wide }, boil(0.25));
    // 22 kg/(m² h): 0.0707 m² for an hour, 0.1257 m² for a quarter.
    expect(r.rows[2]?.lost.evaporated).toBeCloseTo(22 * 0.070686 * 1000, -1);
    expect(r.rows[4]?.lost.evaporated).toBeCloseTo(22 * 0.125664 * 0.25 * 1000, -1);
    expect(r.rows[4]?.hobHours).toBeCloseTo(1.25, 9);
    expect(r.rows[4]?.elapsedHours).toBeCloseTo(0.25, 9);
    const together = run(add(8000), split(0.5), boil(1), { do: 'turn to', vessel: wide }, boil(0.25), {
      do: 'combine',
      vessel: tall,
    });
    expect(together.rows[5]?.elapsedHours).toBeCloseTo(1, 9);
    expect(together.rows[5]?.aside.g).toBe(0);
  });

  test('two wide pans side by side reduce in less time than one', () => {
    const half: PotStep = {
      do: 'reduce',
      heat: 'brisk boil',
      lid: 'off',
      to: { until: 'share', value: 0.5 },
    };
    const one = run(add(6000), half);
    const two = run(add(6000), split(0.5), half, { do: 'turn to', vessel: wide }, half, {
      do: 'combine',
      vessel: tall,
    });
    expect(two.rows.at(-1)?.elapsedHours).toBeLessThan(one.rows.at(-1)?.elapsedHours ?? 0);
    const clung = two.rows.at(-1)?.lost.clung ?? 0;
    expect(clung).toBeGreaterThan(0);
    expect((two.product?.g ?? 0) + clung).toBeCloseTo(one.product?.g ?? 0, -1);
  });

  test('splitting scales what alcohol has been through, mixing keeps it apart', () => {
    const r = run(add(2000, wine), boil(0.2), split(0.5), { do: 'turn to', vessel: wide }, boil(0.5), {
      do: 'combine',
      vessel: tall,
    });
    const sources = r.product?.liquid.sources ?? [];
    expect(sources.map((s) => Math.round(s.minutes)).sort()).toEqual([12, 42]);
    expect(r.product?.allergens).toEqual(['sulphites']);
  });

  test('a litre costs the same wherever it stands, and nothing is paid twice', () => {
    const r = run(add(4000), split(0.25), add(1000, wine));
    const money = rowCosts(r.rows, [8, 6], []);
    expect(money.map((m) => m.inPot)).toEqual([8, 8, 14]);
    expect(money[1]?.perL).toBeCloseTo(money[0]?.perL ?? 0, 9);
    expect(money[2]?.perL).toBeCloseTo((14 / (r.product?.ml ?? 1)) * 1000, 9);
  });

  test('what is never combined is counted with the product, and said', () => {
    const r = run(add(4000), split(0.25));
    expect(r.product?.g).toBeCloseTo(4000, 6);
    expect(r.rows[1]?.warnings[0]).toMatchObject({ code: 'stands-aside', cure: { do: 'combine' } });
    expect(r.rows[1]?.warnings[0]?.message).toMatch(/0\.99 l still stand in the 40 cm pot/);
  });

  test('split and combined again at once, only what clings is missing', () => {
    fc.assert(
      fc.property(randomPot(6), fc.double({ min: 0.05, max: 0.95, noNaN: true }), (pot, share) => {
        const own = runPot(pot, CONSTANTS);
        const into = { ...round(60, 60, 60), id: 'spare' };
        const again = runPot(
          { ...pot, steps: [...pot.steps, split(share, into), { do: 'combine', vessel: into }] },
          CONSTANTS,
        );
        fc.pre(own.product !== undefined && again.product !== undefined);
        fc.pre((own.rows.at(-1)?.aside.g ?? 0) === 0);
        const clung = again.rows.at(-1)?.lost.clung ?? 0;
        expect((again.product?.g ?? 0) + clung).toBeCloseTo(own.product?.g ?? 0, 5);
        if (clung === 0) expect(liquidG(again.product!.liquid)).toBeCloseTo(liquidG(own.product!.liquid), 5);
      }),
      { numRuns: cases(300) },
    );
  });
});

test('what clings where a thick pot stood takes its share of the money along, and the rest is in the product', () => {
  const thick = stuff('Sauce', 'liquid', { water: 0.8, starch: 0.1 }, { binding: 0.1 });
  const r = run(add(4000, thick), split(0.5), { do: 'combine', vessel: wide });
  const clung = r.rows[2]?.lost.clung ?? 0;
  expect(clung).toBeGreaterThan(0);
  const went = moneyWentIn(r, [40], () => 0.01);
  // 40.00 for 4,000 g: a cent a gram, for what stays and for what clings.
  expect(went.lost.clung).toBeCloseTo(clung / 100, 9);
  expect(went.left).toBeCloseTo((r.product?.g ?? 0) / 100, 9);
});

describe('fat that is taken off', () => {
  const duck = stuff('Duck', 'piece', { water: 0.6, fat: 0.2 }, { renderedFat: 0.1 });
  const brown = (more: object): PotRun =>
    run(add(5000, duck), { do: 'brown', vapour: 0.1, fatRunOff: 0.06, hours: 1, ...more });

  test('is poured off, kept in the pot, or sold', () => {
    expect(brown({}).rows[1]?.lost).toEqual({ 'browned off': 500, 'fat run off': 300 });
    const kept = brown({ fatKept: true });
    expect(kept.rows[1]).toMatchObject({ g: 300, lost: { 'browned off': 500 } });
    expect(kept.product?.liquid.freeFat).toBe(300);
    const sold = brown({ as: 'duck fat', cost: { by: 'credit', perG: 0.004 } });
    expect(sold.rows[1]?.lost).toEqual({ 'browned off': 500 });
    expect(sold.rows[1]?.parted[0]).toMatchObject({ name: 'duck fat', product: { g: 300 } });
    expect(rowCosts(sold.rows, [20], [])[1]?.inPot).toBeCloseTo(20 - 1.2, 9);
  });

  test('a disc lifted in the cold goes on as it is; what it drags along is lost all the same', () => {
    const steps: PotStep[] = [
      add(5000, duck),
      add(6000),
      { do: 'cook', heat: 'bare simmer', hours: 2, lid: 'on' },
    ];
    const gone = run(...steps, { do: 'defat', by: 'cold' }).rows[3];
    const kept = run(...steps, { do: 'defat', by: 'cold', as: 'duck fat' }).rows[3];
    expect(kept?.parted[0]?.product.g).toBeCloseTo(gone?.lost['fat lifted'] ?? 0, 9);
    expect(kept?.lost['dragged with fat']).toBe(gone?.lost['dragged with fat']);
    expect(kept?.lost['fat lifted']).toBeUndefined();
  });
});
