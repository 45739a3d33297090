'use client';

import type { ReactNode } from 'react';
import Offcanvas from 'react-bootstrap/Offcanvas';
import * as texts from './texts';

interface Props {
  readonly title: string;
  readonly open: boolean;
  readonly close: () => void;
  readonly children: ReactNode;
}

/** Something asked or shown beside the work, which stays where it is meanwhile. */
export const SidePanel = ({ title, open, close, children }: Props) => (
  <Offcanvas show={open} onHide={close} placement="end" aria-labelledby="side-title">
    <Offcanvas.Header closeButton closeLabel={texts.close}>
      <Offcanvas.Title id="side-title" as="h2" className="fs-4">
        {title}
      </Offcanvas.Title>
    </Offcanvas.Header>
    <Offcanvas.Body>{children}</Offcanvas.Body>
  </Offcanvas>
);
