import type { ReactNode } from 'react';
import { PourNav } from '@/features/pour/pour-nav';

export default function PourLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <PourNav />
      {children}
    </>
  );
}
