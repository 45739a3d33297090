import { MenusView } from '@/features/pour/menus/components/menus-view';
import { menusPage } from '@/features/pour/menus/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

interface Props {
  readonly searchParams: Promise<{ of?: string }>;
}

export const metadata = { title: texts.menus };

export default async function Menus({ searchParams }: Props) {
  const { of } = await searchParams;
  return <MenusView page={await menusPage(await requireWorker(), of)} />;
}
