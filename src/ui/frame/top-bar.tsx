'use client';

import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Nav from 'react-bootstrap/Nav';
import Navbar from 'react-bootstrap/Navbar';
import { useHotkeys } from 'react-hotkeys-hook';
import { forgetPages } from '@/wire';
import { PotMark } from '../drawings/pot-mark';
import { leaveGuarded } from './unsaved-changes';
import { STATIONS } from './stations';
import * as texts from './texts';

interface Props {
  readonly kitchen: string;
  readonly person: string;
  readonly role: string;
  /** Whether the role is less than the person's own, because a PIN has opened. */
  readonly byPin: boolean;
  readonly signOut: () => Promise<void>;
  /** How it stands with what was typed: in sight also where the bar is folded. */
  readonly kept?: ReactNode;
  /** What is at hand on every screen. */
  readonly tools?: ReactNode;
}

/** Stations that work: what is not open yet takes no room. */
const OPEN = STATIONS.filter((s) => s.open);

/** The bar every screen hangs from: the stations in the order of the work, and who is at work. */
export function TopBar({ kitchen, person, role, byPin, signOut, tools, kept }: Props) {
  const router = useRouter();
  useHotkeys(
    OPEN.map((s) => s.key),
    (event) => {
      const station = OPEN.find((s) => s.key === event.key.toLowerCase());
      if (station) leaveGuarded(() => router.push(`/${station.id}`));
    },
    { useKey: true },
  );
  return (
    <Navbar as="header" role="banner" expand="md" collapseOnSelect className="iron-bar" data-bs-theme="dark">
      <a href="#work" className="visually-hidden-focusable btn btn-light position-absolute m-1">
        {texts.skipContent}
      </a>
      <Link
        prefetch={false}
        href="/"
        className="navbar-brand d-flex align-items-center gap-2"
        title={texts.halfPot(kitchen)}
      >
        <PotMark /> {texts.productName}
      </Link>
      {kept}
      <Navbar.Toggle aria-controls="stations" label={texts.stations} />
      <Navbar.Collapse id="stations">
        <nav aria-label={texts.stations}>
          <Nav as="ul">
            {OPEN.map((s) => (
              <Nav.Item as="li" key={s.id}>
                <StationLink station={s} />
              </Nav.Item>
            ))}
          </Nav>
        </nav>
        <div className="at-work d-flex flex-wrap align-items-center gap-3 py-1">
          {tools}
          <Link prefetch={false} href="/house" title={texts.settingsWholeKitchen}>
            {texts.kitchen}
          </Link>
          <Link
            prefetch={false}
            href="/people"
            title={byPin ? texts.pinAllowsCooksWork : texts.whoSignedYourPassword}
          >
            {person}, {role}
            {byPin && texts.pin}
          </Link>
          <SignOut act={signOut} />
        </div>
      </Navbar.Collapse>
    </Navbar>
  );
}

const SignOut = ({ act }: { readonly act: () => Promise<void> }) => (
  <form action={act} onSubmit={() => void forgetPages()}>
    <Button type="submit" variant="outline-light" size="sm">
      {texts.signOut}
    </Button>
  </form>
);

function StationLink({ station: s }: { readonly station: (typeof OPEN)[number] }) {
  const path = usePathname();
  const here = path === `/${s.id}` || path.startsWith(`/${s.id}/`);
  return (
    <Nav.Link
      as={Link}
      prefetch={false}
      href={`/${s.id}`}
      active={here}
      aria-current={here ? 'page' : undefined}
      aria-keyshortcuts={s.key}
    >
      {s.name}
      <kbd aria-hidden="true">{s.key.toUpperCase()}</kbd>
    </Nav.Link>
  );
}
