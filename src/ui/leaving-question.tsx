'use client';

import Button from 'react-bootstrap/Button';
import { SidePanel } from './side-panel';

interface Props {
  readonly stay: () => void;
  readonly leave: () => void;
}

/** Whether what is typed is left behind. */
export const LeavingQuestion = ({ stay, leave }: Props) => (
  <SidePanel title="Something typed here is not kept" open close={stay}>
    <p>It would be lost on the way to another page.</p>
    <div className="d-flex gap-2">
      <Button onClick={stay} autoFocus>
        Stay here
      </Button>
      <Button variant="plain" onClick={leave}>
        Leave without it
      </Button>
    </div>
  </SidePanel>
);
