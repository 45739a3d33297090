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
