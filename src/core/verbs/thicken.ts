import { joinForm, joining } from './joining';

/** Roux, kneaded butter, slurry: joins the liquid, its fat held and its flour or starch binding. */
export const thicken = joining('thicken', [joinForm('thicken')], {
  called: 'Thicken',
  holdsFat: true,
  intoLiquid: true,
  seasons: false,
  filling: 'no',
});
