/** What is really behind a block's words, pixel by pixel: drawn as it ships, without them. */
import { neededFor } from '../../core/color/contrast'
import { groundsIn, placesUnder, worstPlace } from '../../core/color/places'
import { picturesOf } from '../../core/document/picture-uses'
import { groundSvg } from '../../core/handoff/svg/page'
import type { LayoutBox } from '../../core/layout/box'
import { bounds, type Rect, seenRect } from '../../core/layout/rect'
import { wordAreas } from '../../core/paint/lines'
import { canvasOf, pixelsIn } from '../editor/drawn'
import type { Editor } from '../editor/editor-state'

/** How words read where they read worst. `place`: that, px on the sheet; `grounds`: from the darkest to the lightest. */
export type Seen = {
  ink: string
  ground: string
  ratio: number
  needed: number
  place: Rect
  grounds: string[]
}

/** Most pixels that are looked at. */
const MOST = 1_000_000
/** Side of a place that is read as one, of the words' size. */
const PLACE = 0.5

const meet = (a: Rect, b: Rect) =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height

/** Lines of words on the sheet; of what is turned, all that is seen of the block. */
function areasOf(editor: Editor, box: LayoutBox): Rect[] {
  const rect = editor.layout!.rect(box.id)!
  const seen = seenRect(box)
  const isTurned = Math.abs(seen.width - rect.width) + Math.abs(seen.height - rect.height) > 0.5
  if (isTurned) return [seen]
  return wordAreas(box).map((area) => ({ ...area, x: area.x + rect.x, y: area.y + rect.y }))
}

/** @returns undefined: there are no words @throws ApiError when a picture behind them cannot be had */
export async function seenUnder(editor: Editor, box: LayoutBox): Promise<Seen | undefined> {
  const { doc, layout, session } = editor
  const { color: ink, fontSize, fontWeight } = box.resolved
  const lines = layout && ink !== undefined ? areasOf(editor, box) : []
  if (!layout || ink === undefined || lines.length === 0) return undefined
  const area = bounds(lines)
  const behind = [...layout.visible()].filter((each) => meet(seenRect(each), area))
  const pictures = behind.flatMap(({ resolved }) =>
    picturesOf(resolved).flatMap((id) => doc.assets.get(id) ?? []),
  )
  const blobs = await session.pictures.bytesOf(pictures)
  const scale = Math.min(1, Math.sqrt(MOST / Math.max(1, area.width * area.height)))
  const [width, height] = [area.width, area.height].map((side) => Math.max(1, Math.round(side * scale)))
  const svg = groundSvg(doc, layout, blobs, box, area)
  const pixels = pixelsIn(await canvasOf(svg, width!, height!))
  const drawn = lines.map((line) => ({
    x: (line.x - area.x) * scale,
    y: (line.y - area.y) * scale,
    width: line.width * scale,
    height: line.height * scale,
  }))
  const places = placesUnder(pixels, drawn, fontSize * PLACE * scale)
  const worst = worstPlace(places, ink)
  if (!worst) return undefined
  const { x, y, width: w, height: h } = worst.area
  return {
    ink,
    ground: worst.color,
    ratio: worst.ratio,
    needed: neededFor(fontSize, fontWeight as number),
    place: { x: area.x + x / scale, y: area.y + y / scale, width: w / scale, height: h / scale },
    grounds: groundsIn(places),
  }
}
