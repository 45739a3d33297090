import fc from 'fast-check';
import { formattersFor } from '../formatters';
import { strataOf } from '../drawings/litre-jug';
import { halfWidthAt, laidOut, scaleFor, WIDTH } from '../drawings/pot-geometry';

describe('the litre', () => {
  const stratum = fc.record({
    name: fc.constantFrom('bones', 'wine', 'roots', 'butter', 'thyme', 'salt', 'flour', 'cream', 'leeks'),
    money: fc.double({ min: 0, max: 50, noNaN: true }),
    estimate: fc.boolean(),
  });
  test('its strata add up to the whole, at most six, the dearest at the bottom, an estimate never hidden', () => {
    fc.assert(
      fc.property(fc.array(stratum, { maxLength: 25 }), (all) => {
        const shown = strataOf(all);
        const sum = (list: readonly { money: number }[]): number => list.reduce((a, s) => a + s.money, 0);
        expect(sum(shown)).toBeCloseTo(sum(all), 6);
        expect(shown.length).toBeLessThanOrEqual(6);
        const named = shown.filter((s) => s.name !== 'everything else');
        for (let i = 1; i < named.length; i += 1)
          expect(named[i]?.money).toBeLessThanOrEqual(named[i - 1]?.money ?? Infinity);
        const guessed = all.some((s) => s.estimate && s.money > 0);
        if (guessed) expect(shown.some((s) => s.estimate)).toBe(true);
      }),
    );
  });
  test('two additions of one thing are one stratum', () => {
    const twice = [
      { name: 'wine', money: 1, estimate: false },
      { name: 'wine', money: 2, estimate: true },
    ];
    expect(strataOf(twice)).toEqual([{ name: 'wine', money: 3, estimate: true }]);
  });
});

describe('the pot in section', () => {
  const vessel = {
    id: 'v',
    name: 'Pot',
    shape: 'round',
    baseCm: 24,
    topCm: 30,
    heightCm: 20,
    maxFill: 0.85,
  } as const;
  test('is to scale both ways and fits its frame', () => {
    const scale = scaleFor(vessel);
    expect(vessel.topCm * scale).toBeLessThanOrEqual(WIDTH.inner + 1e-9);
    expect(halfWidthAt(vessel, 0)).toBe(12);
    expect(halfWidthAt(vessel, 20)).toBe(15);
    expect(halfWidthAt(vessel, 10)).toBe(13.5);
  });
  test('no label lies over another, and the level now stays where it is', () => {
    const marks = fc.array(fc.double({ min: 60, max: 300, noNaN: true }), { maxLength: 4 });
    fc.assert(
      fc.property(marks, fc.double({ min: 60, max: 300, noNaN: true }), (others, now) => {
        const labels = laidOut(
          [...others.map((at, i) => ({ key: `m${i}`, at, now: false })), { key: 'now', at: now, now: true }],
          10_000,
        );
        expect(labels.find((l) => l.now)?.y).toBe(now);
        const ys = labels.map((l) => l.y).sort((a, b) => a - b);
        for (let i = 1; i < ys.length; i += 1)
          expect((ys[i] as number) - (ys[i - 1] as number)).toBeGreaterThanOrEqual(20 - 1e-9);
      }),
    );
  });
});

describe('figures in words', () => {
  const f = formattersFor({ locale: 'en-IE', currency: 'EUR', today: '2026-03-14' });
  test.each([
    [f.money(1234.5), '€1,234.50'],
    [f.day('2026-03-09'), '9 Mar'],
    [f.day('2025-11-03'), '3 Nov 2025'],
    [f.day('soon'), 'soon'],
    [f.said('on 2026-03-09 10:45, of 2025-11-03'), 'on 9 Mar 10:45, of 3 Nov 2025'],
    [formattersFor({ locale: 'en-US', currency: 'USD', today: '2026-03-14' }).day('2026-03-09'), 'Mar 9'],
    [f.money(null), '–'],
    [f.small(0.031), '€0.031'],
    [f.small(0.31), '€0.31'],
    [f.litres(994), '994 ml'],
    [f.litres(996), '1.0 l'],
    [f.kilos(80), '80 g'],
    [f.kilos(7050), '7.05 kg'],
    [f.hours(0.4), '24 min'],
    [f.hours(1.5), '1 h 30'],
    [f.hours(4), '4 h'],
    [f.bare(NaN), '–'],
    [f.currencySign, '€'],
  ])('%s', (written, wanted) => expect(written).toBe(wanted));
  test('a kitchen elsewhere writes its own way', () => {
    expect(formattersFor({ locale: 'de-DE', currency: 'EUR' }).bare(1234.5)).toBe('1.234,50');
  });
});
