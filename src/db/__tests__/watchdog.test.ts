import net from 'node:net';
import { once } from 'node:events';
import { z } from 'zod';
import { freshDatabase } from '../../../tests/helpers/test-database';
import { isResponsive, UnresponsiveError } from '../watchdog';
import { inSnapshot, inTransaction, many, openPool, run, type Pool } from '../sql';

/** A wire to the database that can fall silent, as the database does when it is frozen: what is sent is taken, and nothing comes back. */
async function wireTo(url: string) {
  const [to, real] = [new URL(url), new URL(url)];
  let silent = false;
  const held: (() => void)[] = [];
  const server = net.createServer((from) => {
    const db = net.connect(Number(real.port), real.hostname);
    const pass = (a: net.Socket, b: net.Socket): void => {
      a.on('data', (bytes) => {
        const send = () => b.write(bytes);
        if (silent) held.push(send);
        else send();
      });
      a.on('close', () => b.destroy());
      a.on('error', () => b.destroy());
    };
    pass(from, db);
    pass(db, from);
  });
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  to.port = String((server.address() as net.AddressInfo).port);
  return {
    url: to.href,
    freeze: () => (silent = true),
    thaw() {
      silent = false;
      for (const send of held.splice(0)) send();
    },
    close: () => server.close(),
  };
}

let drop: () => Promise<void>;
let wire: Awaited<ReturnType<typeof wireTo>>;
let pool: Pool;
beforeAll(async () => {
  const fresh = await freshDatabase();
  drop = fresh.drop;
  wire = await wireTo(fresh.url);
  pool = openPool(wire.url);
  await run(pool, 'CREATE TABLE kept (n INT PRIMARY KEY) ENGINE=InnoDB');
});
afterAll(async () => {
  await pool.end();
  wire.close();
  await drop();
});

const seconds = async (work: () => Promise<unknown>): Promise<number> => {
  const start = Date.now();
  await work();
  return (Date.now() - start) / 1000;
};

test('a database that falls silent is noticed within five seconds, inside a transaction too, and used again when it speaks', async () => {
  expect(await isResponsive(wire.url)).toBe(true);
  const took = await seconds(() =>
    expect(
      inTransaction(pool, async (sql) => {
        await run(sql, 'INSERT INTO kept VALUES (1)');
        wire.freeze();
        await run(sql, 'INSERT INTO kept VALUES (2)');
      }),
    ).rejects.toThrow(UnresponsiveError),
  );
  expect(took).toBeLessThan(5);
  // Anyone who comes now waits no longer, on a connection that stood and on one that would have to be made. What was on its way then may still
  // arrive when the database speaks again: it must not touch what is looked for.
  const late = 'DELETE FROM kept WHERE n = 1';
  const all = [1, 2, 3].map(() => expect(run(pool, late)).rejects.toThrow());
  expect(await seconds(() => Promise.all(all))).toBeLessThan(6);
  expect(await isResponsive(wire.url)).toBe(false);
  wire.thaw();
  expect(await isResponsive(wire.url)).toBe(true);
  expect(await run(pool, 'INSERT INTO kept VALUES (3)')).toBe(1);
  // What had been begun and never finished is not there.
  const kept = await inSnapshot(pool, (sql) => many(sql, z.object({ n: z.number() }), 'SELECT n FROM kept'));
  expect(kept).toEqual([{ n: 3 }]);
});

test('a process that is busy itself does not call the database silent', async () => {
  const asked = isResponsive(wire.url);
  const until = performance.now() + 2500;
  while (performance.now() < until);
  expect(await asked).toBe(true);
});

test('a statement that only takes long is waited for', async () => {
  expect(await seconds(() => run(pool, 'DO SLEEP(4)'))).toBeGreaterThan(3.9);
});

test('no statement runs for ever', async () => {
  await run(pool, 'INSERT INTO kept VALUES (4)');
  await expect(
    run(pool, 'SET STATEMENT max_statement_time=1 FOR DELETE FROM kept WHERE SLEEP(9) = 0'),
  ).rejects.toMatchObject({ errno: 1969 });
  const [[row]] = (await pool.query('SELECT @@max_statement_time AS s, @@sql_mode AS mode')) as unknown as [
    [{ s: number; mode: string }],
  ];
  expect(Number(row.s)).toBe(20);
  expect(row.mode).toContain('STRICT_ALL_TABLES');
});
