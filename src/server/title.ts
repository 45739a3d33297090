import 'server-only';
import type { Metadata } from 'next';
import { standingKitchen } from './kitchen';
import { requireWorker } from './session';

/** A page of one thing is called by that thing's own name: a dozen open tabs are told apart. */
export const titledBy =
  (list: 'recipes' | 'plates' | 'ingredients', otherwise: string) =>
  async ({ params }: { readonly params: Promise<{ readonly id: string }> }): Promise<Metadata> => {
    const [who, { id }] = [await requireWorker(), await params];
    const { state } = await standingKitchen(who.kitchenId);
    return {
      title:
        (state[list] as readonly { id: string; name: string }[]).find((x) => x.id === id)?.name ?? otherwise,
    };
  };
