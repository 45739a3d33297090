import type { NextConfig } from 'next';
import { PLAIN_POLICY } from './src/server/plain-policy';

const config: NextConfig = {
  poweredByHeader: false,
  // The development server takes a page at this address for another site's, and that page then reloads for ever.
  allowedDevOrigins: ['127.0.0.1'],
  reactStrictMode: true,
  // Types are checked by the test command, not again at every start.
  typescript: { ignoreBuildErrors: true },
  // A price list of 16 MB, in letters: what comes by the proxy is cut at 10 MB otherwise.
  experimental: { serverActions: { bodySizeLimit: '17mb' }, proxyClientMaxBodySize: '26mb' },
  serverExternalPackages: ['exceljs', 'pdfmake', '@node-rs/argon2', 'mysql2', 'pino', 'postgrator', 'undici'],
  sassOptions: {
    quietDeps: true,
    silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
  },
  devIndicators: false,
  // Some browsers ask for this name whatever the page says.
  rewrites: () => Promise.resolve([{ source: '/favicon.ico', destination: '/icon.svg' }]),
  headers: () =>
    Promise.resolve([
      {
        // These do not come by the proxy, which gives every other answer its policy.
        source: '/_next/static/(.*)',
        headers: [{ key: 'Content-Security-Policy', value: PLAIN_POLICY }],
      },
      {
        source: '/(.*)',
        headers: [
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'X-Frame-Options', value: 'DENY' },
          { key: 'Referrer-Policy', value: 'same-origin' },
          { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
          { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
          {
            key: 'Permissions-Policy',
            value:
              'camera=(self), geolocation=(), microphone=(), payment=(), usb=(), screen-wake-lock=(self)',
          },
        ],
      },
    ]),
};

export default config;
