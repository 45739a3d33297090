'use client';

import Button from 'react-bootstrap/Button';
import type { Following } from './use-following';

/** The heat goes off for good: the clock of cooling starts. */
export const HeatOff = ({ tell }: Pick<Following, 'tell'>) => (
  <Button size="lg" variant="outline-primary" onClick={() => void tell({ is: 'off' })}>
    Heat off
  </Button>
);
