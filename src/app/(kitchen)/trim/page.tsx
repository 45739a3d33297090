import { BenchIndexView } from '@/features/trim/bench/components/bench-index-view';
import { benchIndex } from '@/features/trim/bench/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.yieldTests };

export default async function Bench() {
  return <BenchIndexView index={await benchIndex(await requireWorker())} />;
}
