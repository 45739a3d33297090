/** Business days, and a kitchen's clock. Days are `YYYY-MM-DD`, zones IANA names. */
export {
  beginOfDay,
  endOfDay,
  clockIn,
  dayIn,
  daysBetween,
  isDay,
  nextAt,
  olderFirst,
  shiftDay,
  shiftInstant,
} from './day';
export { readDay, type DayManner } from './read-day';
