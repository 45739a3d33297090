'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import Nav from 'react-bootstrap/Nav';

/** The pages of one station; the first one's address is the station's own, and counts for everything below it. */
export function StationNav({
  label,
  pages,
}: {
  readonly label: string;
  readonly pages: readonly (readonly [href: string, name: string])[];
}) {
  const path = usePathname();
  const here = pages.findLast(([href]) => path === href || path.startsWith(`${href}/`))?.[0];
  return (
    <Nav as="nav" variant="underline" aria-label={label} className="station-nav">
      {pages.map(([href, name]) => (
        <Nav.Link
          as={Link}
          prefetch={false}
          key={href}
          href={href}
          active={here === href}
          aria-current={here === href ? 'page' : undefined}
        >
          {name}
        </Nav.Link>
      ))}
    </Nav>
  );
}
