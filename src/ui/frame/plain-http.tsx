'use client';

import Alert from 'react-bootstrap/Alert';
import { useHydrated } from '../forms/use-hydrated';
import * as texts from './texts';

/** Where a page came by plain http from another machine: what a browser does not let it do there. */
export function PlainHttp() {
  if (!useHydrated() || window.isSecureContext) return null;
  return (
    <Alert variant="warning" className="mb-2">
      {texts.addressPlainHttpWhat}
    </Alert>
  );
}
