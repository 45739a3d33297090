'use client';

import Button from 'react-bootstrap/Button';
import type { LiveBatch } from './use-batch-estimate';
import * as texts from './texts';

/** The heat goes off for good: the clock of cooling starts. */
export const HeatOff = ({ tell }: Pick<LiveBatch, 'tell'>) => (
  <Button size="lg" variant="outline-primary" onClick={() => void tell({ is: 'off' })}>
    {texts.heatOff}
  </Button>
);
