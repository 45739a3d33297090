import { UsualBasis } from '@/features/buy/larder/components/usual-basis';
import { larderPage } from '@/features/buy/larder/queries';
import { lastBackup } from '@/features/house/backup';
import { BackupLine } from '@/features/house/components/backup-notice';
import { KitchenFileTransfer } from '@/features/house/components/kitchen-file-transfer';
import { Tablets } from '@/features/house/components/tablets';
import { HouseView } from '@/features/house/components/house-view';
import { housePage } from '@/features/house/queries';
import { tabletsPage } from '@/features/house/tablets';
import { TrimmingHere } from '@/features/trim/schools/components/trimming-form';
import { schoolsPage } from '@/features/trim/schools/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.kitchen };

export default async function House() {
  const who = await requireWorker();
  const [page, larder, schools, backup, tablets] = await Promise.all([
    housePage(who),
    larderPage(who),
    schoolsPage(who),
    lastBackup(who),
    tabletsPage(),
  ]);
  const { basis, maySet, kitchenVersion } = larder;
  return (
    <HouseView
      page={page}
      also={
        <>
          <TrimmingHere page={{ ...schools, rows: [], plates: [] }} />
          <UsualBasis page={{ basis, maySet, kitchenVersion }} />
          <BackupLine last={backup} />
          {maySet && <Tablets page={tablets} />}
          {maySet && <KitchenFileTransfer />}
        </>
      }
    />
  );
}
