import type { ReactNode } from 'react';
import { WeighNav } from '@/features/weigh/weigh-nav';

export default function WeighLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <WeighNav />
      {children}
    </>
  );
}
