import type { z } from 'zod';

/** What a write says of itself where it may wait for the network. */
export interface MayWait {
  /** What it changes: later writes of the same follow it at the version it leaves. */
  readonly thing: string;
  /** Whether it says all there is to say of its thing, so that a later one takes its place. */
  readonly whole: boolean;
  /** Whether this browser remembers for a while that it was sent: a page that was read before is shown with it. */
  readonly remembered?: boolean;
  /** What was typed, as it is shown to the person who typed it. */
  readonly words: string;
}

/**
 * What goes from the browser to the door when something is to be written: a kind with its version, and a body of its own shape.
 * The same declaration checks it in the browser, where it is sent, and on the server, where it is done.
 */
export interface Wire<Body, Answer, Theirs = undefined> {
  /** Such as `recipe.keep`; never reused for something else. */
  readonly kind: string;
  /** Moves when the body's shape does: a command that was kept while there was no network may be older than the server. */
  readonly version: number;
  readonly body: z.ZodType<Body>;
  /** Said by what may wait in the browser while there is no network. */
  waits?(body: Body): MayWait;
  /** Types only: what is answered, and what the other side of a stale write looks like. */
  readonly answer?: Answer;
  readonly theirs?: Theirs;
}

/** Declares a kind of write: `wire<Answer, Theirs>()({kind, version, body})`. */
export const wire =
  <Answer = null, Theirs = undefined>() =>
  <Body>(w: {
    readonly kind: string;
    readonly version: number;
    readonly body: z.ZodType<Body>;
    waits?(body: Body): MayWait;
  }): Wire<Body, Answer, Theirs> =>
    w;

/** One of several things that are wrong, with the field it stands in. */
export interface Mistake {
  readonly path: string;
  readonly message: string;
}

/** Not done, and why, in a sentence. */
export interface No<Theirs = undefined> {
  readonly ok: false;
  readonly code: string;
  readonly message: string;
  readonly path: string;
  readonly numbers?: Readonly<Record<string, number>> | undefined;
  /** Where more than one thing is wrong: all of them, the first among them. */
  readonly mistakes?: readonly Mistake[] | undefined;
  /** Of a stale write: how it stands now, and the version it stands at. */
  readonly theirs?: Theirs | undefined;
  readonly version?: number | undefined;
}

/** What comes back: done, with what there is to say and the version of the thing that was written; or not. */
export type Reply<Answer, Theirs = undefined> =
  { readonly ok: true; readonly value: Answer; readonly version: number | null } | No<Theirs>;
