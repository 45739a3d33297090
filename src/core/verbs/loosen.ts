import { joinForm, joining } from './joining';

/** Milk, stock, cooking water: thins what is there. */
export const loosen = joining('loosen', [joinForm('loosen')], {
  called: 'Loosen',
  holdsFat: false,
  intoLiquid: true,
  seasons: false,
  filling: 'adds',
});
