import { existsSync } from 'node:fs';

/** Debian's Chromium without a window, which starts twice as fast; and the one with a window, if it is installed already. */
const PLACES = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** Path of the browser for page tests and pictures: `STILL_HERON_CHROMIUM`, or Debian's. It may not exist yet. */
export function chromiumPath() {
  return process.env.STILL_HERON_CHROMIUM ?? PLACES.find((path) => existsSync(path)) ?? PLACES[0];
}
