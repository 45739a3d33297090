import type { ReactNode } from 'react';
import { signOut } from '@/features/people/actions';
import { findIngredients } from '@/features/find/actions';
import { askWhy } from '@/features/why/actions';
import { costedKitchen } from '@/server/kitchen';
import { mustWork } from '@/server/session';
import { FindProvider } from '@/ui/choose';
import { FiguresProvider } from '@/ui/figures';
import { IronBar } from '@/ui/iron-bar';
import { WhyProvider } from '@/ui/why-panel';

export default async function KitchenLayout({ children }: { children: ReactNode }) {
  const who = await mustWork();
  const { kitchen } = (await costedKitchen(who.kitchenId)).costing.state;
  return (
    <FiguresProvider words={{ locale: kitchen.locale, currency: kitchen.currency }}>
      <WhyProvider ask={askWhy}>
        <IronBar kitchen={kitchen.name} person={who.person.name} role={who.role} signOut={signOut} />
        <FindProvider find={findIngredients}>
          <main>{children}</main>
        </FindProvider>
      </WhyProvider>
    </FiguresProvider>
  );
}
