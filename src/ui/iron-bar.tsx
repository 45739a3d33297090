'use client';

import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useHotkeys } from 'react-hotkeys-hook';
import { PotMark } from './pot-mark';
import { STATIONS } from './stations';

interface Props {
  readonly kitchen: string;
  readonly person: string;
  readonly role: string;
  readonly signOut: () => Promise<void>;
}

/** The bar every screen hangs from: the stations in the order of the work, and who is at work. */
export function IronBar({ kitchen, person, role, signOut }: Props) {
  const path = usePathname();
  const router = useRouter();
  const open = STATIONS.filter((s) => s.open);
  useHotkeys(
    open.map((s) => s.key),
    (event) => {
      const station = open.find((s) => s.key === event.key.toLowerCase());
      if (station) router.push(`/${station.id}`);
    },
    { useKey: true },
  );
  return (
    <header className="iron-bar">
      <Link prefetch={false} href="/" className="iron-name" title={`Half Pot at ${kitchen}`}>
        <PotMark /> Half Pot
      </Link>
      <nav aria-label="Stations, in the order of the work" style={{ display: 'contents' }}>
        <ol className="stations">
          {STATIONS.map((s) => (
            <li key={s.id}>
              {s.open ? (
                <Link
                  prefetch={false}
                  href={`/${s.id}`}
                  className={`station${path.startsWith(`/${s.id}`) ? ' station-here' : ''}`}
                  aria-current={path.startsWith(`/${s.id}`) ? 'page' : undefined}
                  aria-keyshortcuts={s.key}
                >
                  <span>
                    {s.name}
                    <kbd aria-hidden="true">{s.key.toUpperCase()}</kbd>
                  </span>
                </Link>
              ) : (
                <span className="station station-later" title="Not open yet">
                  {s.name}
                  <span className="visually-hidden">, not open yet</span>
                </span>
              )}
            </li>
          ))}
        </ol>
      </nav>
      <div className="at-work">
        <Link prefetch={false} href="/house" title="What holds for the whole kitchen">
          This kitchen
        </Link>
        <Link prefetch={false} href="/people" title="Who is in, and your password">
          {person}, {role}
        </Link>
        <form action={signOut}>
          <button type="submit">Sign out</button>
        </form>
      </div>
    </header>
  );
}
