/** How hard a pot is driven, from a shiver to a wide pan on full heat. */
export const HEATS = ['bare simmer', 'simmer', 'brisk boil', 'hard boil', 'wide pan'] as const;
export type Heat = (typeof HEATS)[number];
export const LIDS = ['off', 'ajar', 'on', 'paper'] as const;
export type Lid = (typeof LIDS)[number];
export const STRAINERS = ['colander', 'fine mesh', 'cone sieve', 'cloth'] as const;
export type Strainer = (typeof STRAINERS)[number];
/** How thick something is: what a spoon says. */
export const BANDS = ['soup', 'pouring', 'coating', 'binding'] as const;
export type BodyBand = (typeof BANDS)[number];
export const FUELS = ['electricity', 'gas'] as const;
export type Fuel = (typeof FUELS)[number];
/** What becomes of flour and butter: the longer in the heat, the weaker. */
export const ROUX = ['white', 'blond', 'brown', 'dark', 'kneaded'] as const;
export type Roux = (typeof ROUX)[number];
export const DEFATS = ['ladle', 'jug', 'cold'] as const;
export type Defat = (typeof DEFATS)[number];

/** Active work of a kind of step: h however little there is, and h more for each kilo and each litre. */
export interface Effort {
  readonly fixed: number;
  readonly perKg: number;
  readonly perL: number;
}

/**
 * Everything the pot's physics takes as given. Values come from `reference/process.json`, each with
 * its source and range; a kitchen's own measurements may replace any of them.
 */
export interface ProcessConstants {
  /** h that one step on the heat takes at most; left out, a minute. Coarser steps are for runs whose purpose is a band. */
  readonly stepH?: number | undefined;
  /** Open evaporation in kg per m² and hour, and the liquid's temperature in °C. */
  readonly heats: Readonly<Record<Heat, { readonly rate: number; readonly celsius: number }>>;
  /** Share of the open evaporation that gets past the lid. */
  readonly lids: Readonly<Record<Lid, number>>;
  /** What a layer of fat leaves of the evaporation below the boil, and what a strong hood makes of it; only where chosen. */
  readonly factors: { readonly fatLayer: number; readonly draught: number };
  /** °C of what is added from the bench or the tap. */
  readonly addedCelsius: number;
  /** ml left on sieve and pot per pass. */
  readonly strainers: Readonly<Record<Strainer, number>> & Readonly<Record<string, number>>;
  /** ml per m² of wetted wall left in an emptied pot: thin liquids, and sauces that coat (body 1). */
  readonly wallCling: { readonly thin: number; readonly coating: number };
  /** Share of the floating fat left behind, and g of the rest that goes with each g of fat. */
  readonly defat: Readonly<
    Record<Defat, { readonly left: number; readonly drag: number; readonly hours: number }>
  >;
  /** g of the rest that go with each g of fat skimmed off the surface while it simmers. */
  readonly skimDrag: number;
  /** g of flour per litre, and % of gelatin, that coat a spoon: body 1. */
  readonly coating: { readonly flourGPerL: number; readonly gelatinPct: number };
  /**
   * Where what is delicate curdles or splits, °C; the held fat from which a mounted sauce is a butter sauce; g of flour per litre
   * (or as much starch) from which it bears `guardedC`, and from which it may boil; where thick yolk sets; held fat that is about to
   * split.
   */
  readonly delicate: {
    readonly mountedC: number;
    readonly butterSauceC: number;
    readonly butterSauceShare: number;
    readonly guardGPerL: number;
    readonly guardedC: number;
    readonly boilGPerL: number;
    readonly thickYolkC: number;
    readonly heldWarns: number;
  };
  /** How much more body starch, gelatin and held fat have for each 10 °C below 80; where gelatin sets, and % of it that gives body 1 when it has. */
  readonly cold: {
    readonly starch: number;
    readonly gelatin: number;
    readonly held: number;
    readonly setsC: number;
    readonly setPct: number;
  };
  /** % of gelatin of which a chilled spoonful wobbles, and of which it can be cut. */
  readonly gels: Readonly<
    Record<'wobbles' | 'cuts', { readonly low: number; readonly middle: number; readonly high: number }>
  >;
  readonly oversaltedPct: number;
  /** Hours in which half of a pool has passed. */
  readonly halfLifeH: {
    readonly fat: number;
    readonly salt: number;
    readonly gives: number;
    readonly takes: number;
  };
  /** h in which half of the dissolved gelatin has lost its hold, at a temperature. */
  readonly gelatinFade: { readonly halfLifeH: number; readonly celsius: number };
  /** Shares of the liquid's mass that leave while something hot cools, open and covered, from `from` °C down to `to`. */
  readonly cooling: {
    readonly open: number;
    readonly covered: number;
    readonly from: number;
    readonly to: number;
  };
  /** Within how many hours a pot has to be cooled to how many °C; where a house says so. */
  readonly coolingLimits?: readonly { readonly toC: number; readonly withinH: number }[] | undefined;
  /** Body of fat that is held: of its share of the volume, up to where it splits; and of a % of pulp. */
  readonly held: { readonly factor: number; readonly splitsAt: number };
  readonly bodyPerPulpPct: number;
  /** Ethanol left (share) by minutes stirred in and simmered, linear between. */
  readonly ethanolByMinutes: readonly (readonly [number, number])[];
  readonly boilOffExponent: number;
  /** Flour equivalent, g per litre, at which a liquid is of a thickness: its edges and its middle. */
  readonly bands: Readonly<
    Record<BodyBand, { readonly low: number; readonly middle: number; readonly high: number }>
  >;
  /** How much of its flour's power a roux keeps. */
  readonly roux: Readonly<Record<Roux, number>>;
  /** Share left in the blender, and flour equivalent of a gram of starch that the blade lets out. */
  readonly puree: { readonly loss: number; readonly starchBinding: number };
  readonly sieveLoss: number;
  /** What a raft catches and keeps, shares; and h it is usually left to simmer. */
  readonly clarify: {
    readonly held: number;
    readonly fatCaught: number;
    readonly pulpCaught: number;
    readonly hours: number;
  };
  /** °C of meat that rests, and by how much a pot off the fire is cooler while things infuse in it. */
  readonly resting: { readonly celsius: number; readonly cooler: number };
  readonly chillHours: number;
  /** Share of its water that leaves in an hour of being kept warm. */
  readonly holdLossPerHour: number;
  /** kJ per kg of water evaporated; kJ per kg and K for liquid and pieces. */
  readonly latentKj: number;
  /** cm of liquid under which a pot scorches. */
  readonly leastDepthCm: number;
  /** kW that a hot vessel gives to the air, per m² of its wetted wall and base. */
  readonly wallLossKwPerM2: number;
  /** Share of the fuel's energy that reaches the pot, where a hob does not say. */
  readonly efficiency: Readonly<Record<Fuel, number>>;
  /** Active work that a step of this kind takes, where it does not say. */
  readonly hands: Readonly<Record<string, Effort>>;
  /** h of setting up, labelling and washing up of a batch, shared with what is made beside it: at most, and so much a litre where there is little. */
  readonly sharedHands: { readonly batch: number; readonly perL: number };
  readonly heatCapacity: { readonly liquid: number; readonly pieces: number };
}
