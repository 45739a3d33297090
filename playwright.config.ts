import { defineConfig } from '@playwright/test';
import { AS_HERE, kitchens } from './tests/helpers/here';
import { CHROMIUM, chromiumPath } from './tools/chromium';

/** The real interface in Debian's Chromium, against the instance `halfpot test` has started. */
export default defineConfig({
  testDir: 'tests/e2e',
  // Each worker has a kitchen of its own, so any test may run beside any other.
  workers: Math.max(1, kitchens.length),
  fullyParallel: true,
  // Only what hangs is cut: with three workers and other programs on the machine a long journey may take minutes.
  timeout: 240_000,
  // A busy machine is slow, not wrong.
  expect: { timeout: 30_000 },
  forbidOnly: true,
  reporter: [['line'], ['./tests/helpers/ledger-reporter.ts']],
  outputDir: '.halfpot/test/browser',
  use: {
    ...AS_HERE,
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: chromiumPath(),
      args: CHROMIUM,
    },
  },
});
