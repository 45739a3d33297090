import { build, mustBeFree } from '../app';
import { startInstance } from '../instance';
import { placeOf } from '../place';
import { endLeftover, takePlace } from '../processes';
import { say } from '../stop';
import { untilStopped, whereFrom } from './demo';

/** Beside the demo's, so that both can run. */
const PORT = 4280;

/** `halfpot start`: the kitchen that is kept. It stands in a place of its own, which no demo touches. */
export async function startKitchen(args: readonly string[]): Promise<number> {
  const { port, origin } = whereFrom(args, PORT);
  const place = placeOf('kitchen');
  takePlace(place, 'start');
  await endLeftover(place, 'app', 'next');
  await mustBeFree(port);
  build();
  const instance = await startInstance(place, { port, origin });
  process.stdout.write(`Half Pot is at ${instance.address}\n`);
  if (origin !== undefined) say(`It expects to be reached by ${origin}.`);
  if (instance.firstWord !== undefined)
    say(`There is no kitchen yet. Whoever begins it is asked for this word: ${instance.firstWord}`);
  const code = await untilStopped(instance);
  await instance.stop();
  return code;
}
