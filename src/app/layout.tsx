import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { preload } from 'react-dom';
import '@fontsource-variable/sofia-sans';
import '@fontsource-variable/sofia-sans-condensed';
import '@fontsource-variable/literata';
import 'react-bootstrap-typeahead/css/Typeahead.css';
import '@/styles/main.scss';

export const metadata: Metadata = {
  title: { default: 'Half Pot', template: '%s · Half Pot' },
  description: 'What a litre costs before, while and after it cooks.',
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

export default function RootLayout({ children }: { children: ReactNode }) {
  for (const face of FACES)
    preload(face.pathname, { as: 'font', type: 'font/woff2', crossOrigin: 'anonymous' });
  return (
    <html lang="en">
      <body>{children}</body>
    </html>
  );
}
