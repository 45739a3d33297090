/** The one way to write. Stations declare kinds of writes; the door does what all of them have in common. */
export {
  declare,
  Refused,
  refused,
  type AnyDeclared,
  type Looking,
  type Writing,
  type Wrote,
} from './declare';
export { idsIn } from './ids-in';
export { perform } from './perform';
export { answerCommand, kindsOf } from './request';
