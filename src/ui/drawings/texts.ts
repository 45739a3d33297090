/** What people read in ui/drawings. */

// pot-section.tsx
export const sectionLiquidCmBelow = (name: string, dipAt: string): string =>
  `${name} in section, liquid ${dipAt} cm below the rim`;
export const maxFill = 'max fill';
export const solids = 'solids';
export const cm = (dipAt: string): string => `${dipAt} cm`;
export const reduceLevelDragOr = 'Reduce to this level: drag, or use the arrow keys';
export const cmBelowRim = (dipAt: string): string => `${dipAt} cm below the rim`;

// litre-jug.tsx
export const everythingElse = 'everything else';
export const oneLitre = (strata: string): string => `One litre: ${strata}`;

// dots.tsx
export const farFromOthers = ', far from the others';
export const doesNotCount = (not: string): string => `, does not count: ${not}`;
export const usedNow = (figure: string): string => `used now: ${figure}`;
export const estimate = 'estimate';
