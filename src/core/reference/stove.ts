import { z } from 'zod';
import type { KitchenFile, WrittenVessel } from '../kitchen-file';
import type { Fuel } from '../pot';
import table from './stove.json';

const Shared = {
  name: z.string().min(1),
  heightCm: z.number().positive(),
  maxFillPct: z.number().min(1).max(100),
  /** To the brim, as its maker names it. */
  litres: z.number().positive(),
  note: z.string(),
};
const Row = z.discriminatedUnion('shape', [
  z.object({ ...Shared, shape: z.literal('round'), baseCm: z.number(), topCm: z.number() }),
  z.object({ ...Shared, shape: z.literal('box'), lengthCm: z.number(), widthCm: z.number() }),
]);
/** A vessel as they are usually made: inside measures in cm, usual highest fill in %. */
export type ReferenceVessel = z.infer<typeof Row>;

let rows: readonly ReferenceVessel[] | undefined;

/** Vessels as they are usually made, to begin from: a kitchen's own are measured with a ruler or with water. */
export const referenceVessels = (): readonly ReferenceVessel[] =>
  (rows ??= z.object({ vessels: z.array(Row) }).parse(table).vessels);

/** A kitchen's own vessel like a usual one. */
export function vesselLike({ litres: _l, note: _n, ...row }: ReferenceVessel, id: string): WrittenVessel {
  return { ...row, id };
}

/** A heat source as it usually is. */
export interface ReferenceHob {
  readonly name: string;
  readonly fuel: Fuel;
  /** kW that usually reach the pot, and the 90 % range. */
  readonly netKw: number;
  readonly low: number;
  readonly high: number;
  /** Share of the fuel that usually reaches the pot, %; that of the fuel where nothing is said. */
  readonly efficiencyPct?: number;
  /** Share of what its label says that reaches the pot: the middle of what is usual. */
  readonly ofLabel: number;
}

type Ranged = (key: string) => { readonly value: number; readonly low: number; readonly high: number };

/**
 * Heat sources as they usually are, by the constants of the table.
 * `ofLabel` is the middle of the efficiency its row names (gas 35-50 %, induction 80-92 %, plates 60-78 %).
 */
export const hobsFrom = (of: Ranged): readonly ReferenceHob[] =>
  (
    [
      ['Large gas burner', 'gas', 'hob_net_large_gas_burner', 0.42],
      ['Small gas burner', 'gas', 'hob_net_small_gas_burner', 0.45],
      ['Floor stove, gas', 'gas', 'hob_net_gas_stockpot_burner', 0.42],
      ['Induction', 'electricity', 'hob_net_induction_3_5kw', 0.87],
      ['Electric plate', 'electricity', 'hob_net_electric_plate_2_6kw', 0.69],
      ['Tilting kettle 60 l', 'electricity', 'net_kettle_60l', 0.65],
      ['Tilting kettle 150 l', 'electricity', 'net_kettle_150l', 0.73],
    ] as const
  ).map(([name, fuel, key, ofLabel]) => {
    const { value: netKw, low, high } = of(key);
    return {
      name,
      fuel,
      netKw,
      low,
      high,
      ofLabel,
      ...(name === 'Induction' ? { efficiencyPct: of('eff_induction').value * 100 } : {}),
    };
  });

export const hobLike = (row: ReferenceHob, id: string): KitchenFile['hobs'][number] => ({
  id,
  name: row.name,
  netKw: row.netKw,
  fuel: row.fuel,
  ...(row.efficiencyPct === undefined ? {} : { efficiencyPct: row.efficiencyPct }),
});
