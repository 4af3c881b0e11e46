/** Debian's Chromium. */
export const CHROMIUM = '/usr/bin/chromium'
