/** `lattice layout FILE --page NAME --width W`: the core's boxes and lines, as JSON. */

import type { Rect } from '../core/layout/rect'
import { isText } from '../core/properties/kinds'
import { layoutPage } from '../server/pictures'
import { numberOption, openFile, Refusal, readArgs } from './refusal'

export async function layout(args: string[]): Promise<number> {
  const { values, positionals } = readArgs(args, { page: { type: 'string' }, width: { type: 'string' } }, 1)
  const { document: doc, blobs } = await openFile(positionals[0])
  const pages = doc.pagesInOrder()
  const page =
    values.page === undefined
      ? pages[0]
      : pages.find(
          (each) => each.name === values.page || each.path === values.page || each.id === values.page,
        )
  if (!page)
    throw new Refusal(
      `there is no page ${values.page ?? ''}; there are ${pages.map((each) => each.name).join(', ') || 'none'}`,
    )
  const width = numberOption('width', values.width, { min: 100, max: 10_000 }) ?? doc.views[0]!.width
  const result = await layoutPage({ doc, blobs }, page.id, width)
  const boxes: Record<string, Rect> = {}
  const lines: Record<string, string[]> = {}
  for (const box of result.visible()) {
    boxes[box.id] = result.rect(box.id)!
    if (isText(box.node.kind)) lines[box.id] = result.lineTexts(box.id)
  }
  console.log(JSON.stringify({ boxes, lines }))
  return 0
}
