import { joinForm, joining } from './joining';

/** Salt and what else goes in by the pinch, for taste. */
export const season = joining(
  'season',
  [joinForm('season')],
  {
    called: 'Season',
    holdsFat: false,
    intoLiquid: false,
    seasons: true,
    filling: 'no',
  },
  [
    {
      form: '(season|salt) [(it|well)] with <amount> [of] <matter>',
      means: ({ matter, amount }) => ({ do: 'season', of: matter, amount }),
    },
  ],
);
