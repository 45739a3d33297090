'use client';

import Link from 'next/link';
import * as texts from './texts';

export interface User {
  readonly name: string;
  readonly href: string;
}

/** Who uses a thing, each a link: the first few by name, the rest counted. */
export function UsedBy({
  by,
  lead,
  most = 5,
}: {
  readonly by: readonly User[];
  readonly lead: string;
  readonly most?: number;
}) {
  if (by.length === 0) return null;
  return (
    <>
      {lead}
      {by.slice(0, most).map((u, i) => (
        <span key={`${u.href} ${u.name}`}>
          {i > 0 && ', '}
          <Link prefetch={false} href={u.href}>
            {u.name}
          </Link>
        </span>
      ))}
      {by.length > most && texts.more(by.length - most)}
    </>
  );
}
