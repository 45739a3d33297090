import { cookedOn } from '../kitchen-file';
import { isGuess, type Supply } from './supplies';

/** Which numbers a recipe uses for one of its ingredients, and whether anybody has measured them. */
export interface Evidence {
  readonly id: string;
  readonly name: string;
  /** %, and where it comes from. */
  readonly usablePct: number;
  readonly guess: boolean;
  readonly basis?: string | undefined;
  /** ml per kg raw, of pieces; left to drain and pressed. */
  readonly retention?: { readonly drained: Measurable; readonly pressed: Measurable } | undefined;
  /** What own browning tests say, % of the raw weight. */
  readonly browned?: { readonly vapourPct: number; readonly fatPct: number } | undefined;
}

export interface Measurable {
  readonly value: number;
  readonly guess: boolean;
}

/** The numbers used for an ingredient on a day. */
export function evidenceFor(s: Supply, day: string): Evidence {
  const { ingredient } = s;
  const measured = (figure: 'retention' | 'retention pressed', written: number): Measurable => {
    const own = cookedOn(ingredient, figure, day);
    return { value: own?.value ?? written, guess: own?.source !== 'measured' };
  };
  const vapour = cookedOn(ingredient, 'browned off', day);
  return {
    id: ingredient.id,
    name: ingredient.name,
    usablePct: s.usable * 100,
    guess: isGuess(s),
    basis: s.yieldBasis,
    retention:
      ingredient.role === 'piece'
        ? {
            drained: measured('retention', ingredient.retentionMlPerKg),
            pressed: measured('retention pressed', ingredient.retentionPressedMlPerKg),
          }
        : undefined,
    browned:
      vapour?.source === 'measured'
        ? { vapourPct: vapour.value, fatPct: cookedOn(ingredient, 'fat run off', day)?.value ?? 0 }
        : undefined,
  };
}
