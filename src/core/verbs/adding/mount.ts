import { joinForm, joining } from './joining';

/** Butter whisked in off the heat: its fat is held and does not float. */
export const mount = joining(
  'mount',
  [joinForm('mount')],
  {
    called: 'Mount',
    holdsFat: true,
    intoLiquid: true,
    lets: true,
    seasons: false,
    filling: 'no',
  },
  [
    {
      form: '(whisk|beat|swirl) <amount> [of] <matter> in',
      means: ({ matter, amount }) => ({ do: 'mount', of: matter, amount }),
    },
    {
      form: '(mount|montez|monter|whisk|beat|swirl) [(it|in|up)] [(in|with)] <amount> [of] <matter>',
      means: ({ matter, amount }) => ({ do: 'mount', of: matter, amount }),
    },
  ],
);
