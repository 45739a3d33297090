'use client';

import Alert from 'react-bootstrap/Alert';
import { useHydrated } from '../forms/use-hydrated';

/** Where a page came by plain http from another machine: what a browser does not let it do there. */
export function PlainHttp() {
  if (!useHydrated() || window.isSecureContext) return null;
  return (
    <Alert variant="warning" className="mb-2">
      This address is plain http. What you type travels readable through the network, and the browser lets no
      page from here keep the screen awake, be opened without a connection or use the camera: for that the
      kitchen is opened by https.
    </Alert>
  );
}
