import 'server-only';
import { clockIn, dayIn } from '@/core/day';
import { devicesOf } from '@/db/people/devices';
import { allPeople, peopleToSignIn, type Person, type PersonRole } from '@/db/people/people';
import { kitchenWords } from '@/db/kitchen/read-kitchen';
import { database } from '@/server/database';
import { refusals, signedInWhere, type WhyRefused } from '@/db/people/sign-ins';
import { now } from '@/server/clock';
import { currentKitchen, may, roleWords, currentDevice, type Worker } from '@/server/session';
import * as texts from './texts';

/** Who stands on the sign-in page. */
export async function peopleHere(): Promise<{ kitchen: string; people: Person[] }> {
  const kitchen = await currentKitchen();
  return { kitchen: kitchen.name, people: await peopleToSignIn(database(), kitchen.id) };
}

/** What stands around every page: the kitchen's name, and how its figures are written. */
export const frame = (who: Worker): ReturnType<typeof kitchenWords> =>
  kitchenWords(database(), who.kitchenId);

/** A place where somebody is signed in. Times as the kitchen's clock shows them. */
export interface SignedInRow {
  readonly id: string;
  readonly name: string;
  readonly where: string;
  readonly byPin: boolean;
  readonly since: string;
  readonly seen: string;
  /** Whether it is the one this page was asked for with. */
  readonly here: boolean;
}

export interface DeviceRow {
  readonly id: string;
  readonly name: string;
  readonly since: string;
  readonly by: string;
  readonly here: boolean;
}

export interface RefusalRow {
  readonly at: string;
  readonly name: string;
  readonly address: string;
  readonly byPin: boolean;
  readonly why: WhyRefused;
  readonly times: number;
}

/** Somebody who works here. */
export interface PersonRow {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly role: PersonRole;
  readonly hasPin: boolean;
  /** Day since which they are gone. */
  readonly left?: string | undefined;
}

/** Who is in: one's own places and password; for a manager everybody's, the devices, and what the door refused. */
export interface PeoplePage {
  readonly manager: boolean;
  /** Whether it is a manager whom a PIN let in: for a cook's work. */
  readonly byPin: boolean;
  readonly name: string;
  readonly signedIn: readonly SignedInRow[];
  readonly devices: readonly DeviceRow[];
  readonly refused: readonly RefusalRow[];
  /** Everybody who works here, and who has left: a manager's. */
  readonly people: readonly PersonRow[];
  /** What this device is called, if it is let in. */
  readonly thisDevice?: string | undefined;
}

export async function peoplePage(who: Worker): Promise<PeoplePage> {
  const { kitchenId, zone } = who;
  const manager = may(who.role, 'manager');
  const told = (at: Date): string => `${dayIn(zone, at)} ${clockIn(zone, at)}`;
  const [places, devices, refused, here, people] = await Promise.all([
    signedInWhere(database(), kitchenId, manager ? undefined : who.person.id, now()),
    manager ? devicesOf(database(), kitchenId) : [],
    manager ? refusals(database(), kitchenId) : [],
    currentDevice(kitchenId),
    manager ? allPeople(database(), kitchenId) : [],
  ]);
  return {
    manager,
    byPin: roleWords(who.role) !== who.person.role,
    name: who.person.name,
    signedIn: places.map((s) => ({
      id: s.id,
      name: s.name,
      where: [s.device ?? s.address, s.browser].filter((x) => x !== '').join(', '),
      byPin: s.byPin,
      since: told(s.beganAt),
      seen: told(s.seenAt),
      here: s.id === who.signedIn,
    })),
    devices: devices.map((d) => ({
      id: d.id,
      name: d.name,
      since: told(d.letInAt),
      by: d.by ?? 'somebody',
      here: d.id === here?.id,
    })),
    refused: refused.map(({ at, name, ...r }) => ({ ...r, at: told(at), name: name ?? texts.nameNobody })),
    people: people.map(({ leftAt, ...p }) => ({ ...p, left: leftAt ? dayIn(zone, leftAt) : undefined })),
    thisDevice: here?.name,
  };
}
