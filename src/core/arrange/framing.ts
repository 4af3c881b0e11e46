/** A picture in its box: which part of it is seen, slid by its focal point (`object-fit`, `object-position`, CSS Images 3 §5). */
import type { Asset } from '../document/schema'
import type { LayoutBox } from '../layout/box'
import { contentRect, type Rect } from '../layout/rect'

/** Percent, 0 to 100 each: the point of the picture that lies on the same point of its box. */
export type Focus = { focusX: number; focusY: number }

/** The whole picture, px in the box's own border box; beyond `frame`, the content box, it is cut off. */
export type Framing = { frame: Rect; picture: Rect } & Focus

export function framingOf(box: LayoutBox, { width, height }: Pick<Asset, 'width' | 'height'>): Framing {
  const frame = contentRect(box, { x: 0, y: 0, width: box.width, height: box.height })
  const { fit, focusX, focusY } = box.resolved
  const [across, down] = [frame.width / width, frame.height / height]
  const scale = fit === 'cover' ? Math.max(across, down) : Math.min(across, down)
  const size =
    fit === 'fill'
      ? { width: frame.width, height: frame.height }
      : { width: width * scale, height: height * scale }
  const [x, y] = [focusX as number, focusY as number]
  const at = (start: number, room: number, own: number, share: number) => start + ((room - own) * share) / 100
  return {
    frame,
    picture: {
      x: at(frame.x, frame.width, size.width, x),
      y: at(frame.y, frame.height, size.height, y),
      ...size,
    },
    focusX: x,
    focusY: y,
  }
}

/** The focal point when the picture is slid by so many px; a side on which there is nothing to slide keeps its share. */
export function slidTo({ frame, picture, focusX, focusY }: Framing, dx: number, dy: number): Focus {
  const share = (start: number, room: number, own: number, now: number) => {
    const slack = room - own
    if (Math.abs(slack) < 0.5) return undefined
    return Math.round(Math.min(100, Math.max(0, ((now - start) / slack) * 100)) * 100) / 100
  }
  return {
    focusX: share(frame.x, frame.width, picture.width, picture.x + dx) ?? focusX,
    focusY: share(frame.y, frame.height, picture.height, picture.y + dy) ?? focusY,
  }
}
