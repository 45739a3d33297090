import fc from 'fast-check';
import { scaleState, type ScaleReading } from '..';

/** Readings eight times a second, as a scale shows them: whole grams. */
const shown = (seconds: number, g: (s: number) => number): ScaleReading[] =>
  Array.from({ length: Math.round(seconds * 8) + 1 }, (_, i) => ({ atMs: i * 125, g: Math.round(g(i / 8)) }));

describe('waiting for a scale', () => {
  test('a load put on is waited for until it stands still, then weighed to a gram', () => {
    const swings = (s: number) => 2480 + 900 * Math.exp(-s / 0.35) * Math.cos(9 * s);
    expect(scaleState(shown(0.5, swings)).is).toBe('waiting');
    const at = [1, 1.5, 2, 2.5, 3, 3.5, 4, 5].find((s) => scaleState(shown(s, swings)).is === 'steady');
    expect(at).toBeGreaterThan(2);
    expect(at).toBeLessThan(6);
    const end = scaleState(shown(6, swings));
    expect(end.is === 'steady' && Math.abs(end.g - 2480)).toBeLessThan(1);
  });

  test('whatever stands still is taken, whatever it weighs, below 0 too', () => {
    fc.assert(
      fc.property(fc.integer({ min: -500, max: 30_000 }), (g) => {
        expect(scaleState(shown(3, () => g))).toEqual({ is: 'steady', g });
      }),
    );
  });

  test('a drift is told with its speed, once patience has run out', () => {
    const drift = (s: number) => 1200 + (90 / 60) * s;
    expect(scaleState(shown(4, drift)).is).toBe('waiting');
    const end = scaleState(shown(10, drift));
    expect(end.is).toBe('drifting');
    expect(end.is === 'drifting' && end.gPerMin).toBeGreaterThan(75);
    expect(end.is === 'drifting' && end.gPerMin).toBeLessThan(105);
  });

  test('noise is told with its width and its middle', () => {
    const noise = (s: number) => 800 + 30 * Math.sin(s * 8 * 2.4);
    const end = scaleState(shown(10, noise));
    expect(end.is).toBe('noisy');
    expect(end.is === 'noisy' && Math.abs(end.g - 800)).toBeLessThan(10);
    expect(end.is === 'noisy' && end.spreadG).toBeGreaterThan(40);
  });

  test('more than it can bear is told at once, and what was shown before does not count after', () => {
    const before = shown(3, () => 500);
    const over = { atMs: 3100, overload: true };
    expect(scaleState([...before, over]).is).toBe('overload');
    const after = shown(1, () => 500).map((r) => ({ ...r, atMs: r.atMs + 3200 }));
    expect(scaleState([...before, over, ...after]).is).toBe('waiting');
  });

  test('nothing shown yet is waited for', () => {
    expect(scaleState([])).toEqual({ is: 'waiting' });
    expect(scaleState([{ atMs: 0 }]).is).toBe('waiting');
  });

  describe('at the edges of what stands still', () => {
    /** Every 125 ms for so long, as `g` says, in exact grams. */
    const exact = (ms: number, g: (ms: number) => number, from = 0): ScaleReading[] =>
      Array.from({ length: ms / 125 + 1 }, (_, i) => ({ atMs: from + i * 125, g: g(i * 125) }));

    test('two seconds are waited for, with six readings in them', () => {
      expect(scaleState(exact(1875, () => 500))).toEqual({ is: 'waiting', g: 500 });
      expect(scaleState(exact(2000, () => 500))).toEqual({ is: 'steady', g: 500 });
      const slow = (every: number) => Array.from({ length: 9 }, (_, i) => ({ atMs: i * every, g: 500 }));
      expect(scaleState(slow(400)).is).toBe('waiting');
      expect(scaleState(slow(333)).is).toBe('steady');
    });
    test('the window ends two seconds back, and what is older does not count', () => {
      // A jump exactly two seconds before the last reading is outside; one reading later it is inside.
      const jumped = (at: number) => scaleState(exact(4000, (ms) => (ms <= at ? 900 : 500)));
      expect(jumped(2000)).toEqual({ is: 'steady', g: 500 });
      expect(jumped(2125).is).toBe('waiting');
    });
    test('a swing of 2 g is still, of little more is not; of a heavy load 0.05 %', () => {
      // A bump in the middle of the window leans to neither side.
      const swing = (g: number, by: number) =>
        scaleState(exact(3000, (ms) => g + (ms === 2000 || ms === 2125 ? by : 0))).is;
      expect([swing(500, 2), swing(500, 2.1), swing(-500, 2), swing(-500, 2.1)]).toEqual([
        'steady',
        'waiting',
        'steady',
        'waiting',
      ]);
      expect([swing(20_000, 10), swing(20_000, 11), swing(-20_000, 9.9)]).toEqual([
        'steady',
        'waiting',
        'steady',
      ]);
    });
    test('it may creep by 30 g a minute, up or down, and no faster', () => {
      const creep = (perMin: number) => scaleState(exact(3000, (ms) => 5000 + (perMin * ms) / 60_000)).is;
      expect([creep(29), creep(-29), creep(31), creep(-31)]).toEqual([
        'steady',
        'steady',
        'waiting',
        'waiting',
      ]);
    });
    test('nine seconds are waited, wherever the clock began', () => {
      const drift = (ms: number) => 5000 + ms / 100;
      expect(scaleState(exact(8875, drift, 60_000)).is).toBe('waiting');
      const end = scaleState(exact(9000, drift, 60_000));
      expect(end.is === 'drifting' && end.gPerMin).toBeCloseTo(600, 6);
      expect(end.is === 'drifting' && end.g).toBe(5090);
      const down = scaleState(exact(9000, (ms) => 5000 - ms / 100));
      expect(down.is === 'drifting' && down.gPerMin).toBeCloseTo(-600, 6);
    });
    test('how fast it drifts is what the last four seconds say', () => {
      const bent = scaleState(exact(10_000, (ms) => (ms <= 6000 ? 1000 : 1000 + (ms - 6000) / 100)));
      expect(bent.is === 'drifting' && bent.gPerMin).toBeCloseTo(600, 0);
    });
    test('noise is told with its middle and its whole width', () => {
      expect(scaleState(exact(10_000, (ms) => 800 + ((ms / 125) % 2) * 40))).toEqual({
        is: 'noisy',
        g: 820,
        spreadG: 40,
      });
    });
    test('a gap in what is shown begins the wait anew', () => {
      const before = exact(3000, () => 500);
      const gap = { atMs: 3125 };
      const after = exact(2000, () => 700, 3250);
      expect(scaleState([...before, gap, ...after.slice(0, -1)]).is).toBe('waiting');
      expect(scaleState([...before, gap, ...after])).toEqual({ is: 'steady', g: 700 });
      const over = { atMs: 3125, g: 500, overload: true };
      expect(scaleState([...before, over, ...after.slice(0, -1)]).is).toBe('waiting');
    });
    test('an overload is told even where a weight is shown with it', () => {
      expect(scaleState([...exact(3000, () => 500), { atMs: 3125, g: 31_000, overload: true }])).toEqual({
        is: 'overload',
      });
    });
  });
});
