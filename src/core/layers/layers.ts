import { FUELS, type Fuel } from '../pot';
import type { KitchenState } from '../kitchen-state';

/**
 * What a cost is made of. Never mixed silently: a screen says which layers stand in its figure. Ingredients are bought and
 * eaten; packaging is bought and thrown away; energy is what the hobs take off the meter; hands are active minutes at a wage.
 */
export const LAYERS = ['ingredients', 'packaging', 'energy', 'hands'] as const;
export type Layer = (typeof LAYERS)[number];

/** Sources of the layers that are not bought by the kilo: a kWh of a fuel, an hour of hands. */
export const energyKey = (fuel: Fuel): `energy:${Fuel}` => `energy:${fuel}`;
export const LABOUR = 'hands';

/** What a kWh and an hour of hands cost in a kitchen; null where nobody has said. */
export function layerPrices({ kitchen }: Pick<KitchenState, 'kitchen'>): [string, number | null][] {
  const price = (written: string | undefined): number | null =>
    written === undefined ? null : Number(written);
  return [
    ...FUELS.map((fuel): [string, number | null] => [energyKey(fuel), price(kitchen.energyPerKwh[fuel])]),
    [LABOUR, price(kitchen.wagePerHour)],
  ];
}

/** A layer as screens call it. `hands` is the stored name of labour. */
export const layerName = (layer: Layer): string => (layer === 'hands' ? 'labour' : layer);

/** Layers in words: `ingredients and energy`. */
export const layerText = (layers: readonly Layer[]): string =>
  layers.length < 2
    ? `${layers.map(layerName)[0] ?? 'nothing'} only`
    : `${layers.slice(0, -1).map(layerName).join(', ')} and ${layerName(layers[layers.length - 1] as Layer)}`;

/** Layers that may be counted beside the ingredients, which always are. */
export const BESIDE = LAYERS.filter((l): l is Exclude<Layer, 'ingredients'> => l !== 'ingredients');

/** Under what a device keeps which layers it counts. */
export const COUNTED_COOKIE = 'half-pot-counts';

/** Which layers are counted, out of how it is kept: `energy.hands`. Whatever else stands there counts for nothing. */
export const countedIn = (kept: string | undefined): readonly Layer[] => [
  'ingredients',
  ...BESIDE.filter((l) => kept?.split('.').includes(l)),
];
