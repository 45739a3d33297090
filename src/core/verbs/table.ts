import type { Doing, IdleStep } from '../pot';
import type { Unread, Written } from '../written';
import { add } from './adding/add';
import { blanch } from './heating/blanch';
import { bring } from './heating/bring';
import { brown } from './heating/brown';
import { chill } from './heating/chill';
import { clarify } from './separating/clarify';
import { combine } from './moving/combine';
import { cook } from './heating/cook';
import { defat } from './separating/defat';
import { deglaze } from './adding/deglaze';
import { drain } from './separating/drain';
import { drawOff } from './moving/draw-off';
import { enrich } from './adding/enrich';
import { hold } from './heating/hold';
import { into } from './moving/into';
import { loosen } from './adding/loosen';
import { loosenTo } from './adding/loosen-to';
import { mount } from './adding/mount';
import { pick } from './separating/pick';
import { portion } from './moving/portion';
import { puree } from './separating/puree';
import { reduce } from './heating/reduce';
import { rest } from './heating/rest';
import { returned } from './moving/return';
import { roux } from './adding/roux';
import { season } from './adding/season';
import { seasonTo } from './adding/season-to';
import { secondPass } from './separating/second-pass';
import { secondWash } from './separating/second-wash';
import { setAside } from './moving/set-aside';
import { sieve } from './separating/sieve';
import { skim } from './separating/skim';
import { split } from './moving/split';
import { strain } from './separating/strain';
import { takeOut } from './moving/take-out';
import { thicken } from './adding/thicken';
import { thickenTo } from './adding/thicken-to';
import { toTaste } from './adding/to-taste';
import { topUp } from './adding/top-up';
import { turnTo } from './adding/turn-to';
import type { Verb } from './verb';
import { water } from './adding/water';

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
