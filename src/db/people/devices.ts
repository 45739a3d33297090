import { z } from 'zod';
import { many, maybeOne, run, type Sql } from '../sql';

const Device = z.object({
  id: z.string(),
  name: z.string(),
  letInAt: z.date(),
  by: z.string().nullable(),
});
export type Device = z.infer<typeof Device>;

/** Devices a manager has let in: on these a PIN opens. */
export const devicesOf = (sql: Sql, kitchenId: string): Promise<Device[]> =>
  many(
    sql,
    Device,
    `SELECT d.id, d.name, d.let_in_at AS letInAt, p.name AS \`by\`
       FROM device d LEFT JOIN person p ON p.kitchen_id = d.kitchen_id AND p.id = d.let_in_by
      WHERE d.kitchen_id = ? AND d.ended_at IS NULL ORDER BY d.name, d.id`,
    [kitchenId],
  );

/** A device that is let in; undefined where it never was or has been ended. */
export const deviceOf = (
  sql: Sql,
  kitchenId: string,
  id: string,
): Promise<{ id: string; name: string } | undefined> =>
  maybeOne(
    sql,
    z.object({ id: z.string(), name: z.string() }),
    'SELECT id, name FROM device WHERE kitchen_id = ? AND id = ? AND ended_at IS NULL',
    [kitchenId, id],
  );

export async function insertDevice(
  sql: Sql,
  kitchenId: string,
  device: { readonly id: string; readonly name: string; readonly by: string },
  at: Date,
): Promise<void> {
  await run(sql, 'INSERT INTO device (kitchen_id, id, name, let_in_by, let_in_at) VALUES (?,?,?,?,?)', [
    kitchenId,
    device.id,
    device.name,
    device.by,
    at,
  ]);
}

/** Revokes a device, and signs out everybody who is signed in on it by PIN. */
export async function revokeDevice(sql: Sql, kitchenId: string, id: string, at: Date): Promise<void> {
  await run(sql, 'UPDATE device SET ended_at = ? WHERE kitchen_id = ? AND id = ? AND ended_at IS NULL', [
    at,
    kitchenId,
    id,
  ]);
  await run(
    sql,
    'UPDATE signed_in SET ended_at = ? WHERE kitchen_id = ? AND device_id = ? AND by_pin = 1 AND ended_at IS NULL',
    [at, kitchenId, id],
  );
}
