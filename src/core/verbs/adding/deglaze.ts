import { asks } from '../../said';
import { add } from './add';
import { spirits } from '../cautions';
import { joinForm, joining, type JoinStep, type WrittenJoin } from './joining';
import type { Verb } from '../verb';

const joins = joining(
  'deglaze',
  [joinForm('deglaze')],
  {
    called: 'Deglaze',
    holdsFat: false,
    intoLiquid: false,
    seasons: false,
    filling: 'adds',
  },
  [
    {
      form: '(deglaze|déglacer|swill) [(it|the pan|the tray)] with <amount> [of] <matter>',
      means: ({ matter, amount }) => ({ do: 'deglaze', of: matter, amount }),
    },
    {
      form: '(deglaze|déglacer) [(it|the pan)] with <matter>',
      means: ({ called }) =>
        asks(`How much ${called}?`, `deglaze with 200 ml ${called}`, `deglaze with 1 l ${called}`),
    },
  ],
);

/** What lifts the pan's sediment comes in like anything else. */
export const deglaze: Verb<WrittenJoin<'deglaze'>, JoinStep<'deglaze'>> = {
  ...joins,
  run: (pot, step, c, report) => add.run(pot, { ...step, do: 'add' }, c, report),
  caution: (row) => spirits(row),
};
