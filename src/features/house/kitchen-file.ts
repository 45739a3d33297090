import 'server-only';
import { dayIn } from '@/core/day';
import { newestSchema } from '@/db/migrate';
import { readKitchenFrom, readWithHistory } from '@/db/kitchen/read-kitchen';
import { now } from '@/server/clock';
import { database } from '@/server/database';
import { inSnapshot } from '@/db/sql';
import { may, currentWorker } from '@/server/session';

/**
 * The kitchen as a file, for a manager; for anybody else nothing.
 * @param withHistory with all that has happened to it
 */
export async function kitchenFile(
  withHistory: boolean,
): Promise<{ readonly name: string; readonly text: string } | undefined> {
  const who = await currentWorker();
  if (!who || !may(who.role, 'manager')) return undefined;
  const file = await inSnapshot(database(), async (sql) =>
    withHistory
      ? readWithHistory(sql, who.kitchenId, newestSchema())
      : (await readKitchenFrom(sql, who.kitchenId)).file,
  );
  const plain = file.kitchen.name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return {
    name: `${plain || 'kitchen'}-${withHistory ? 'history-' : ''}${dayIn(who.zone, now())}.json`,
    text: `${JSON.stringify(file, null, 1)}\n`,
  };
}
