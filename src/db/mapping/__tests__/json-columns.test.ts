import { z } from 'zod';
import { jsonColumn, NewerJsonError, PRICE_BASIS } from '../json-columns';

describe('a column of JSON', () => {
  const Pan = z.strictObject({ name: z.string(), litres: z.number() });
  /** Bare at first, then with a name, then with litres. */
  const column = jsonColumn('a pan', Pan, [
    (older) => ({ name: older }),
    (older) => ({ ...(older as { name: string }), litres: 0 }),
  ]);
  test('is written with its version and read as it was', () => {
    const pan = { name: 'Rondeau', litres: 12 };
    expect(JSON.parse(column.write(pan))).toEqual({ v: 2, is: pan });
    expect(column.read.parse(column.write(pan))).toEqual(pan);
    expect(column.read.parse({ v: 2, is: pan })).toEqual(pan);
  });
  test('of an older version is brought up to this one, from before there were versions too', () => {
    expect(column.read.parse({ v: 1, is: { name: 'Rondeau' } })).toEqual({ name: 'Rondeau', litres: 0 });
    expect(column.read.parse('"Rondeau"')).toEqual({ name: 'Rondeau', litres: 0 });
  });
  test('of a newer version is not guessed at', () => {
    expect(() => column.read.parse({ v: 3, is: { name: 'Rondeau', bar: 2 } })).toThrow(NewerJsonError);
    expect(() => column.read.parse({ v: 3, is: {} })).toThrow(
      'a pan holds version 3; this program reads up to 2',
    );
  });
  test('that holds something else is refused', () => {
    expect(column.read.safeParse({ v: 2, is: { name: 4 } }).success).toBe(false);
  });
  test('a basis written before versions were is read', () => {
    const bare = { by: 'average' as const, days: 28 };
    expect(PRICE_BASIS.read.parse(bare)).toEqual(bare);
    expect(PRICE_BASIS.read.parse({ v: 1, is: bare })).toEqual(bare);
  });
});
