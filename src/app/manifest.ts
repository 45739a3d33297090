import type { MetadataRoute } from 'next';
import * as texts from '@/app/texts';

/** How it stands on a tablet that it was put on: it opens at the stove. */
const manifest = (): MetadataRoute.Manifest => ({
  name: texts.halfPot,
  short_name: texts.halfPot,
  description: texts.whatPotReallyDoes,
  start_url: '/stove',
  scope: '/',
  display: 'standalone',
  background_color: '#f8f5ed',
  theme_color: '#20272c',
  icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
});

export default manifest;
