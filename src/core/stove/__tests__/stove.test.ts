import fc from 'fast-check';
import { capacityMl, levelAt } from '../../pot';
import type { Outcome } from '../../trouble';
import { boilingMinutes, netKwByBoiling, netKwByLabel, vesselByWater } from '..';

const trouble = (x: Outcome<unknown>) => (x.ok ? { code: '', message: '' } : x.trouble);

describe('a vessel by its water', () => {
  it('is found again from any two dips, whatever its taper', () => {
    const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const any = fc.tuple(
      between(8, 58),
      between(14, 64),
      between(0.75, 1.45),
      between(0.2, 0.4),
      between(0.6, 0.9),
    );
    const law = ([heightCm, baseCm, taper, first, second]: [
      number,
      number,
      number,
      number,
      number,
    ]): void => {
      const shape = { shape: 'round' as const, baseCm, topCm: baseCm * taper, heightCm };
      const brim = capacityMl(shape);
      const readings = [first, second].map((share) => ({
        ml: brim * share,
        dipCm: heightCm - levelAt(shape, brim * share),
      }));
      const found = vesselByWater(heightCm, readings);
      if (!found.ok) throw new Error(found.trouble.message);
      expect(found.value.shape.baseCm / baseCm).toBeCloseTo(1, 6);
      expect(found.value.shape.topCm / shape.topCm).toBeCloseTo(1, 6);
      expect(found.value.brimMl / brim).toBeCloseTo(1, 6);
      expect(found.value.offCm).toBeUndefined();
    };
    fc.assert(fc.property(any, law));
  });

  it('says how well three readings fit, and refuses what no pot shows', () => {
    // By hand: 36 cm straight, π·18² = 1017.9 cm² each cm.
    const straight = (cm: number): number => 1017.876 * cm;
    const read = (cm: number, off = 0) => ({ ml: straight(cm), dipCm: 36 - cm + off });
    const good = vesselByWater(36, [read(6), read(15, 0.1), read(30)]);
    if (!good.ok) throw new Error(good.trouble.message);
    expect(good.value.shape.baseCm).toBeCloseTo(36, 0);
    expect(good.value.offCm).toBeGreaterThan(0.02);
    expect(good.value.offCm).toBeLessThan(0.12);
    expect(trouble(vesselByWater(36, [read(6), read(15, 3), read(30)])).message).toMatch(
      /nearer than \d\.\d cm/,
    );
    expect(trouble(vesselByWater(36, [read(6)])).code).toBe('too-few');
    expect(trouble(vesselByWater(36, [{ ml: 5000, dipCm: 40 }, read(9)])).message).toMatch(
      /40 cm cannot be in a vessel 36 cm high/,
    );
    expect(trouble(vesselByWater(36, [read(6), { ml: 20000, dipCm: 32 }])).message).toMatch(
      /under 30 cm, not 32/,
    );
    expect(
      trouble(
        vesselByWater(36, [
          { ml: 1000, dipCm: 30 },
          { ml: 60000, dipCm: 20 },
        ]),
      ).code,
    ).toBe('cannot-be');
  });
});

describe('a hob by its water', () => {
  it('ten litres from 15 °C in twenty minutes are 2.9 kW, and that boils them in twenty minutes', () => {
    const kw = netKwByBoiling(10, 15, 20);
    expect(kw.ok && kw.value).toBeCloseTo((10 * 4.106 * 85) / 1200, 2);
    expect(kw.ok && boilingMinutes(10, 15, kw.value)).toBeCloseTo(20, 9);
  });
  it('a label is worth its share, and what cannot be is told with its limit', () => {
    expect(netKwByLabel(3.5, 0.87)).toEqual({ ok: true, value: 3.045 });
    expect(trouble(netKwByLabel(900, 0.87)).message).toMatch(/783\.00 kW .* from 0\.05 to 200/);
    expect(trouble(netKwByBoiling(0, 15, 20)).message).toMatch(/0 l cannot be/);
    expect(trouble(netKwByBoiling(10, 95, 20)).message).toMatch(/95 °C/);
    expect(trouble(netKwByBoiling(10, 15, 0)).message).toMatch(/0 minutes/);
  });
});
