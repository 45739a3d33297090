import { NewSheet } from '@/features/pot/new/components/new-sheet';
import { newSheetPage } from '@/features/pot/new/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.newRecipe };

export default async function NewPot({ searchParams }: { searchParams: Promise<{ like?: string }> }) {
  return <NewSheet page={await newSheetPage(await requireWorker(), (await searchParams).like)} />;
}
