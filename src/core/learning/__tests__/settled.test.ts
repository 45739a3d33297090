import fc from 'fast-check';
import { settled, type Reading } from '..';

/** Readings eight times a second, as a scale shows them: whole grams. */
const shown = (seconds: number, g: (s: number) => number): Reading[] =>
  Array.from({ length: Math.round(seconds * 8) + 1 }, (_, i) => ({ atMs: i * 125, g: Math.round(g(i / 8)) }));

describe('waiting for a scale', () => {
  test('a load put on is waited for until it stands still, then weighed to a gram', () => {
    const swings = (s: number) => 2480 + 900 * Math.exp(-s / 0.35) * Math.cos(9 * s);
    expect(settled(shown(0.5, swings)).is).toBe('waiting');
    const at = [1, 1.5, 2, 2.5, 3, 3.5, 4, 5].find((s) => settled(shown(s, swings)).is === 'steady');
    expect(at).toBeGreaterThan(2);
    expect(at).toBeLessThan(6);
    const end = settled(shown(6, swings));
    expect(end.is === 'steady' && Math.abs(end.g - 2480)).toBeLessThan(1);
  });

  test('whatever stands still is taken, whatever it weighs, below 0 too', () => {
    fc.assert(
      fc.property(fc.integer({ min: -500, max: 30_000 }), (g) => {
        expect(settled(shown(3, () => g))).toEqual({ is: 'steady', g });
      }),
    );
  });

  test('a drift is told with its speed, once patience has run out', () => {
    const drift = (s: number) => 1200 + (90 / 60) * s;
    expect(settled(shown(4, drift)).is).toBe('waiting');
    const end = settled(shown(10, drift));
    expect(end.is).toBe('drifting');
    expect(end.is === 'drifting' && end.gPerMin).toBeGreaterThan(75);
    expect(end.is === 'drifting' && end.gPerMin).toBeLessThan(105);
  });

  test('noise is told with its width and its middle', () => {
    const noise = (s: number) => 800 + 30 * Math.sin(s * 8 * 2.4);
    const end = settled(shown(10, noise));
    expect(end.is).toBe('noisy');
    expect(end.is === 'noisy' && Math.abs(end.g - 800)).toBeLessThan(10);
    expect(end.is === 'noisy' && end.spreadG).toBeGreaterThan(40);
  });

  test('more than it can bear is told at once, and what was shown before does not count after', () => {
    const before = shown(3, () => 500);
    const over = { atMs: 3100, overload: true };
    expect(settled([...before, over]).is).toBe('overload');
    const after = shown(1, () => 500).map((r) => ({ ...r, atMs: r.atMs + 3200 }));
    expect(settled([...before, over, ...after]).is).toBe('waiting');
  });

  test('nothing shown yet is waited for', () => {
    expect(settled([])).toEqual({ is: 'waiting' });
    expect(settled([{ atMs: 0 }]).is).toBe('waiting');
  });
});
