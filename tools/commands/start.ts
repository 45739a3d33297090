import { build, mustBeFree } from '../app';
import { startInstance } from '../instance';
import { placeOf } from '../place';
import { endLeftover, takePlace } from '../processes';
import { say, sentenceFor } from '../stop';
import { backUp, backupsIn } from '../backup/backup';
import { isDue } from '../backup/keep';
import { backupsOf } from './backup';
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
  const nights = everyNight(instance.databaseUrl, backupsOf(place));
  const code = await untilStopped(instance);
  clearInterval(nights);
  await instance.stop();
  return code;
}

/** ms between two looks at whether a backup is due. */
const LOOK_MS = 10 * 60_000;

/** Backs the kitchen up every night, and at once where a night was missed. */
function everyNight(url: string, folder: string): NodeJS.Timeout {
  let busy = false;
  const look = async (): Promise<void> => {
    const last = backupsIn(folder).sort((a, b) => b.at.getTime() - a.at.getTime())[0]?.at;
    if (busy || !isDue(last, new Date())) return;
    busy = true;
    await backUp(url, folder, new Date())
      .then((made) => say(`Backed up to ${made.file}.`))
      // No kitchen yet, or a full disk: the screen says how old the last one is.
      .catch((error: unknown) => say(sentenceFor(error) ?? String(error)));
    busy = false;
  };
  void look();
  return setInterval(() => void look(), LOOK_MS);
}
