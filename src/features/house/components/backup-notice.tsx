'use client';

import Alert from 'react-bootstrap/Alert';
import { useFormatters } from '@/ui/formatters-context';
import type { LastBackup } from '../backup';
import * as texts from './texts';

/** A manager is told on every screen that the last backup is more than two days old, or that there is none. */
export function BackupNotice({ last }: { readonly last: LastBackup | undefined }) {
  const { day } = useFormatters();
  if (!last?.old) return null;
  return (
    <Alert variant="danger" role="status" className="no-print">
      {last.day === undefined ? texts.noBackupYet : texts.lastBackupOld(day(last.day), last.clock ?? '')}{' '}
      {texts.diskFull}
    </Alert>
  );
}

/** When the kitchen was backed up last. */
export function BackupLine({ last }: { readonly last: LastBackup | undefined }) {
  const { day } = useFormatters();
  if (!last) return null;
  return (
    <section aria-labelledby="backups" className="mt-4">
      <h2 id="backups">{texts.backups}</h2>
      <p>
        {last.day === undefined ? texts.firstBackupSoon : texts.lastBackup(day(last.day), last.clock ?? '')}{' '}
        {texts.whenBackupsAreMade}
      </p>
    </section>
  );
}
