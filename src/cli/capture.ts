/** Pictures of what the browser shows, sharper than its window and longer. */
import type { CDPSession, Page } from '@playwright/test'

/** Device pixels that Chromium draws one below the other in one picture. */
export const MOST_DRAWN = 16_000

/** Device pixels for one CSS px in which something so high can be drawn in one piece. @param wanted at most so many */
export const sharpest = (height: number, wanted: number) =>
  Math.max(1, Math.min(wanted, Math.floor(MOST_DRAWN / height)))

type Size = { width: number; height: number }

/** What is shown, from its top left. @param scale device pixels for one CSS px */
export async function pictureOf(page: Page, size: Size, scale: number): Promise<Buffer> {
  const cdp = await page.context().newCDPSession(page)
  const picture = await capture(cdp, size, scale)
  await cdp.detach()
  return picture
}

/** Takes pictures of what is shown without the white behind it. */
export async function onNothing(
  page: Page,
  work: (pictureOf: (size: Size, scale: number) => Promise<Buffer>) => Promise<void>,
) {
  // Chromium keeps it for the session that has asked for it.
  const cdp = await page.context().newCDPSession(page)
  await cdp.send('Emulation.setDefaultBackgroundColorOverride', { color: { r: 0, g: 0, b: 0, a: 0 } })
  try {
    await work((size, scale) => capture(cdp, size, scale))
  } finally {
    await cdp.send('Emulation.setDefaultBackgroundColorOverride', {})
    await cdp.detach()
  }
}

async function capture(cdp: CDPSession, size: Size, scale: number): Promise<Buffer> {
  const { data } = await cdp.send('Page.captureScreenshot', {
    format: 'png',
    captureBeyondViewport: true,
    clip: { x: 0, y: 0, ...size, scale },
  })
  return Buffer.from(data, 'base64')
}
