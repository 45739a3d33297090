'use client';

import type { ElementType, ReactNode } from 'react';
import Card from 'react-bootstrap/Card';

interface Props {
  readonly children: ReactNode;
  readonly as?: ElementType;
  readonly className?: string;
  readonly 'aria-label'?: string;
  readonly 'aria-labelledby'?: string;
}

/** What stands beside the work or answers it: a brighter sheet under a heavy line. */
export const Panel = ({ children, as = 'aside', ...card }: Props) => (
  <Card as={as} {...card}>
    <Card.Body>{children}</Card.Body>
  </Card>
);
