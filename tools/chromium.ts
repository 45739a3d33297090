import fs from 'node:fs';

/** How Debian's Chromium is started here: without a screen, and without asking anybody outside for anything. */
export const CHROMIUM = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // Windows that nobody sees need no tool bars.
  '--disable-features=WebUITabStrip,TopChromeWebUI,PreloadTopChromeWebUI,InitialWebUI',
];

/** The whole browser, with profiles that outlive it. */
export const WHOLE_CHROMIUM = '/usr/bin/chromium';

const HEADLESS = '/usr/bin/chromium-headless-shell';

/** The program that draws pages for tests, pictures and benchmarks: the headless build where Debian's package of it is installed. */
export const chromiumPath = (): string => (fs.existsSync(HEADLESS) ? HEADLESS : WHOLE_CHROMIUM);
