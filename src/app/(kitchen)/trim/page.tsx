import { BenchIndexView } from '@/features/trim/bench/components/bench-index-view';
import { benchIndex } from '@/features/trim/bench/queries';
import { requireWorker } from '@/server/session';

export const metadata = { title: 'Yield tests' };

export default async function Bench() {
  return <BenchIndexView index={await benchIndex(await requireWorker())} />;
}
