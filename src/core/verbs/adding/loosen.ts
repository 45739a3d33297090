import { joinForm, joining } from './joining';

/** Milk, stock, cooking water: thins what is there. */
export const loosen = joining(
  'loosen',
  [joinForm('loosen')],
  {
    called: 'Loosen',
    holdsFat: false,
    intoLiquid: true,
    seasons: false,
    filling: 'adds',
  },
  [
    {
      form: '(loosen|thin|let down|thin down|lengthen) [(it|out)] with <amount> [of] <matter>',
      means: ({ matter, amount }) => ({ do: 'loosen', of: matter, amount }),
    },
  ],
);
