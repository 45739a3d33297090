/**
 * From how many times what it was, and down to which share of it, a typed figure is asked about. Judgement: a price that doubles
 * happens in a bad season; one that is two and a half times what it was is more often a slip.
 */
const TYPED_FAR_OFF = { up: 2.5, down: 0.4 } as const;

/** Something typed over something that stood there, both as numbers. */
interface Typed {
  /** As the question names it: “A price of 0”, “240.00 a pack”. */
  readonly what:
    | 'price'
    | 'yield'
    | 'portion'
    | 'menu price'
    | 'weight'
    | 'set value'
    | 'wage'
    | 'tariff'
    | 'number of batches';
  readonly before: number | undefined;
  readonly after: number;
  /** How a number of it is written. */
  readonly words: (value: number) => string;
}

/**
 * A question where a figure is far outside what it has been, or 0: a slip of a finger is asked about before it is kept, and a person
 * may mean it all the same. Nothing where it is as figures usually move.
 * @example outlierQuestion({ what: 'price', before: 24, after: 240, words }) // “240.00 is 10 times the 24.00 it was. Save it?”
 */
export function outlierQuestion({ what, before, after, words }: Typed): string | undefined {
  if (after === 0) return `A ${what} of 0: is that meant?`;
  if (before === undefined || before <= 0 || !Number.isFinite(after)) return undefined;
  const times = after / before;
  const { up, down } = TYPED_FAR_OFF;
  if (times >= up) return `${words(after)} is ${rounded(times)} times the ${words(before)} it was. Save it?`;
  if (times <= down)
    return `${words(after)} is only ${(times * 100).toFixed(0)} % of the ${words(before)} it was. Save it?`;
  return undefined;
}

const rounded = (times: number): string =>
  times < 10 ? times.toFixed(1).replace(/\.0$/, '') : times.toFixed(0);
