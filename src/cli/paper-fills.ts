/**
 * Fills that a PDF holds as pictures, drawn by the browser before it prints the page. What goes on in tiles it draws for paper as one
 * picture of the whole page that has a million pixels at most, and so the coarser the taller the page is; programs that show a PDF do not
 * agree on what is mixed by its tone (Compositing 1 §5.8.2, non-separable blend modes); and shadows into a block from two sides are paler
 * on paper where they meet.
 */
import type { Page } from '@playwright/test'
import { cssString } from '../core/handoff/escape'
import type { LayoutBox } from '../core/layout/box'
import type { PageLayout } from '../core/layout/page'
import { type Fill, isInBorder, shownItems } from '../core/properties/items'
import { onNothing, sharpest } from './capture'

const BY_TONE: ReadonlySet<string> = new Set(['hue', 'saturation', 'color', 'luminosity'])

const isPicture = (fill: Fill) =>
  fill.kind === 'pattern' ||
  (fill.kind === 'picture' && fill.fit === 'tile') ||
  BY_TONE.has(fill.blend ?? 'normal')

/** Whether a shadow into a block meets that from its other side. */
const isDeep = ({ resolved, width, height }: LayoutBox) =>
  shownItems(resolved.shadows).some(({ inset, blur }) => inset && 2 * blur > Math.min(width, height))

/** What is in the border is another layer. */
function isDrawn(box: LayoutBox): boolean {
  const fills = shownItems(box.resolved.fills)
  const isBox = box.node.kind !== 'shape' && box.width >= 1 && box.height >= 1
  return isBox && (fills.some(isPicture) || isDeep(box)) && !fills.some(isInBorder)
}

type Alone = {
  /** px */
  width: number
  height: number
  /** The shadows that are not in its picture. */
  rest: string
}

/** Shows nothing but what an element is filled with, and the shadows into it, at the window's top left, as large as it is. */
function showAlone(selector: string): Alone | undefined {
  // Where words differ from view to view there are several, of which one is shown.
  const element = [...document.querySelectorAll<HTMLElement>(selector)].find((each) => each.offsetWidth > 0)
  if (!element) return undefined
  const [width, height] = [element.offsetWidth, element.offsetHeight]
  const host = document.createElement('div')
  const look = getComputedStyle(element)
  for (const name of look)
    if (/^(background|border)-/.test(name)) host.style.setProperty(name, look.getPropertyValue(name))
  // What is filled into words alone has its shadows in the box all the same.
  const isBox = !look.backgroundClip.includes('text')
  const shadows = look.boxShadow.split(/,(?![^(]*\))/)
  const isIn = (shadow: string) => isBox && shadow.includes('inset')
  host.style.boxShadow = shadows.filter(isIn).join(',')
  const own = { width: `${width}px`, height: `${height}px`, position: 'absolute', inset: '0 auto auto 0' }
  Object.assign(host.style, own, {
    boxSizing: 'border-box',
    borderColor: 'transparent',
    backgroundClip: 'border-box',
  })
  host.id = 'alone'
  document.documentElement.style.background = 'transparent'
  // Not taken out of the layout: pictures would have to be decoded again, and be printed before they are.
  Object.assign(document.body.style, { opacity: '0', background: 'none' })
  document.documentElement.append(host)
  return { width, height, rest: shadows.filter((each) => !isIn(each)).join(',') || 'none' }
}

function showAll() {
  document.querySelector('#alone')!.remove()
  document.documentElement.style.background = ''
  Object.assign(document.body.style, { opacity: '', background: '' })
}

const filledWith = (picture: Buffer, { rest }: Alone) => ({
  'background-color': 'transparent',
  'background-image': `url("data:image/png;base64,${picture.toString('base64')}")`,
  'background-position': '0 0',
  'background-size': '100% 100%',
  'background-repeat': 'no-repeat',
  'background-origin': 'border-box',
  'background-blend-mode': 'normal',
  'box-shadow': rest,
})

/** @param page shows the page, with its blocks marked @param scale device pixels for one px @returns rules for its style sheet; none: '' */
export async function fillsAsPictures(page: Page, layout: PageLayout, scale: number): Promise<string> {
  const boxes = [...layout.visible()].filter(isDrawn)
  if (boxes.length === 0) return ''
  const rules: string[] = []
  await onNothing(page, async (pictureOf) => {
    for (const { node } of boxes) {
      const selector = `[data-node=${cssString(node.id)}]`
      const alone = await page.evaluate(showAlone, selector)
      if (!alone) continue
      const { width, height } = alone
      const picture = await pictureOf({ width, height }, sharpest(height, scale))
      await page.evaluate(showAll)
      const set = Object.entries(filledWith(picture, alone)).map(
        ([property, value]) => `${property}: ${value} !important;`,
      )
      rules.push(`${selector} { ${set.join(' ')} }`)
    }
  })
  return rules.join('\n')
}
