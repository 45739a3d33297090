import type { ReactNode } from 'react';
import { TrimNav } from '@/features/trim/trim-nav';

export default function TrimLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <TrimNav />
      {children}
    </>
  );
}
