/** What people read in stove/cooling. */

// cooling-curve.tsx
export const howCools = (words: string): string => `How it cools: ${words || 'nothing read yet'}`;

// cooling-now.tsx
export const cooling = 'Cooling';
export const heatOffSince = (clockIn: string, hours: string): string => `heat off since ${clockIn}, ${hours}`;
export const potsUsuallyCoolPut = 'as pots usually cool: put a probe in, and read it';
export const celsiusEightInTen = (figure: number, toCelsius: number): string =>
  `by the readings; ${figure} to ${toCelsius} °C (8 in 10)`;
export const kitchenNoCoolingLimit = 'This kitchen has no cooling limit yet.';
export const managerSetsHere = 'A manager sets it here.';
export const whatPeopleUsuallyDo =
  'What people usually do: spread it into trays no deeper than 5 cm or small tubs, stand them in ice water, and stir.';
export const recordPrint = 'Record to print';
export const cPastLimitHouse = (
  toC: number,
  by: string,
  readAt: string | undefined,
  planDecides: string,
): string =>
  `${toC} °C by ${by}: past the limit of this house${readAt === undefined ? ', and not measured there' : `, measured there only at ${readAt}`}. ${planDecides}`;
export const celsius = (toC: number): string => `${toC} °C`;
export const readWithBy = (by: string, clock: string): string => `by ${by}: read there at ${clock}.`;
export const by = 'by';
export const inText = (left: string, high: number, otherLeft: string, toLeft: string): string =>
  `in ${left}${high < Infinity ? `, ${otherLeft} to ${toLeft} (8 in 10)` : ''}`;
export const willNotGetWhere = 'it will not get there where it is';
export const tooLate = '; too late';
export const tooLate10 = (figure: number): string => `; too late in ${figure} of 10`;
export const whatAroundHardlyColder = '; what is around it is hardly colder';
export const whereCools = 'Where it cools';
export const cmDeepMoved = (to: string, depthCm: number): string =>
  `In the ${to}, ${depthCm} cm deep. Moved?`;
export const whereDoesCool = 'Where does it cool?';
export const howDeep = 'How deep it is';
export const cmDeep = (cm: number): string => `${cm} cm deep`;
export const reheating = 'Reheating';
export const heldHot = 'Held hot';
export const reheatingReheatedHeldHot = (is: string, hours: string): string =>
  `${is === 'reheating' ? 'reheated' : 'held hot'} for ${hours}`;
export const noReadingYet = 'no reading yet';
export const readLast = 'read last';
export const putProbeRead = 'put a probe in, and read it';
export const kitchenNoTemperatureLimit = 'This kitchen has no temperature limit for this yet.';

// cooling-record.tsx
export const coolingName = (name: string): string => `${name}: cooling`;
export const heatOffNotEntered = 'Heat off has not been entered yet.';
export const backBatch = 'Back to the batch';
export const heatOff = (day: string, clockIn: string): string => `; heat off ${day} at ${clockIn}.`;
export const print = 'Print';
export const limitsHouse = 'Limits of this house';
export const noneSet = 'None are set.';
export const cWithinNotRead = (
  toC: number,
  hours: string,
  clock: string,
  readAt: string | undefined,
): string =>
  `${toC} °C within ${hours}, by ${clock}: ${readAt === undefined ? 'not read there' : `read there at ${readAt}`}`;
export const pastLimit = ' – past the limit';
export const readings = 'Readings';
export const nothingYet = 'Nothing yet.';
export const at = 'at';
export const after = 'after';
export const c = '°C';
export const read = 'read by';
