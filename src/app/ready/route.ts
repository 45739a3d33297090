import { canBegin } from '@/features/house/first/service';
import { databaseAnswers } from '@/server/database';
import { freeMb, LEAST_MB } from '@/server/disk';
import { currentKitchen } from '@/server/session';

export const dynamic = 'force-dynamic';

/** Whether the application can do its work: its database answers, a kitchen is in it or can be begun, and there is room to write. */
export async function GET(): Promise<Response> {
  const database = await databaseAnswers();
  const kitchen =
    database &&
    (await currentKitchen().then(
      () => true,
      () => canBegin().catch(() => false),
    ));
  const disk = (await freeMb()) >= LEAST_MB;
  const ready = database && kitchen && disk;
  return Response.json({ ready, database, kitchen, disk }, { status: ready ? 200 : 503 });
}
