import { MenusView } from '@/features/pour/menus/components/menus-view';
import { menusPage } from '@/features/pour/menus/queries';
import { requireWorker } from '@/server/session';

interface Props {
  readonly searchParams: Promise<{ of?: string }>;
}

export const metadata = { title: 'Menus' };

export default async function Menus({ searchParams }: Props) {
  const { of } = await searchParams;
  return <MenusView page={await menusPage(await requireWorker(), of)} />;
}
