import 'server-only';
import { peopleOf, type Person } from '@/db/people';
import { kitchenWords } from '@/db/read-kitchen';
import { database } from '@/server/database';
import { kitchenHere, type Worker } from '@/server/session';

/** Who stands on the sign-in page. */
export async function peopleHere(): Promise<{ kitchen: string; people: Person[] }> {
  const kitchen = await kitchenHere();
  return { kitchen: kitchen.name, people: await peopleOf(database(), kitchen.id) };
}

/** What stands around every page: the kitchen's name, and how its figures are written. */
export const frame = (who: Worker): ReturnType<typeof kitchenWords> =>
  kitchenWords(database(), who.kitchenId);
