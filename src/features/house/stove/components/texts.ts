/** What people read in house/stove. */

// hob-form.tsx
export const whatCalled = 'What it is called';
export const fuel = 'Fuel';
export const gas = 'gas';
export const electricity = 'electricity';
export const kwReachPot = 'kW that reach the pot';
export const noLimit = 'no limit';
export const whatBurnsReachesPot = 'of what it burns, % that reaches the pot';
export const whatUsual = 'what is usual';
export const underHoodPullsSteam = 'under a hood that pulls the steam away';
export const underHood = 'under a hood';
export const noHood = 'no hood';
export const offLabelOrWhat = 'Off its label, or what is usual';
export const whatKind = 'What kind it is';
export const whatKindInline = 'what kind it is …';
export const usuallyKwReachPot = (kw: string, otherFigure: string, toFigure: string): string =>
  `Usually ${kw} kW reach the pot (${otherFigure} to ${toFigure}).`;
export const use = 'Use it';
export const orLabelSays = 'Or its label says';
export const kwLabel = 'kW on its label';
export const kw = 'kW';
export const kwReachPotBare = (kw: string): string => `: ${kw} kW reach the pot.`;
export const measureHowLongDoes = 'Measure it: how long does water take to boil?';
export const litresWater = 'Litres of water';
export const lWaterFrom = 'l of water, from';
export const degreesStarted = 'Degrees it started at';
export const cLidBoilAfter = '°C, lid on, boil after';
export const minutesUntilBoiled = 'Minutes until it boiled';
export const minutes = 'minutes';
export const hobFormKwReachPot = (kw: string): string => `${kw} kW reach the pot.`;

// vessel-form.tsx
export const acrossBaseCm = 'across the base, cm';
export const acrossRimCm = 'across the rim, cm';
export const longCm = 'long, cm';
export const wideCm = 'wide, cm';
export const itIs = 'It is';
export const roundPotPan = 'round: a pot, a pan';
export const boxTrayBrattPan = 'a box: a tray, a bratt pan';
export const highInsideCm = 'high inside, cm';
export const filledMost = 'filled at the most, %';
export const weighsEmpty = 'weighs empty';
export const notWeighed = 'not weighed';
export const likeUsualOneThen = 'Like a usual one (then correct it with a ruler)';
export const likeUsualOne = 'Like a usual one';
export const stockpot36L = 'Stockpot 36 l';
export const measureWaterInstead = 'Measure it with water instead';
export const pourManyLitresRead =
  'Pour in so many litres, read the dip from the rim down to the water; pour in more, read again. A third reading tells how well it fits.';
export const withText = 'with';
export const readingLitres = (number: number): string => `Reading ${number}, litres in it`;
export const lDip = 'l in it the dip is';
export const readingDipCm = (number: number): string => `Reading ${number}, dip in cm`;
export const cm = 'cm';
export const howHighInsideMeasured = 'How high is it inside? That is measured with a ruler.';
export const cmAcrossBaseRim = (
  cm: string,
  otherFigure: string,
  otherLitres: string,
  offCm: undefined | number,
  otherCm: string,
): string =>
  `${cm} cm across the base, ${otherFigure} at the rim: ${otherLitres} l to the brim. ${offCm === undefined ? 'Two readings leave nothing over to check it with.' : `Every reading fits within ${otherCm} cm.`}`;
export const useThese = 'Use these';

// stove-view.tsx
export const vesselsHobs = 'Vessels and hobs';
export const everyLitreDipMinute =
  'Every litre, dip and minute is calculated from these: measure them once, with a ruler or with water.';
export const newVessel = 'New vessel';
export const newHob = 'New hob';
export const noVesselYetPot = 'There is no vessel yet: a pot sheet asks for one, or add it here.';
export const vessel = 'Vessel';
export const inside = 'inside';
export const brim = 'to the brim';
export const filled = 'filled to';
export const cooked = 'cooked in it';
export const change = 'Change it';
export const whatCookedWeek = (name: string): string => `What is cooked in the ${name} in a week`;
export const week = 'litres per week';
export const noHobYetPot = 'There is no hob yet: a pot sheet asks for one, or add it here.';
export const hob = 'Hob';
export const burns = 'burns';
export const intoPot = 'into the pot';
export const cookedInline = 'cooked on it';
export const underStrongHood = ', under a strong hood';
export const kwBare = (kw: string): string => `${kw} kW`;
export const changeName = (name: string): string => `Change ${name}`;
export const changeHeading = 'Change';
export const archiveNamed = (name: string): string => `Archive ${name}`;
export const archive = 'Archive';
