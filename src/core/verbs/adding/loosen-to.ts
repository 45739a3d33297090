import { body, kilos, liquidG, nameOf, putIn, trouble } from '../../pot';
import { bandForm, bodies, gramsTo, MOST_TIMES, toBand } from './to-band';

/** Loosens to the nearer edge of a band: from above it, the upper one. */
export const loosenTo = toBand('loosen to', [bandForm('loosen to')], 'Loosen', (pot, step, c, report) => {
  const { high } = bodies(c, step.band);
  const now = body(pot, c);
  if (now <= high)
    return trouble(
      'already-looser',
      `Loosen to ${step.band} (body ${high.toFixed(2)} at most): the pot already stands at ${now.toFixed(2)}.`,
      high,
      now,
    );
  const g = gramsTo(pot, step.what, high, c, false);
  if (g === undefined)
    return trouble(
      'loosens-too-little',
      `Loosen to ${step.band} (body ${high.toFixed(2)}) with ${nameOf(step.what)}: ${kilos(liquidG(pot.liquid) * MOST_TIMES)} would not get there from ${now.toFixed(2)}.`,
      high,
      now,
    );
  putIn(pot, step.what, g, c, report);
  return undefined;
});
