import type { Doing, IdleStep } from '../pot';
import type { Unread, Written } from '../written';
import { add } from './add';
import { blanch } from './blanch';
import { bring } from './bring';
import { brown } from './brown';
import { chill } from './chill';
import { clarify } from './clarify';
import { combine } from './combine';
import { cook } from './cook';
import { defat } from './defat';
import { deglaze } from './deglaze';
import { drain } from './drain';
import { drawOff } from './draw-off';
import { enrich } from './enrich';
import { hold } from './hold';
import { into } from './into';
import { loosen } from './loosen';
import { loosenTo } from './loosen-to';
import { mount } from './mount';
import { pick } from './pick';
import { portion } from './portion';
import { puree } from './puree';
import { reduce } from './reduce';
import { rest } from './rest';
import { returned } from './return';
import { roux } from './roux';
import { season } from './season';
import { seasonTo } from './season-to';
import { secondPass } from './second-pass';
import { secondWash } from './second-wash';
import { setAside } from './set-aside';
import { sieve } from './sieve';
import { skim } from './skim';
import { split } from './split';
import { strain } from './strain';
import { takeOut } from './take-out';
import { thicken } from './thicken';
import { thickenTo } from './thicken-to';
import { toTaste } from './to-taste';
import { topUp } from './top-up';
import { turnTo } from './turn-to';
import type { Verb } from './verb';
import { water } from './water';

/** Each verb under the word that stands for it in a file. */
interface Named<Do extends string> {
  readonly do: Do;
}
const table = <T extends { readonly [Do in keyof T & string]: Verb<Written & Named<Do>, Doing & Named<Do>> }>(
  verbs: T,
): T => verbs;

/** Every verb there is: the one place that a new one is named in beside its own file. */
export const VERBS = table({
  add,
  brown,
  water,
  bring,
  cook,
  skim,
  blanch,
  strain,
  drain,
  clarify,
  'set aside': setAside,
  return: returned,
  'take out': takeOut,
  rest,
  pick,
  'second wash': secondWash,
  'draw off': drawOff,
  into,
  split,
  'turn to': turnTo,
  combine,
  defat,
  reduce,
  deglaze,
  'to taste': toTaste,
  'top up': topUp,
  'thicken to': thickenTo,
  roux,
  loosen,
  'loosen to': loosenTo,
  enrich,
  puree,
  sieve,
  'second pass': secondPass,
  chill,
  hold,
  thicken,
  mount,
  season,
  'season to': seasonTo,
  portion,
});

type Table = typeof VERBS;
type AnyVerb = Table[keyof Table];

/** A step as the kitchen file writes it: one of the verbs' forms, or a line nobody could read. */
export type WrittenDoing = AnyVerb extends infer V ? (V extends Verb<infer W, infer _S> ? W : never) : never;
export type WrittenStep = WrittenDoing | Unread;

/** A step ready to be run. */
export type PotDoing = AnyVerb extends infer V ? (V extends Verb<infer _W, infer S> ? S : never) : never;
export type PotStep = PotDoing | IdleStep;

/** The verb of a step, for what is asked of any of them. The key and the step belong together. */
export const verbOf = (step: { readonly do: WrittenDoing['do'] }): Verb<WrittenDoing, PotDoing> =>
  VERBS[step.do] as unknown as Verb<WrittenDoing, PotDoing>;

/** The same by the word alone: of a ledger row; undefined for an unread line. */
export const verbCalled = (word: string): Verb<WrittenDoing, PotDoing> | undefined =>
  word in VERBS ? verbOf({ do: word as WrittenDoing['do'] }) : undefined;
