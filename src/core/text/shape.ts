/** Shaping with HarfBuzz: from styled text to glyphs and the running advance at every character. */
import * as hb from 'harfbuzzjs'
import { type Face, type FontLibrary, familyChain, fileFor } from './fonts'

export type TextStyle = {
  family: string
  /** px */
  size: number
  weight: number
  italic: boolean
  /** px, added after every character */
  letterSpacing: number
}

export type GlyphRun = {
  face: Face
  size: number
  /** Glyph ids, and where each stands: px from the start of the paragraph laid on one line; y down from the baseline. */
  glyphs: Uint32Array
  x: Float64Array
  y: Float64Array
  /** UTF-16 index of the character each glyph begins. */
  cluster: Uint32Array
}

/** What `letter-spacing` switches off (CSS Text 3 §8.2; Chromium drops contextual alternates too). */
const NO_LIGATURES = [
  new hb.Feature('liga', 0),
  new hb.Feature('clig', 0),
  new hb.Feature('dlig', 0),
  new hb.Feature('hlig', 0),
  new hb.Feature('calt', 0),
]

/** Splits text into runs that one font file covers. */
function* runsByFile(
  fonts: FontLibrary,
  text: string,
  style: TextStyle,
): Generator<{ start: number; end: number; face: Face }> {
  const chain = familyChain(style.family)
  const primary = fonts.primary(style.family, style.italic, style.weight)
  if (!primary) return
  const pick = (code: number): Face => {
    const file = fileFor(chain, style.italic, code, (candidate) => {
      const face = fonts.face(candidate, style.weight)
      return !face?.has(code)
    })
    return (file && fonts.face(file, style.weight)) ?? primary
  }
  let start = 0
  let face: Face | undefined
  for (let i = 0; i < text.length; ) {
    const code = text.codePointAt(i)!
    const length = code > 0xffff ? 2 : 1
    // Marks and joiners stay with the character before them.
    const follows = (code >= 0x300 && code <= 0x36f) || code === 0x200d || code === 0xad
    const next = follows && face?.has(code) ? face : pick(code)
    if (face && next !== face) {
      yield { start, end: i, face }
      start = i
    }
    face = next
    i += length
  }
  if (face) yield { start, end: text.length, face }
}

let buffer: hb.Buffer | undefined

/**
 * Shapes `text` in one style and appends to `advances`: `advances[offset + i]` is the width of everything before
 * character i of the paragraph, px. `unsafe[i]` is 1 where a line that begins at character i would be shaped differently.
 */
export function shapeInto(
  fonts: FontLibrary,
  text: string,
  style: TextStyle,
  offset: number,
  advances: Float64Array,
  runs: GlyphRun[],
  unsafe: Uint8Array,
) {
  buffer ??= new hb.Buffer()
  const features = style.letterSpacing === 0 ? undefined : NO_LIGATURES
  let total = advances[offset]
  for (const { start, end, face } of runsByFile(fonts, text, style)) {
    buffer.clearContents()
    buffer.addText(text.slice(start, end))
    buffer.setDirection(hb.Direction.LTR)
    buffer.guessSegmentProperties()
    hb.shape(face.font, buffer, features)
    const infos = buffer.getGlyphInfos()
    const positions = buffer.getGlyphPositions()
    const count = infos.length
    const run: GlyphRun = {
      face,
      size: style.size,
      glyphs: new Uint32Array(count),
      x: new Float64Array(count),
      y: new Float64Array(count),
      cluster: new Uint32Array(count),
    }
    const scale = style.size / face.upem
    for (let g = 0; g < count; ) {
      const cluster = infos[g].cluster
      if (infos[g].flags & hb.GlyphFlag.UNSAFE_TO_BREAK) unsafe[offset + start + cluster] = 1
      const at = total
      let next = g
      for (; next < count && infos[next].cluster === cluster; next++) {
        run.glyphs[next] = infos[next].codepoint
        run.x[next] = total + positions[next].xOffset * scale
        run.y[next] = -positions[next].yOffset * scale
        run.cluster[next] = offset + start + cluster
        total += positions[next].xAdvance * scale
      }
      const clusterEnd = next < count ? infos[next].cluster : end - start
      const width = total - at
      // A ligature's characters share its width evenly; a soft hyphen that is not used has none.
      const length = Math.max(1, clusterEnd - cluster)
      if (style.letterSpacing !== 0) total += style.letterSpacing
      for (let k = 1; k < length; k++) advances[offset + start + cluster + k] = at + (width * k) / length
      advances[offset + start + cluster + length] = total
      g = next
    }
    runs.push(run)
  }
  advances[offset + text.length] = total
}
