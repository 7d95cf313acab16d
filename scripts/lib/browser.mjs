/** How Debian's Chromium is started, for tests and pictures: no monitor, no network of its own. */
export const browserOptions = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-dev-shm-usage',
    '--disable-quic',
    '--no-first-run',
    '--lang=en-GB',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--font-render-hinting=none',
  ],
};
