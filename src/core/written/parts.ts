import { z } from 'zod';
import { isDay } from '../day';

/** Control characters, and halves of letters: no keyboard types them and no database keeps them all. */
const UNWRITABLE = /[\p{Cc}\p{Cs}]/u;
/** Whether a text can be written down everywhere. */
export const isWritable = (text: string): boolean => !UNWRITABLE.test(text);
const WRITABLE = 'holds a control character or half a letter';

/** The small pieces every part of a kitchen file is made of. */
export const Id = z
  .string()
  .regex(
    /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
    'is not an id (a UUIDv7 in lower case)',
  )
  .describe('UUIDv7, the same in database, address and file');
export const Name = z
  .string()
  .trim()
  .min(1, 'a name is missing')
  .max(120, 'a name has at most 120 characters')
  .refine(isWritable, WRITABLE);
export const Day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'is not a day (YYYY-MM-DD)')
  .refine(isDay, 'is not a day of the calendar')
  .describe('business day, YYYY-MM-DD');
export const Instant = z.iso.datetime({ error: 'is not an instant (ISO 8601 in UTC, ending in Z)' });
export const Price = z
  .string()
  .regex(
    /^\d{1,10}(\.\d{1,4})?$/,
    'is not a price: digits with at most four decimals after a point, not negative',
  )
  .describe('net of tax, decimal string');
export const Percent = z.number().min(0, 'lies below 0 %').max(100, 'lies above 100 %');
export const Typed = z
  .string()
  .trim()
  .min(1, 'an amount is missing')
  .max(80, 'an amount has at most 80 characters')
  .refine(isWritable, WRITABLE)
  .describe('an amount as typed, e.g. "2 lb 4 oz"');
