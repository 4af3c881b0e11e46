/** The board's camera: one translation and one scale, from the sheets' px to the screen's. */
import type { Rect } from '../../core/layout/rect'

export type Camera = { x: number; y: number; zoom: number }
type Size = { width: number; height: number }

export const MIN_ZOOM = 0.05
export const MAX_ZOOM = 8

/** Space between two sheets, in the sheets' own px. */
export const SHEET_GAP = 72

/** Screen px left of and above the first sheet, for the rulers, the heights and the column header. */
export const ROOM_LEFT = 72
export const ROOM_TOP = 76
const ROOM_RIGHT = 30
const ROOM_BOTTOM = 26

/** Screen px of a block that are enough to know it by. */
const ENOUGH = 24

const within = (zoom: number) => Math.min(MAX_ZOOM, Math.max(MIN_ZOOM, zoom))

/** All sheets side by side, as wide as the board: of a long page the top. */
export function fitSheets(board: Size, widths: readonly number[], height: number): Camera {
  const total = widths.reduce((sum, width) => sum + width, 0)
  const gaps = (widths.length - 1) * (SHEET_GAP / 2)
  const across = (board.width - ROOM_LEFT - ROOM_RIGHT - gaps) / total
  const down = (board.height - ROOM_TOP - ROOM_BOTTOM) / Math.max(400, height)
  return { x: ROOM_LEFT, y: ROOM_TOP, zoom: Math.min(1, Math.max(MIN_ZOOM, across, Math.min(across, down))) }
}

/** Below this zoom words of 16 px are not read. */
const READ = 0.5

/** What a page is opened at: all sheets where they can be read so, else the one that is worked on, as wide as the board. */
export function firstSight(
  board: Size,
  widths: readonly number[],
  height: number,
  active: { left: number; width: number },
): Camera {
  const all = fitSheets(board, widths, height)
  if (all.zoom >= READ || widths.length < 2) return all
  const zoom = Math.min(1, (board.width - ROOM_LEFT - ROOM_RIGHT) / active.width)
  return zoom <= all.zoom ? all : { x: ROOM_LEFT - active.left * zoom, y: ROOM_TOP, zoom }
}

/** px on the screen that words of 16 px are written at, at least. */
const WRITTEN = 12

/**
 * A camera that a text can be written under: as it is where it is large enough, else closer, at the same place.
 * @param size of the text's type, px on the sheet; what is large is read sooner
 */
export function forWriting(camera: Camera, board: Size, rect: Rect, size: number): Camera {
  const zoom = Math.min(1, WRITTEN / Math.min(size, 16))
  if (camera.zoom * Math.min(size, 16) >= WRITTEN - 1) return camera
  const at = {
    x: camera.x + rect.x * camera.zoom,
    y: camera.y + (rect.y + Math.min(rect.height / 2, size)) * camera.zoom,
  }
  return bringing(zoomedAt(camera, zoom, at), board, {
    ...rect,
    width: Math.min(rect.width, board.width / 2 / zoom),
  })
}

/** A rect of the board as large as fits, in the middle. */
export function fitRect(board: Size, rect: Rect): Camera {
  const across = (board.width - ROOM_LEFT - ROOM_RIGHT) / Math.max(1, rect.width)
  const down = (board.height - ROOM_TOP - ROOM_BOTTOM) / Math.max(1, rect.height)
  const zoom = within(Math.min(across, down, 4))
  return {
    x: ROOM_LEFT + (board.width - ROOM_LEFT - ROOM_RIGHT - rect.width * zoom) / 2 - rect.x * zoom,
    y: ROOM_TOP + (board.height - ROOM_TOP - ROOM_BOTTOM - rect.height * zoom) / 2 - rect.y * zoom,
    zoom,
  }
}

/** A rect of the board in the middle at a zoom; what is wider than the board is shown from its left edge. */
export function centredAt(board: Size, rect: Rect, zoom: number): Camera {
  const x =
    rect.width * zoom > board.width - 80
      ? ROOM_LEFT - rect.x * zoom
      : board.width / 2 - (rect.x + rect.width / 2) * zoom
  const y = board.height / 2 - (rect.y + Math.min(rect.height, board.height / zoom - 160) / 2) * zoom
  return { x: Math.min(ROOM_LEFT, x), y: Math.min(ROOM_TOP, y), zoom }
}

/**
 * The camera moved as little as it takes for a rect of the board to be seen: whole where it fits, else its beginning. The same one where
 * enough of it is in sight already.
 */
export function bringing(camera: Camera, board: Size, rect: Rect): Camera {
  const moved = (start: number, size: number, room: number, before: number, after: number) => {
    const end = start + size
    const seen = Math.min(end, room - after) - Math.max(start, before)
    if (seen >= Math.min(size, ENOUGH) - 0.01) return 0
    return size > room - before - after || start < before ? before - start : room - after - end
  }
  const left = camera.x + rect.x * camera.zoom
  const top = camera.y + rect.y * camera.zoom
  const x = moved(left, rect.width * camera.zoom, board.width, ROOM_LEFT, ROOM_RIGHT)
  const y = moved(top, rect.height * camera.zoom, board.height, ROOM_TOP, ROOM_BOTTOM)
  return x === 0 && y === 0 ? camera : { ...camera, x: camera.x + x, y: camera.y + y }
}

/** Another zoom, with the point `at` (screen px on the board) staying where it is. */
export function zoomedAt(camera: Camera, wanted: number, at: { x: number; y: number }): Camera {
  const zoom = within(wanted)
  const scale = zoom / camera.zoom
  return { x: at.x - (at.x - camera.x) * scale, y: at.y - (at.y - camera.y) * scale, zoom }
}
