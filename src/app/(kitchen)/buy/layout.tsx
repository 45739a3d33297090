import type { ReactNode } from 'react';
import { BuyNav } from '@/features/buy/buy-nav';

export default function BuyLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <BuyNav />
      {children}
    </>
  );
}
