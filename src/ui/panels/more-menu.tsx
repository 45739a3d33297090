'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import Dropdown from 'react-bootstrap/Dropdown';
import * as texts from './texts';

/** Actions on the thing a page shows that are used less often. The few usual ones are buttons beside it. */
export const MoreMenu = ({ children }: { readonly children: ReactNode }) => (
  <Dropdown>
    <Dropdown.Toggle variant="plain" size="sm">
      {texts.more}
    </Dropdown.Toggle>
    <Dropdown.Menu>{children}</Dropdown.Menu>
  </Dropdown>
);

/** An action in the menu. */
export const MoreAction = ({
  act,
  disabled = false,
  children,
}: {
  readonly act: () => void;
  readonly disabled?: boolean;
  readonly children: ReactNode;
}) => (
  <Dropdown.Item as="button" type="button" onClick={act} disabled={disabled}>
    {children}
  </Dropdown.Item>
);

/** A page in the menu. */
export const MoreLink = ({ href, children }: { readonly href: string; readonly children: ReactNode }) => (
  <Dropdown.Item as={Link} prefetch={false} href={href}>
    {children}
  </Dropdown.Item>
);

/** Parts what takes something away from the rest. */
export const MoreDivider = () => <Dropdown.Divider />;
