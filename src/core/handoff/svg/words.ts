/** Lines of text as glyphs. An outline is in the document once, however often it is set. */
import type { LayoutBox } from '../../layout/box'
import { LineGlyphs, type SetGlyph, SLANT } from '../../paint/glyphs'
import { type PlacedLine, placedLines, showsLinks } from '../../paint/lines'
import { num } from '../../properties/css-text'
import { iconExtent, iconSide } from '../../text/icon-box'
import { SCRIPT_SIZE } from '../../text/script-box'
import type { Piece, PieceStyle } from '../../text/shaped-text'
import { htmlAttribute } from '../escape'
import { iconPath } from '../inline-icon'
import { inkBetween } from './ink'
import { painted, type SvgWriter } from './writer'

/** Where a block's words stand. `level`: the page is not turned there, and baselines lie on whole px as in the browser. */
export type Spot = { left: number; top: number; level: boolean }
type Gap = [number, number]

export function drawWords(svg: SvgWriter, box: LayoutBox, spot: Spot) {
  const { text, said } = box.typeset!
  if (text.trim() === '') return
  svg.draw(said === '' ? '<g>' : `<g role="img" aria-label="${htmlAttribute(said)}">`)
  drawLetters(svg, box, spot)
  drawIconsAlone(svg, box, spot)
  svg.draw('</g>')
}

/** The letters alone, and the icons alone: a fill that is seen in the words is not seen in these. */
export function drawLetters(svg: SvgWriter, box: LayoutBox, spot: Spot) {
  for (const placed of placedLines(box)) drawLine(svg, box, placed, spot)
}
export function drawIconsAlone(svg: SvgWriter, box: LayoutBox, spot: Spot) {
  for (const placed of placedLines(box)) drawIcons(svg, box, placed, spot)
}

/** Baselines lie on whole px, as in the browser, where the page is not turned. */
const baselineAt = ({ top, level }: Spot, baseline: number) =>
  level ? Math.round(top + baseline) : top + baseline

function drawIcons(svg: SvgWriter, box: LayoutBox, placed: PlacedLine, spot: Spot) {
  const set = new LineGlyphs(placed, spot.left)
  for (const { piece, part } of set.pieces) {
    const { icon, raise = 0, color } = piece.style
    if (!icon) continue
    const baseline = baselineAt(spot, placed.baseline - raise)
    for (const [left] of set.extents(part)) drawIcon(svg, piece.style, left, baseline, inkOf(svg, box, color))
  }
}

function drawLine(svg: SvgWriter, box: LayoutBox, placed: PlacedLine, spot: Spot) {
  const { line, marker } = placed
  const set = new LineGlyphs(placed, spot.left)
  const baseline = baselineAt(spot, placed.baseline)
  if (marker) drawGlyphs(svg, set.marker, baseline, inkOf(svg, box, marker.style.color), marker.style.italic)
  for (const { piece, part } of set.pieces) {
    // No line lies under an icon, or through it: it is no word.
    if (piece.style.icon) continue
    const { raise = 0 } = piece.style
    const glyphs = { all: set.of(part), baseline: baselineAt(spot, placed.baseline - raise) }
    const extents = set.extents(part)
    // Lines under words lie below them, lines through words over them (CSS Text Decoration 3 §2.5).
    for (const gap of extents) underlines(svg, box, piece, glyphs, baseline, gap)
    drawGlyphs(svg, glyphs.all, glyphs.baseline, inkOf(svg, box, piece.style.color), piece.style.italic)
    for (const gap of extents) strikes(svg, box, piece, glyphs, baseline, gap)
  }
  const ending = line.hyphen ?? line.ellipsis
  if (ending) drawGlyphs(svg, set.ending, baseline, inkOf(svg, box, ending.color), false)
}

/** Its own colour, or its block's. */
const inkOf = (svg: SvgWriter, box: LayoutBox, own: string | undefined): string =>
  svg.ink(own) ?? box.resolved.color ?? '#000000'

function drawIcon(svg: SvgWriter, { icon, size }: PieceStyle, left: number, baseline: number, color: string) {
  const side = iconSide(size)
  const top = baseline - iconExtent(size).ascent
  const place = `translate(${num(left)} ${num(top)}) scale(${num(side / 100)})`
  svg.draw(
    `<g transform="${place}" fill="none" ${painted('stroke', color)} stroke-linecap="round" stroke-linejoin="round">${iconPath(icon!)}</g>`,
  )
}

function drawGlyphs(
  svg: SvgWriter,
  sets: readonly SetGlyph[],
  baseline: number,
  color: string,
  italic = false,
) {
  for (let from = 0; from < sets.length; ) {
    const { run } = sets[from]!
    let to = from
    while (to < sets.length && sets[to]!.run === run) to++
    const scale = run.size / run.face.upem
    const slant = italic && !run.face.file.italic ? ` skewX(${num((-Math.atan(SLANT) * 180) / Math.PI)})` : ''
    const uses = sets.slice(from, to).map(({ index, x }) => {
      const glyph = run.glyphs[index]
      const path = run.face.path(glyph!)
      if (path === '') return ''
      const id = svg.define(
        'c',
        (id) => `<path id="${id}" d="${shortened(path)}"/>`,
        `glyph ${run.face.id} ${glyph}`,
      )
      return `<use href="#${id}" x="${num((x - sets[from]!.x) / scale)}"${run.y[index] ? ` y="${num(-run.y[index] / scale)}"` : ''}/>`
    })
    if (uses.some(Boolean)) {
      const place = `translate(${num(sets[from]!.x)} ${num(baseline)})${slant} scale(${scale.toFixed(6)} -${scale.toFixed(6)})`
      svg.draw(`<g transform="${place}" ${painted('fill', color)}>${uses.join('')}</g>`)
    }
    from = to
  }
}

/** A tenth of a font unit is less than any screen shows. */
const shortened = (path: string) =>
  path.replace(/-?\d+\.\d+/g, (number) => String(Math.round(Number(number) * 10) / 10))

/** Glyphs of a piece, and the baseline that they stand on, px. */
type Standing = { all: readonly SetGlyph[]; baseline: number }
type Decorated = { thickness: number; color: string }

const ascentAt = (glyphs: Standing, size: number) => glyphs.all[0]?.run.face.metrics(size).ascent ?? size

/** Of the words around a piece that is set higher or lower, px. */
const sizeAround = ({ size, raise }: PieceStyle) => (raise === undefined ? size : size / SCRIPT_SIZE)

/** The lines under a piece: its block's in the block's type, its own where it stands, and a link's. */
function underlines(
  svg: SvgWriter,
  box: LayoutBox,
  { style, link }: { style: Piece['style']; link?: string },
  glyphs: Standing,
  baseline: number,
  gap: Gap,
) {
  const { textDecoration, fontSize, color = '#000000' } = box.resolved
  const linked = link ?? style.link
  const under = (size: number, baseline: number, color: string) =>
    underline(svg, glyphs, baseline, gap, { thickness: Math.max(1, size / 10), color })
  const ink = inkOf(svg, box, style.color)
  if (textDecoration === 'underline') under(fontSize, baseline, color)
  if (style.underline) under(style.size, glyphs.baseline, ink)
  if (linked !== undefined && showsLinks(box)) under(sizeAround(style), baseline, ink)
}

/** The lines through a piece: its block's in the block's type and colour, and its own. */
function strikes(
  svg: SvgWriter,
  box: LayoutBox,
  { style }: { style: Piece['style'] },
  glyphs: Standing,
  baseline: number,
  gap: Gap,
) {
  const { textDecoration, fontSize, color = '#000000' } = box.resolved
  const through = (size: number, baseline: number, color: string) => {
    const thickness = Math.max(1, size / 10)
    const ascent = ascentAt(glyphs, size)
    bar(svg, gap, baseline - ascent + (2 * ascent) / 3 - Math.floor(thickness / 2), thickness, color)
  }
  if (textDecoration === 'line-through') through(fontSize, baseline, color)
  if (style.strike) through(style.size, glyphs.baseline, inkOf(svg, box, style.color))
}

/** Below the baseline by half its thickness, at least 1 px, making way for what hangs down. */
function underline(
  svg: SvgWriter,
  glyphs: Standing,
  baseline: number,
  [left, right]: Gap,
  { thickness, color }: Decorated,
) {
  const top = Math.floor(baseline + Math.max(1, Math.ceil(thickness / 2)) + 0.5)
  const room = Math.min(thickness, 13)
  const gaps = glyphs.all.flatMap(({ run, index, x }): Gap[] => {
    const scale = run.size / run.face.upem
    const data = run.face.path(run.glyphs[index]!)
    const below = glyphs.baseline - top
    const found = inkBetween(data, (below - thickness) / scale, below / scale)
    return found ? [[x + found[0] * scale - room, x + found[1] * scale + room]] : []
  })
  let at = left
  for (const [from, to] of gaps.sort((a, b) => a[0] - b[0])) {
    if (from > at) bar(svg, [at, Math.min(from, right)], top, thickness, color)
    at = Math.max(at, to)
  }
  if (at < right) bar(svg, [at, right], top, thickness, color)
}

function bar(svg: SvgWriter, [left, right]: Gap, top: number, thickness: number, color: string) {
  if (right > left)
    svg.draw(
      `<rect x="${num(left)}" y="${num(Math.floor(top + 0.5))}" width="${num(right - left)}" height="${num(thickness)}" ${painted('fill', color)}/>`,
    )
}
