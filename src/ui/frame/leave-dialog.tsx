'use client';

import Button from 'react-bootstrap/Button';
import { SidePanel } from '../panels/side-panel';

interface Props {
  readonly stay: () => void;
  readonly leave: () => void;
}

/** Whether what is typed is left behind. */
export const LeaveDialog = ({ stay, leave }: Props) => (
  <SidePanel title="Unsaved changes" open close={stay}>
    <p>It will be lost if you leave this page.</p>
    <div className="d-flex gap-2">
      <Button onClick={stay} autoFocus>
        Stay here
      </Button>
      <Button variant="plain" onClick={leave}>
        Leave without saving
      </Button>
    </div>
  </SidePanel>
);
