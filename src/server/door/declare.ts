import type { Supply } from '@/core/prices';
import type { KitchenState } from '@/core/kitchen-state';
import { refuse, type Trouble } from '@/core/trouble';
import type { Aggregate } from '@/db/edits';
import type { Connection } from '@/db/sql';
import type { Wire } from '@/wire';
import type { CostedKitchen } from '../kitchen';
import type { Rank, Worker } from '../roles';

/** Thrown anywhere in a write to have nothing of it happen, with the trouble for the person who asked. */
export class Refused extends Error {
  constructor(
    readonly trouble: Trouble,
    readonly more: {
      /** Where more than one thing is wrong: all of them. */
      readonly mistakes?: readonly Trouble[];
      /** The other side, where there is one. */
      readonly theirs?: unknown;
    } = {},
  ) {
    super(trouble.message);
    this.name = 'Refused';
  }
}

/** A write refused for one reason: to be thrown. `path` names the field it is about; '' where it is about none. */
export const refused = (
  code: string,
  path: string,
  message: string,
  numbers?: Record<string, number>,
): Refused => new Refused(refuse(code, path, message, numbers).trouble);

/** What a write may look at before it is done, with nothing locked. Asked for only as far as it is needed. */
export interface Looking {
  readonly who: Worker;
  /** Now, and the business day in the kitchen. */
  readonly at: Date;
  readonly today: string;
  /** Version seen by the writer; null where the kind has none. */
  readonly seen: number | null;
  /** What stands in the kitchen, without any pot being run. */
  readonly state: () => Promise<KitchenState>;
  /** What ingredients cost, without any pot being run. */
  readonly supplies: () => Promise<ReadonlyMap<string, Supply>>;
  /** The kitchen costed. */
  readonly costed: () => Promise<CostedKitchen>;
}

/** What a write does its work with, its rows locked: one connection, and nothing worked out any more. */
export interface Writing {
  readonly sql: Connection;
  readonly who: Worker;
  readonly kitchenId: string;
  readonly at: Date;
  readonly today: string;
  /** The version that the thing has from now on; null where the kind has none. */
  readonly version: number | null;
}

/** What was written: the answer, and what the change log says of it. `before` and `after` are enough to take it back. */
export interface Wrote<Answer> {
  readonly value: Answer;
  readonly what: string;
  readonly subject: string;
  readonly before: unknown;
  readonly after: unknown;
  /** The change that it takes back. */
  readonly undoes?: string | undefined;
  /** Further changes that came with it. */
  readonly also?: readonly {
    readonly what: string;
    readonly subject: string;
    readonly before: unknown;
    readonly after: unknown;
    readonly undoes?: string | undefined;
  }[];
}

/** The aggregate that a write changes: taken at the version its writer saw, or refused with how it stands now. */
export interface Changed<Body, Theirs> {
  readonly table: Aggregate;
  /** Null of what is not there yet. */
  readonly id: (body: Body, who: Worker) => string | null;
  /** The other side of a stale write. */
  readonly theirs: (body: Body, looking: Looking) => Promise<Theirs | undefined>;
}

/** One kind of write, whole. What every write has in common is the door's. */
export interface Declared<Body, Answer, Theirs, Ready> {
  readonly wire: Wire<Body, Answer, Theirs>;
  /** The least that somebody must be. */
  readonly role: Rank;
  /** Whether any cost can be another for it: what cannot need not have everything costed again. */
  readonly moves: 'costs' | 'nothing that is costed';
  readonly changes?: Changed<Body, Theirs>;
  /** Bodies of older versions, brought up one by one: the first makes version 2 of version 1. */
  readonly upgrades?: readonly ((older: unknown) => unknown)[];
  /** Looks and refuses, with nothing locked; what it finds out is handed on. Done again if what it depends on has changed meanwhile. */
  readonly look: (body: Body, looking: Looking) => Promise<Ready>;
  /**
   * Ids of the ingredients, articles, recipes and dishes that the look depends on: a change to any other does not make it look again.
   * Settings, vessels, hobs and measures always do. Left out, any change does.
   */
  readonly dependsOn?: (body: Body, ready: Ready) => Iterable<string>;
  /** Writes, with the kitchen's row locked. Nothing is worked out here. */
  readonly write: (writing: Writing, body: Body, ready: Ready) => Promise<Wrote<Answer>>;
  /** Once it has been done, the first time only. */
  readonly then?: (body: Body, ready: Ready, who: Worker) => Promise<void> | void;
}

/** A declared write whose types have been checked against each other and no longer matter to the door. */
export type AnyDeclared = Declared<unknown, unknown, unknown, unknown>;

/** Declares a kind of write. Without a role it does not compile. */
export const declare = <Body, Answer, Theirs, Ready>(
  declared: Declared<Body, Answer, Theirs, Ready>,
): AnyDeclared => declared as unknown as AnyDeclared;
