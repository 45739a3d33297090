import { createConnection } from 'mysql2/promise';

/** Thrown when the database has stopped answering, frozen or gone behind a wire that still stands: nobody waits for it any longer. */
export class UnresponsiveError extends Error {
  constructor() {
    super('the database does not answer');
  }
}

/** ms of waiting for a statement after which the database is asked whether it is there; and ms that it has to say so. */
const WONDER_MS = 1500;
const SAY_MS = 1500;

const addresses = new WeakMap<object, string>();

/** Says at which address a pool or connection stands, so that it can be asked there whether anybody is alive. */
export const rememberAddress = (sql: object, url: string): void => {
  addresses.set(sql, url);
};

/** Address of a pool, or of a connection of one. */
const addressOf = (sql: object): string | undefined =>
  addresses.get(sql) ?? addresses.get((sql as { connection?: object }).connection ?? sql);

/** What is under way at each address: many who wonder at once ask once. */
const asking = new Map<string, Promise<boolean>>();

/** Whether the database at an address answers at all, on a connection of its own. */
export function isResponsive(url: string): Promise<boolean> {
  const known = asking.get(url);
  if (known) return known;
  const asked = ask(url).finally(() => asking.delete(url));
  asking.set(url, asked);
  return asked;
}

async function ask(url: string): Promise<boolean> {
  const connecting = createConnection({ uri: url, connectTimeout: 10 * SAY_MS });
  const said = connecting.then(async (connection) => {
    try {
      await connection.query('SELECT 1');
      return true;
    } finally {
      connection.destroy();
    }
  });
  return Promise.race([said.catch(() => false), awake(SAY_MS).then(() => false)]);
}

/** ms between looks at what has arrived. */
const LOOK_MS = 100;

/**
 * Over when this process has been awake for so many ms. While it works on something else it reads nothing that has arrived: that time is
 * its own silence, not the database's, and a clock alone would run out before the answer that lies there is looked at.
 */
async function awake(ms: number): Promise<void> {
  for (let left = ms; left > 0; left -= LOOK_MS)
    await new Promise((done) => {
      setTimeout(done, LOOK_MS).unref();
    });
}

/**
 * What a statement comes to; or, while the database says nothing at all, not even that it is there, a `SilentError` within
 * three seconds. A statement that only takes long is waited for: the database's own limit ends it.
 */
export function withWatchdog<T>(sql: object, asked: Promise<T>): Promise<T> {
  const url = addressOf(sql);
  if (url === undefined) return asked;
  return new Promise<T>((resolve, reject) => {
    let over = false;
    let timer: NodeJS.Timeout | undefined;
    const wonder = (): void => {
      timer = setTimeout(() => {
        void isResponsive(url).then((there) => {
          if (over) return;
          if (there) wonder();
          else reject(new UnresponsiveError());
        });
      }, WONDER_MS);
      timer.unref();
    };
    wonder();
    void asked.then(resolve, reject).finally(() => {
      over = true;
      clearTimeout(timer);
    });
  });
}
