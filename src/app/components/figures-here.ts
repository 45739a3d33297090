import 'server-only';
import { frame } from '@/features/people/queries';
import { todayIn } from '@/server/kitchen';
import type { Worker } from '@/server/session';
import { figuresFor, type Figures } from '@/ui/figure-words';

/** How this kitchen writes figures, for what is made on the server: papers. */
export async function figuresHere(who: Worker): Promise<Figures> {
  const [{ locale, currency, shownIn }, today] = await Promise.all([frame(who), todayIn(who.kitchenId)]);
  return figuresFor({ locale, currency, today, shownIn });
}
