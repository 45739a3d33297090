import { joinForm, joining } from './joining';

/** Cream, yolk, cheese: joins the liquid, its fat held. */
export const enrich = joining(
  'enrich',
  [joinForm('enrich')],
  {
    called: 'Enrich',
    holdsFat: true,
    intoLiquid: true,
    seasons: false,
    filling: 'no',
  },
  [
    {
      form: '(enrich|finish) [it] with <amount> [of] <matter>',
      means: ({ matter, amount }) => ({ do: 'enrich', of: matter, amount }),
    },
  ],
);
