import type { KitchenCosting } from './kitchen';

/** g of alcohol that one thing on a plate still brings, by what it came with. */
export interface AlcoholLeft {
  /** The thing on the plate: a sauce, or a wine as it is. */
  readonly on: string;
  readonly of: string;
  readonly g: number;
}

/** Below a hundredth of a gram nobody can tell; that it is there at all is said all the same. */
const LEAST = 1e-6;

/**
 * Alcohol left on a plate, each source apart, the most first. Of what has been cooked by minutes and by how far it boiled down
 * (docs/model.md, "Ethanol"); of what has not, all of it. Nothing is ever called free of it.
 */
export function alcoholOn(costing: KitchenCosting, plateId: string): AlcoholLeft[] {
  const left = new Map<string, AlcoholLeft>();
  const put = (on: string, of: string, g: number): void => {
    const key = `${on}\n${of}`;
    left.set(key, { on, of, g: (left.get(key)?.g ?? 0) + g });
  };
  for (const { resolved, written } of costing.plates.get(plateId)?.lines ?? []) {
    // What goes on the plate, not what is lost on the way to it.
    if (!resolved.ok || written.packaging) continue;
    const { what } = resolved.value;
    const g = resolved.value.g * (1 + (written.overfillPct ?? 0) / 100);
    if (what.is === 'stuff') put(what.stuff.name, what.stuff.name, what.stuff.parts.ethanol * g);
    else
      for (const s of what.product.liquid.sources)
        put(what.name, s.of, what.product.g > 0 ? (s.left * g) / what.product.g : 0);
  }
  return [...left.values()].filter((a) => a.g > LEAST).sort((a, b) => b.g - a.g);
}
