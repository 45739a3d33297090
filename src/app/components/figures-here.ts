import 'server-only';
import { frame } from '@/features/people/queries';
import { todayIn } from '@/server/kitchen';
import type { Worker } from '@/server/session';
import { formattersFor, type Formatters } from '@/ui/formatters';

/** How this kitchen writes figures, for what is made on the server: papers. */
export async function figuresHere(who: Worker): Promise<Formatters> {
  const [{ locale, currency, shownIn }, today] = await Promise.all([frame(who), todayIn(who.kitchenId)]);
  return formattersFor({ locale, currency, today, shownIn });
}
