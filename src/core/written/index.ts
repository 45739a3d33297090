/** The parts that every written form of the kitchen file is made of, and what the file asks of a verb. */
export { Day, Id, Instant, Name, Percent, Price, Typed } from './parts';
export { Cost, Of, PlateOf, type WrittenCost } from './of';
export {
  doing,
  idsOfMatter,
  LONGEST_NOTE,
  Unread,
  type Beside,
  type EachId,
  type Named,
  type Written,
  type WrittenVerb,
} from './verb';
