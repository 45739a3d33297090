import 'server-only';
import { headers } from 'next/headers';
import { newId } from '@/db/mapping/ids';
import { beginSignedIn } from '@/db/people/sign-ins';
import { now } from './clock';
import { database } from './database';
import { session, currentDevice } from './session';
import * as texts from './texts';

/** Where somebody knocks from. */
export interface ClientInfo {
  readonly address: string;
  readonly browser: string;
  /** The device, where a manager has let it in. */
  readonly deviceId?: string | undefined;
}

/** What may come from outside is cut to what is kept. */
export async function clientInfo(kitchenId: string): Promise<ClientInfo> {
  const head = await headers();
  const address = (head.get('x-forwarded-for') ?? '').split(',')[0]?.trim() ?? '';
  return {
    address: /^[0-9a-fA-F.:]{2,45}$/.test(address) ? address : 'unknown',
    browser: browserOf(head.get('user-agent') ?? ''),
    deviceId: (await currentDevice(kitchenId))?.id,
  };
}

/** A browser and what it runs on, in two words. */
function browserOf(agent: string): string {
  const browser =
    /\b(Firefox|Edg|OPR)\b/.exec(agent)?.[1] ?? /(Chrome|Safari)\b/.exec(agent)?.[1] ?? texts.browser;
  const on = /\b(Android|iPad|iPhone|Windows|Mac OS X|Linux)\b/.exec(agent)?.[1];
  const names: Readonly<Record<string, string>> = { Edg: 'Edge', OPR: 'Opera', 'Mac OS X': 'Mac' };
  const plain = (word: string): string => names[word] ?? word;
  return on ? texts.on(plain(browser), plain(on)) : plain(browser);
}

/** Somebody who has proved who they are. */
export interface Authenticated {
  readonly personId: string;
  readonly byPin: boolean;
}

/** Signs somebody in who has been let in. */
export async function startSession(
  kitchenId: string,
  { personId, byPin }: Authenticated,
  where: ClientInfo,
): Promise<void> {
  const id = newId();
  const { address, browser, deviceId } = where;
  await beginSignedIn(
    database(),
    kitchenId,
    { id, personId, byPin, address, browser, deviceId: deviceId ?? null },
    now(),
  );
  const here = await session();
  here.kitchenId = kitchenId;
  here.id = id;
  await here.save();
}
