import { v7 } from 'uuid';

/** What the door answered. */
export interface Answer {
  readonly ok: boolean;
  readonly code?: string;
  readonly message?: string;
}

export interface Person {
  /** Bytes of a page. */
  get(path: string): Promise<number>;
  /** Sends a write, once; throws where nobody answers. */
  ask(kind: string, seen: number, body: object): Promise<Answer>;
  /** The same; throws where it is refused. */
  send(kind: string, seen: number, body: object): Promise<void>;
}

/** What a browser carries that has opened the demo. */
export async function cookieOf(address: string): Promise<string> {
  const signedIn = await fetch(`${address}/sign-in/demo`, { redirect: 'manual' });
  return signedIn.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
}

/** A person at the application: signed in, reading pages and sending commands. */
export async function person(address: string): Promise<Person> {
  const cookie = await cookieOf(address);
  const ask = async (kind: string, seen: number, body: object): Promise<Answer> => {
    const answer = await fetch(`${address}/command`, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json', origin: address },
      body: JSON.stringify({ commandId: v7(), kind, kindVersion: 1, seen, body }),
    });
    return (await answer.json()) as Answer;
  };
  return {
    async get(path) {
      const answer = await fetch(address + path, { headers: { cookie, accept: 'text/html' } });
      const bytes = (await answer.arrayBuffer()).byteLength;
      if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
      return bytes;
    },
    ask,
    async send(kind, seen, body) {
      const reply = await ask(kind, seen, body);
      if (!reply.ok) throw new Error(`${kind} was refused: ${reply.message ?? ''}`);
    },
  };
}
