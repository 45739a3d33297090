import fc from 'fast-check';
import { costFile } from '../../costing';
import { TRIM_SCHOOLS, type TrimSchool } from '../../larder';
import { CONSTANTS } from '../../reference';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';
import { whyCost } from '..';

interface Told {
  readonly school?: TrimSchool;
  readonly sold?: boolean;
  /** Per cent of the leek's stock trim that the pots take. */
  readonly taken?: number;
  /** What falls off the bones goes into the stock: then it carries some of their price. */
  readonly fatUsed?: boolean;
}
type Of = 'leek' | 'bones' | 'fat';

/** Why under a school; money with every digit, so that words can be calculated again. */
function why(
  { school = 'weight', sold = false, taken, fatUsed = true }: Told,
  key: 'usable' | 'trim',
  of: Of,
) {
  const file = smallKitchen((w) => {
    w.kitchen.trim.school = school;
    Object.assign((w.ingredients[1] as { comesOff: object }).comesOff, { sold });
    if (taken !== undefined) Object.assign(w.ingredients[2]!, { trim: { takenPct: taken } });
    if (fatUsed) w.recipes[0]!.steps.push({ do: 'add', of: { ingredient: SMALL.fat }, amount: '50 g' });
  });
  return whyCost(costFile(file, '2026-02-01', CONSTANTS), `${key}:${SMALL[of]}`, (m) => String(m));
}

/** What the words come to when their figures are calculated: `(3 bought − 0.5 × 40 % stock trim) ÷ 50 % usable` is 5.6. */
function reckoned(detail: string): number {
  const sum = (detail.split(' · ')[0] ?? '')
    .replace(/, \d+ % of it taken/g, (said) => ` * ${Number(/\d+/.exec(said)?.[0]) / 100}`)
    .replace(/([\d.]+) %/g, (_, n: string) => String(Number(n) / 100))
    .replace(/[a-z]+/gi, '')
    .replaceAll('÷', '/')
    .replaceAll('×', '*')
    .replaceAll('−', '-');
  if (!/^[\d.\s()+*/-]+$/.test(sum)) throw new Error(`not a sum: ${sum}`);
  return Number(new Function(`return ${sum}`)());
}

describe('why a usable kilo costs what it does, under each school', () => {
  test.each([
    ['free', '3 per kilo bought ÷ 50 % usable', 6],
    ['value', '(3 bought − 0.5 × 40 % stock trim) ÷ 50 % usable', 5.6],
    ['weight', '3 per kilo bought ÷ (50 % usable + 40 % stock trim)', 3 / 0.9],
  ] as const)('%s: %s', (school, words, money) => {
    const said = why({ school }, 'usable', 'leek');
    expect(said.detail).toBe(words);
    expect(said.money).toBeCloseTo(money, 12);
  });

  test('the figures in the words, reckoned again, are the figure they explain', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TRIM_SCHOOLS),
        fc.boolean(),
        fc.boolean(),
        fc.integer({ min: 0, max: 100 }),
        fc.constantFrom<Of>('leek', 'bones'),
        (school, sold, fatUsed, taken, of) => {
          const said = why({ school, sold, fatUsed, taken }, 'usable', of);
          expect(reckoned(said.detail ?? '')).toBeCloseTo(said.money ?? NaN, 10);
        },
      ),
    );
  });

  test.each([
    ['free', 'stock trim is free: the usable part carries all', 0],
    ['value', 'stock trim at its set value of 0.5 per kilo', 0.5],
    ['weight', '3 shared by weight: ÷ (50 % usable + 40 % stock trim)', 3 / 0.9],
  ] as const)('what its trim costs, %s: %s', (school, words, money) => {
    const said = why({ school }, 'trim', 'leek');
    expect(said.detail).toBe(words);
    expect(said.money).toBeCloseTo(money, 12);
    expect(said.title).toBe('Leek, stock trim');
  });

  test('trim that no pot takes is named, and has neither a set value nor a share', () => {
    for (const school of ['value', 'weight'] as const) {
      expect(why({ school }, 'usable', 'bones').detail).toContain(
        ' · no pot takes 10 % stock trim: the usable part carries it',
      );
      const trim = why({ school }, 'trim', 'bones');
      expect([trim.detail, trim.money]).toEqual(['no pot takes it: the usable part carries all', 0]);
    }
    // Where it is free anyway nobody needs to be told who carries it; where all of it is taken there is nobody to tell.
    expect(why({ school: 'value' }, 'usable', 'leek').detail).not.toContain('no pot');
  });

  test.each([
    ['free', false, 'free: the usable part carries all', 0],
    ['value', false, 'at its set value of 1 per kilo', 1],
    ['weight', false, 'sharing the price by weight', 2 / 0.9],
    ['free', true, 'at its set value of 1 per kilo', 1],
    ['weight', true, 'at its set value of 1 per kilo', 1],
  ] as const)('what comes off and is used, %s, sold %s: %s', (school, sold, words, money) => {
    const said = why({ school, sold }, 'usable', 'fat');
    expect(said.money).toBeCloseTo(money, 12);
    const [, off] = said.rows;
    expect([off?.title, off?.detail, off?.goTo]).toEqual([
      'Comes off Bones',
      words,
      `ingredient:${SMALL.bones}`,
    ]);
    expect(off?.money).toBeCloseTo(money, 12);
    // And behind it the bones, down to what was paid for them.
    expect(off?.rows[0]?.title).toBe('Bones');
    expect(off?.rows[0]?.rows[1]?.title).toBe('Quoted price');
  });
});
