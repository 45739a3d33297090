import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import type { ReactNode } from 'react';
import { preload } from 'react-dom';
import '@fontsource-variable/sofia-sans';
import '@fontsource-variable/sofia-sans-condensed';
import '@fontsource-variable/literata';
import 'react-day-picker/style.css';
import '@/styles/main.scss';
import { ColorScheme } from '@/ui/frame/color-scheme';
import * as texts from '@/app/texts';

export const metadata: Metadata = {
  title: { default: texts.halfPot, template: texts.titleTemplate },
  description: texts.whatLitreCostsBefore,
};
export const dynamic = 'force-dynamic';

/** The three faces that every page shows at once; their other alphabets come when a letter of them is there. */
const FACES = [
  new URL('@fontsource-variable/sofia-sans/files/sofia-sans-latin-wght-normal.woff2', import.meta.url),
  new URL(
    '@fontsource-variable/sofia-sans-condensed/files/sofia-sans-condensed-latin-wght-normal.woff2',
    import.meta.url,
  ),
  new URL('@fontsource-variable/literata/files/literata-latin-wght-normal.woff2', import.meta.url),
];

/** The word by which this answer's own scripts are told from others'. */
const nonceOf = (policy: string | null): string | undefined => /'nonce-([^']+)'/.exec(policy ?? '')?.[1];

export default async function RootLayout({ children }: { children: ReactNode }) {
  for (const face of FACES)
    preload(face.pathname, { as: 'font', type: 'font/woff2', crossOrigin: 'anonymous' });
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <ColorScheme nonce={nonceOf((await headers()).get('content-security-policy'))}>
          <NuqsAdapter>{children}</NuqsAdapter>
        </ColorScheme>
      </body>
    </html>
  );
}
