'use client';

import Alert from 'react-bootstrap/Alert';
import { useFormatters } from '@/ui/formatters-context';
import type { LastBackup } from '../backup';

/** A manager is told on every screen that the last backup is more than two days old, or that there is none. */
export function BackupNotice({ last }: { readonly last: LastBackup | undefined }) {
  const { day } = useFormatters();
  if (!last?.old) return null;
  return (
    <Alert variant="danger" role="status" className="no-print">
      {last.day === undefined
        ? 'There is no backup of this kitchen.'
        : `The last backup is of ${day(last.day)} ${last.clock ?? ''}, more than two days ago.`}{' '}
      The program makes one every night while it runs: is the disk full?
    </Alert>
  );
}

/** When the kitchen was backed up last. */
export function BackupLine({ last }: { readonly last: LastBackup | undefined }) {
  const { day } = useFormatters();
  if (!last) return null;
  return (
    <section aria-labelledby="backups" className="mt-4">
      <h2 id="backups">Backups</h2>
      <p>
        {last.day === undefined
          ? 'None yet: the first is made within ten minutes.'
          : `The last good one is of ${day(last.day)} ${last.clock}.`}{' '}
        One is made every night and before every update; a week of days, four weeks and six months are kept.
      </p>
    </section>
  );
}
