import 'server-only';
import { peopleOf, type Person } from '@/db/people';
import { database } from '@/server/database';
import { kitchenHere } from '@/server/session';

/** Who stands on the sign-in page. */
export async function peopleHere(): Promise<{ kitchen: string; people: Person[] }> {
  const kitchen = await kitchenHere();
  return { kitchen: kitchen.name, people: await peopleOf(database(), kitchen.id) };
}
