import { joinForm, joining } from './joining';

/** Roux, kneaded butter, slurry: joins the liquid, its fat held and its flour or starch binding. */
export const thicken = joining(
  'thicken',
  [joinForm('thicken')],
  {
    called: 'Thicken',
    holdsFat: true,
    intoLiquid: true,
    seasons: false,
    filling: 'no',
  },
  [
    {
      form: '(thicken|bind|liaise) [it] with <amount> [of] <matter>',
      means: ({ matter, amount }) => ({ do: 'thicken', of: matter, amount }),
    },
  ],
);
