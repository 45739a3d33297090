import { body, nameOf, putIn, trouble } from '../../pot';
import { bandForm, bodies, gramsTo, toBand } from './to-band';

/** Thickens to the middle of a band, as much as that takes. */
export const thickenTo = toBand('thicken to', [bandForm('thicken to')], 'Thicken', (pot, step, c, report) => {
  const { middle } = bodies(c, step.band);
  const now = body(pot, c);
  if (now >= middle)
    return trouble(
      'already-thicker',
      `Thicken to ${step.band} (body ${middle.toFixed(2)}): the pot already stands at ${now.toFixed(2)}; loosen it instead.`,
      middle,
      now,
    );
  const g = gramsTo(pot, step.what, middle, c, true);
  if (g === undefined)
    return trouble(
      'binds-too-little',
      `Thicken to ${step.band} (body ${middle.toFixed(2)}) with ${nameOf(step.what)}: however much goes in, it would not get there from ${now.toFixed(2)}.`,
      middle,
      now,
    );
  putIn(pot, step.what, g, c, report, true);
  return undefined;
});
