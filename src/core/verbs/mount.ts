import { joinForm, joining } from './joining';

/** Butter whisked in off the heat: its fat is held and does not float. */
export const mount = joining('mount', [joinForm('mount')], {
  called: 'Mount',
  holdsFat: true,
  intoLiquid: true,
  seasons: false,
  filling: 'no',
});
