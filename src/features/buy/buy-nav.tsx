'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';

const PAGES = [
  ['/buy', 'Price book'],
  ['/buy/purchases', 'Purchases'],
  ['/buy/lists', 'Price lists'],
  ['/buy/larder', 'Larder'],
] as const;

/** The pages of the buying station. */
export function BuyNav() {
  const path = usePathname();
  const here = PAGES.findLast(([href]) => path === href || path.startsWith(`${href}/`))?.[0];
  return (
    <nav aria-label="Buying" className="buy-nav">
      {PAGES.map(([href, name]) => (
        <Link key={href} href={href} aria-current={here === href ? 'page' : undefined}>
          {name}
        </Link>
      ))}
    </nav>
  );
}
