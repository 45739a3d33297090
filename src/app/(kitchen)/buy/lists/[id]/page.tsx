import { z } from 'zod';
import { VERDICTS } from '@/core/price-list';
import { ListView } from '@/features/buy/lists/components/list-view';
import { listPage } from '@/features/buy/lists/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.priceList };

const Asked = z.object({
  verdict: z.enum(VERDICTS).optional().catch(undefined),
  from: z.coerce.number().int().min(0).max(1_000_000).optional().catch(undefined),
  columns: z
    .literal('1')
    .transform(() => true)
    .optional()
    .catch(undefined),
});

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<Record<string, string>>;
}

export default async function List({ params, searchParams }: Props) {
  const { id } = await params;
  const page = await listPage(await requireWorker(), id, Asked.parse(await searchParams));
  return <ListView key={`${id} ${page.list.version}`} page={page} />;
}
