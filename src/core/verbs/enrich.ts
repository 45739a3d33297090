import { joinForm, joining } from './joining';

/** Cream, yolk, cheese: joins the liquid, its fat held. */
export const enrich = joining('enrich', [joinForm('enrich')], {
  called: 'Enrich',
  holdsFat: true,
  intoLiquid: true,
  seasons: false,
  filling: 'no',
});
