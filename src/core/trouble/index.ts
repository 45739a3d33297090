/**
 * Expected trouble: something a person typed or a kitchen lacks, told as a sentence.
 *
 * A programmer's mistake throws; expected trouble is returned. `path` says where it is
 * (`recipes[2].steps[4].amount`), `message` is what the person reads and always carries the
 * number and the limit, and `numbers` holds the same figures for programs.
 */
export interface Trouble {
  readonly code: string;
  readonly path: string;
  readonly message: string;
  /** The same place in words, where it is one of a file: “recipe “Juniper sauce”, step 6, amount”. */
  readonly where?: string;
  readonly numbers?: Readonly<Record<string, number>>;
  /** Of a name that nothing has: what was said, and of what kind it was taken to be. */
  readonly unknown?: { readonly said: string; readonly kind: string };
  /** The words of what was typed that it is about, where it is about some of them. */
  readonly about?: string;
  /** What would be understood instead, nearest first: offered as a click, never taken by itself. */
  readonly instead?: readonly string[];
}

/** Either a value or the trouble that stood in its way. */
export type Outcome<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly trouble: Trouble };

export const fine = <T>(value: T): Outcome<T> => ({ ok: true, value });

export const refuse = (
  code: string,
  path: string,
  message: string,
  numbers?: Record<string, number>,
): { ok: false; trouble: Trouble } => ({
  ok: false,
  trouble: numbers ? { code, path, message, numbers } : { code, path, message },
});

/** The same trouble, with the place it was found in put before its path. */
export function under(place: string, trouble: Trouble): Trouble {
  const join = trouble.path === '' || trouble.path.startsWith('[') ? '' : '.';
  return { ...trouble, path: `${place}${join}${trouble.path}` };
}

/** A mistake in a file as it is read out: where, and what. */
export const mistakeWords = ({ where, path, message }: Trouble): string =>
  `${where || path || '(file)'}: ${message}`;
