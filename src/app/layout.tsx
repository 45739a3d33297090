import type { Metadata } from 'next';
import type { ReactNode } from 'react';
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

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <body>{children}</body>
    </html>
  );
}
