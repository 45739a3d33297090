/** A kitchen's own stove, measured: a vessel by pouring in known litres, a hob by how long water takes to boil. */
export { vesselByWater, type ByWater, type Poured } from './by-water';
export { boilingMinutes, netKwByBoiling, netKwByLabel } from './hob-power';
