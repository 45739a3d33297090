import type { ReactNode } from 'react';
import { HouseNav } from '@/features/house/house-nav';

export default function House({ children }: { children: ReactNode }) {
  return (
    <>
      <HouseNav />
      {children}
    </>
  );
}
