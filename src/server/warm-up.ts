import 'server-only';
import { firstKitchen } from '@/db/kitchen/read-kitchen';
import { database } from './database';
import { costedKitchen } from './kitchen';
import { log } from './log';

let begun = false;

/** Costs the kitchen of this database before anybody has opened a page, once in a process; anyone who asks meanwhile waits for the same. */
export async function warmUp(): Promise<void> {
  if (begun) return;
  begun = true;
  try {
    const kitchen = await firstKitchen(database());
    if (kitchen) await costedKitchen(kitchen.id);
  } catch (error) {
    // The first page works it out, or says what is wrong.
    log.warn({ err: error }, 'the kitchen was not worked out ahead');
  }
}
