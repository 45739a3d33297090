'use client';

import Button from 'react-bootstrap/Button';
import { SidePanel } from '../panels/side-panel';
import * as texts from './texts';

interface Props {
  readonly stay: () => void;
  readonly leave: () => void;
}

/** Whether what is typed is left behind. */
export const LeaveDialog = ({ stay, leave }: Props) => (
  <SidePanel title={texts.unsavedChanges} open close={stay}>
    <p>{texts.willLostIfYou}</p>
    <div className="d-flex gap-2">
      <Button onClick={stay} autoFocus>
        {texts.stayHere}
      </Button>
      <Button variant="plain" onClick={leave}>
        {texts.leaveWithoutSaving}
      </Button>
    </div>
  </SidePanel>
);
