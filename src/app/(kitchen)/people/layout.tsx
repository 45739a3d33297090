import type { ReactNode } from 'react';
import { HouseNav } from '@/features/house/house-nav';

export default function People({ children }: { children: ReactNode }) {
  return (
    <>
      <HouseNav />
      {children}
    </>
  );
}
