/**
 * Fills that are mixed by their tone (Compositing 1 §5.8.2, non-separable blend modes), which programs that show a PDF do not agree on:
 * drawn by the browser before it prints the page, and printed as pictures.
 */
import type { CDPSession, Page } from '@playwright/test'
import { cssString } from '../core/handoff/escape'
import type { LayoutBox } from '../core/layout/box'
import type { PageLayout } from '../core/layout/page'
import { isInBorder, shownItems } from '../core/properties/items'

const BY_TONE: ReadonlySet<string> = new Set(['hue', 'saturation', 'color', 'luminosity'])

/** What is in the border is another layer. */
function isByTone({ resolved, node, width, height }: LayoutBox): boolean {
  const fills = shownItems(resolved.fills)
  return (
    fills.some(({ blend = 'normal' }) => BY_TONE.has(blend)) &&
    !fills.some(isInBorder) &&
    node.kind !== 'shape' &&
    width >= 1 &&
    height >= 1
  )
}

/** Shows nothing but what an element is filled with, at the window's top left, as large as it is. @returns px */
function showAlone(selector: string): { width: number; height: number } | undefined {
  // Where words differ from view to view there are several, of which one is shown.
  const element = [...document.querySelectorAll<HTMLElement>(selector)].find((each) => each.offsetWidth > 0)
  if (!element) return undefined
  const [width, height] = [element.offsetWidth, element.offsetHeight]
  const host = document.createElement('div')
  const look = getComputedStyle(element)
  for (const name of look)
    if (/^(background|border)-/.test(name)) host.style.setProperty(name, look.getPropertyValue(name))
  const own = { width: `${width}px`, height: `${height}px`, position: 'absolute', inset: '0 auto auto 0' }
  Object.assign(host.style, own, {
    boxSizing: 'border-box',
    borderColor: 'transparent',
    backgroundClip: 'border-box',
  })
  host.id = 'alone'
  document.documentElement.style.background = 'transparent'
  document.body.style.display = 'none'
  document.documentElement.append(host)
  return { width, height }
}

/** All as it was, but for the fill, which is a picture now. */
function fillWith({ selector, url }: { selector: string; url: string }) {
  document.querySelector('#alone')!.remove()
  document.body.style.display = ''
  document.documentElement.style.background = ''
  const element = [...document.querySelectorAll<HTMLElement>(selector)].find((each) => each.offsetWidth > 0)!
  const background = {
    color: 'transparent',
    image: `url("${url}")`,
    position: '0 0',
    size: '100% 100%',
    repeat: 'no-repeat',
    origin: 'border-box',
    'blend-mode': 'normal',
  }
  for (const [what, value] of Object.entries(background))
    element.style.setProperty(`background-${what}`, value, 'important')
}

async function pictureOfFill(
  cdp: CDPSession,
  page: Page,
  selector: string,
  scale: number,
): Promise<string | undefined> {
  const size = await page.evaluate(showAlone, selector)
  if (!size) return undefined
  const { data } = await cdp.send('Page.captureScreenshot', {
    format: 'png',
    captureBeyondViewport: true,
    clip: { x: 0, y: 0, ...size, scale },
  })
  return `data:image/png;base64,${data}`
}

/** @param page shows the page, with its blocks marked @param scale device pixels for one px */
export async function drawFillsByTone(page: Page, layout: PageLayout, scale: number) {
  const boxes = [...layout.visible()].filter(isByTone)
  if (boxes.length === 0) return
  const cdp = await page.context().newCDPSession(page)
  await cdp.send('Emulation.setDefaultBackgroundColorOverride', { color: { r: 0, g: 0, b: 0, a: 0 } })
  for (const { node } of boxes) {
    const selector = `[data-node=${cssString(node.id)}]`
    const url = await pictureOfFill(cdp, page, selector, scale)
    if (url) await page.evaluate(fillWith, { selector, url })
  }
  await cdp.send('Emulation.setDefaultBackgroundColorOverride', {})
  await cdp.detach()
}
