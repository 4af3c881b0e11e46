/** A page of three loosely placed blocks, for gestures. */

import type { Page } from '@playwright/test'
import { oneFill } from '../src/core/properties/items'
import { findNode, row, type StoredNode, stored } from './app'

export const paste = (page: Page, text: string) =>
  page.evaluate((words) => {
    const data = new DataTransfer()
    data.setData('text/plain', words)
    document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }))
  }, text)

/** A page as the server has it, by its path. */
export const storedPage = async (page: Page, path: string) =>
  (await stored(page)).pages.find((each) => each.path === path)!
export const storedBlock = async (page: Page, path: string, name: string): Promise<StoredNode> =>
  findNode((await storedPage(page, path)).sections, name)!

/** An empty page of the demo with one free box on it and three blocks placed loosely, by the clipboard's own format. */
export async function loosePage(page: Page, name: string) {
  await page.keyboard.press('n')
  await page.getByLabel('Name').fill(name)
  await page.getByRole('button', { name: 'Make the page' }).click()
  const block = (id: string, x: number, y: number, width: number, height: number) => ({
    id,
    kind: 'box',
    name: `Block ${id}`,
    order: `a${id}`,
    props: {
      fills: oneFill('#b9c4b4'),
      width: { kind: 'exact', px: width },
      height: { kind: 'exact', px: height },
      pinLeft: { px: x },
      pinTop: { px: y },
    },
  })
  const text = JSON.stringify({
    format: 'just-lattice-blocks',
    trees: [
      {
        id: 's',
        kind: 'section',
        name: 'Band',
        order: 'a0',
        props: { flow: 'free', fullBleed: true, height: { kind: 'exact', px: 600 } },
        children: [
          block('0', 100, 80, 200, 120),
          block('1', 331, 80, 200, 120),
          block('2', 563, 80, 200, 120),
        ],
      },
    ],
    assets: [],
  })
  await paste(page, text)
  await row(page, 'Band').click()
  await page.keyboard.press('ArrowRight')
  await row(page, 'Block 2').waitFor()
  // Every sheet in sight.
  await page.keyboard.press('f')
}
/** Where a block is drawn on the first sheet, screen px: its middle, and its size. */
export const block = (page: Page, name: string) =>
  page.evaluate((wanted) => {
    const item = [...document.querySelectorAll('[role=treeitem]')].find((each) =>
      each.textContent?.includes(wanted),
    )
    const id = item?.getAttribute('data-row')
    const box = document
      .querySelector('[data-sheet=desktop]')!
      .shadowRoot!.querySelector(`[data-node="${id}"]`)!
      .getBoundingClientRect()
    return {
      x: box.x + box.width / 2,
      y: box.y + box.height / 2,
      width: box.width,
      height: box.height,
      left: box.x,
    }
  }, name)
