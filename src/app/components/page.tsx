import { notFound } from 'next/navigation';
import { env } from '@/server/env';
import { AllComponents } from '@/ui/all-components';
import * as texts from '@/app/texts';

export const metadata = { title: texts.components };

/** Every component of the house in its look; it is there in the demo alone. */
export default function Components() {
  if (env().HALFPOT_DEMO === undefined) notFound();
  return <AllComponents />;
}
