/**
 * Draws a page's layout with the very declarations that are handed off, each box where the core has put it, and afterwards touches
 * only what changed. In a shadow tree, where the handoff's style sheet holds and the app's does not; outside of React, so that a
 * gesture costs what it changes.
 */
import type { Document } from '../../core/document/document'
import { DEFAULT_LANG } from '../../core/document/language'
import { cascaded } from '../../core/document/resolve'
import { formSvg } from '../../core/forms/form-svg'
import { fontStack } from '../../core/handoff/css'
import { ICON_CLASS, ICON_DECLARATIONS, iconHtml } from '../../core/handoff/inline-icon'
import { RESET } from '../../core/handoff/reset'
import { PLACEHOLDER } from '../../core/handoff/site'
import { tokenProperties } from '../../core/handoff/token-rules'
import { type Outside, writingFor } from '../../core/handoff/written'
import { Flow, type LayoutBox } from '../../core/layout/box'
import type { PageLayout } from '../../core/layout/page'
import { areReordered } from '../../core/paint/layers'
import { type PlacedLine, placedLines, showsLinks } from '../../core/paint/lines'
import { stackingDeclarations, stackingIn, standing } from '../../core/paint/stacking'
import { axesText } from '../../core/properties/axes'
import { featuresText, numericText } from '../../core/properties/css-text'
import { lookDeclarations } from '../../core/properties/declarations'
import { noiseNamed, noiseUrl } from '../../core/properties/noise'
import type { Resolved } from '../../core/properties/table'
import { SCRIPT_SIZE } from '../../core/text/script-box'
import type { PieceStyle } from '../../core/text/shaped-text'
import type { Typeset } from '../../core/text/typeset'
import { pictureUrl } from '../session/pictures'

/** Over everything that lies in front of something. */
const TOP = 2 ** 31 - 1

type Drawn = {
  element: HTMLElement
  resolved?: Resolved
  /** Its declarations, and all else that its look is made of. */
  look?: string
  /** What is lifted in it: its place among what is drawn depends on that. */
  lifted?: readonly LayoutBox[]
  typeset?: Typeset | null
  /** The rows of a text, by what stands in them. */
  rows?: { says: string; elements: HTMLElement[] }
  width: number
  height: number
  x: number
  y: number
}

/**
 * Blocks lie in one cell of a grid, moved by their margins: like the items of rows, columns and lattices they are drawn one after
 * the other, and what is positioned in them after all that is not. Sections are plain blocks, or items of a column.
 */
const BOARD = `
.page {
  all: initial;
  display: block;
  position: absolute;
  inset: 0;
  overflow: hidden;
  text-rendering: geometricPrecision;
  font-synthesis-weight: none;
  font-optical-sizing: none;
  text-spacing-trim: space-all;
}
.page.ordered { display: flex; flex-direction: column; }
.page > div { flex: none; }
div { display: grid; grid-template: 0 / 0; place-items: start; place-content: start; }
div > * { grid-area: 1 / 1; }
div.shape { grid-template: none; place-items: stretch; place-content: stretch; }
.line { display: block; white-space: pre; }
/* Its words are in the field over it; what it is filled and bordered with stays. */
.written > .line { visibility: hidden; }
.leftward { direction: rtl; }
.page i { display: inline-block; }
.${ICON_CLASS} { ${ICON_DECLARATIONS.map((each) => each.join(':')).join(';')} }`

let sheets: CSSStyleSheet[] | undefined
function styleSheets(): CSSStyleSheet[] {
  sheets ??= [RESET, BOARD].map((text) => {
    const sheet = new CSSStyleSheet()
    sheet.replaceSync(text)
    return sheet
  })
  return sheets
}

export class SheetPainter {
  private readonly drawn = new Map<string, Drawn>()
  private readonly page = document.createElement('div')
  private tokens: unknown
  /** A text being edited in place is drawn by its editor instead. */
  written: string | undefined

  constructor(
    host: HTMLElement,
    private readonly doc: Document,
  ) {
    const root = host.shadowRoot ?? host.attachShadow({ mode: 'open' })
    root.adoptedStyleSheets = styleSheets()
    this.page.className = 'page'
    root.replaceChildren(this.page)
  }

  private readonly outside: Outside = {
    picture: (id) => {
      const noise = noiseNamed(id)
      if (noise) return noiseUrl(noise)
      const asset = this.doc.assets.get(id)
      return asset && pictureUrl(asset)
    },
  }

  /**
   * @param top @param bottom px on the sheet: sections wholly outside are not drawn
   * @param theme whose colours it has
   * @param ground what blocks blend with below all others
   */
  update(layout: PageLayout, top: number, bottom: number, theme?: string, ground = '') {
    const tokens = this.doc.tokensAt(layout.viewId, theme, layout.used.width)
    if (this.tokens !== tokens) {
      this.tokens = tokens
      this.page.style.cssText = tokenProperties(tokens).join(';')
    }
    this.page.style.backgroundColor = ground
    const seen = new Set<string>()
    const { root } = layout
    const near = (section: LayoutBox) => section.y < bottom && section.y + section.height > top
    const sections = standing(root).filter(near)
    this.page.classList.toggle(
      'ordered',
      areReordered(root.node.children.map((id) => layout.boxes.get(id)?.node)),
    )
    // Sections follow one another: each keeps its distance to the one drawn before it.
    let end = 0
    this.children(this.page, sections, seen, layout, (section) => {
      const before = end
      end = section.y + section.height
      return section.y - before
    })
    const { panel } = layout
    if (panel && !panel.hidden) this.page.append(this.box(panel, seen, layout).element)
    for (const [id, { element }] of this.drawn) {
      if (seen.has(id)) continue
      element.remove()
      this.drawn.delete(id)
    }
  }

  private children(
    host: HTMLElement,
    kids: readonly LayoutBox[],
    seen: Set<string>,
    layout: PageLayout,
    down?: (kid: LayoutBox) => number,
  ) {
    let previous: Element | null = null
    for (const kid of kids) {
      const drawn = this.box(kid, seen, layout, down?.(kid))
      const expected: Element | null = previous ? previous.nextElementSibling : host.firstElementChild
      if (expected !== drawn.element) host.insertBefore(drawn.element, expected)
      previous = drawn.element
    }
  }

  /** @param down px below what comes before it; left out: it lies at a place of its own */
  private box(box: LayoutBox, seen: Set<string>, layout: PageLayout, down?: number): Drawn {
    const { id } = box
    seen.add(id)
    let drawn = this.drawn.get(id)
    const picture = box.flow === Flow.Picture
    if (drawn && (drawn.element.tagName === 'IMG') !== picture) {
      drawn.element.remove()
      drawn = undefined
    }
    if (!drawn) {
      const element = document.createElement(picture ? 'img' : 'div')
      element.dataset.node = id
      drawn = { element, width: -1, height: -1, x: Number.NaN, y: Number.NaN }
      this.drawn.set(id, drawn)
    }
    const { element } = drawn
    const resized = drawn.width !== box.width || drawn.height !== box.height
    const isOther = drawn.resolved !== box.resolved || drawn.lifted !== box.lifted
    // Another colour of a token is the sheet's to say: what refers to it stays as it is.
    const restyled = isOther && this.look(drawn, box, layout)
    const y = down ?? box.y - box.parent!.borT
    if (drawn.x !== box.x || drawn.y !== y || resized || restyled) {
      place(element, box, down === undefined ? box.x - box.parent!.borL : 0, y)
      drawn.x = box.x
      drawn.y = y
    }
    const rewritten = restyled || drawn.typeset !== box.typeset || (isOther && hasInks(box.typeset))
    // Padding and borders move words, too, and change neither their box nor their look.
    if (box.typeset && (rewritten || resized || isOther)) this.text(drawn, box, layout, rewritten)
    element.classList.toggle('written', this.written === id)
    drawn.resolved = box.resolved
    drawn.lifted = box.lifted
    drawn.typeset = box.typeset
    drawn.width = box.width
    drawn.height = box.height
    if (!box.typeset && !picture && box.node.kind !== 'shape')
      this.children(element, standing(box), seen, layout)
    return drawn
  }

  /** @returns whether it is another than before */
  private look(drawn: Drawn, box: LayoutBox, layout: PageLayout): boolean {
    const { element } = drawn
    const { resolved, node } = box
    const raw = cascaded(this.doc, node, layout.viewId)
    const declarations = lookDeclarations(node.kind, raw, resolved, writingFor(layout.tokens, this.outside))
    for (const [name, value] of stackingDeclarations(stackingIn(box))) declarations.set(name, value)
    if (box === layout.panel) declarations.set('z-index', String(TOP))
    // Each line carries its own.
    if (box.typeset) declarations.delete('text-decoration')
    const css = [...declarations].map(([name, value]) => `${name}:${value}`).join(';')
    const look = [css, resolved.textDecoration, ...contentOf(this.doc, box)].join('|')
    if (drawn.look === look) return false
    drawn.look = look
    element.style.cssText = css
    if (node.kind === 'shape') drawForm(element, box)
    if (element instanceof HTMLImageElement) {
      const source = sourceOf(this.doc, box)
      if (element.getAttribute('src') !== source) element.src = source
      element.alt = ''
      element.draggable = false
      element.style.padding = `${box.padT}px ${box.padR}px ${box.padB}px ${box.padL}px`
    }
    return true
  }

  /** @param anew the words or their look may be others */
  private text(drawn: Drawn, box: LayoutBox, layout: PageLayout, anew: boolean) {
    const lines = placedLines(box)
    const says = lines.map(({ line, spread }) => `${line.start}-${line.end}-${line.height}-${spread}`).join()
    // Of another width, with the same lines, they are only moved.
    if (!anew && drawn.rows?.says === says) return placeRows(drawn.rows.elements, box, lines)
    const { element } = drawn
    element.textContent = ''
    element.lang = box.resolved.lang ?? DEFAULT_LANG
    const write = writingFor(layout.tokens)
    // Of themselves they have the block's.
    const ink: Ink = (color) =>
      color === undefined || color === box.resolved.color ? undefined : write.color(color)
    for (const placed of lines) {
      const { marker } = placed
      if (marker) {
        const row = newRow(placed, box.resolved.wordSpacing ?? 0)
        raiseLine(row, placed)
        const span = row.appendChild(document.createElement('span'))
        span.textContent = marker.text
        styleSpan(span, marker, ink, false)
        element.append(row)
      }
      const row = newRow(placed, box.resolved.wordSpacing ?? 0)
      if (box.resolved.textDecoration !== 'none') row.style.textDecoration = box.resolved.textDecoration!
      fillLine(row, placed, ink, showsLinks(box))
      element.append(row)
    }
    drawn.rows = { says, elements: [...element.children] as HTMLElement[] }
    placeRows(drawn.rows.elements, box, lines)
  }
}

/** Whether parts of a text have colours of their own, which are written where they differ from the block's. */
const hasInks = (typeset: Typeset | null): boolean =>
  typeset?.sets.some(({ paragraph }) => paragraph.pieces.some(({ style }) => style.color !== undefined)) ??
  false

/** What is drawn in a shape or a picture. */
function contentOf(doc: Document, box: LayoutBox): unknown[] {
  if (box.node.kind === 'shape') return [JSON.stringify(box.resolved.form)]
  if (box.flow !== Flow.Picture) return []
  return [sourceOf(doc, box), box.padT, box.padR, box.padB, box.padL]
}

/** Where a picture's bytes are. */
function sourceOf(doc: Document, { resolved }: LayoutBox): string {
  const asset = resolved.asset ? doc.assets.get(resolved.asset) : undefined
  return asset ? pictureUrl(asset) : PLACEHOLDER
}

/** @param rows of `lines` in their order, markers before theirs */
function placeRows(rows: readonly HTMLElement[], box: LayoutBox, lines: readonly PlacedLine[]) {
  let i = 0
  for (const { marker, x, top } of lines)
    for (const left of marker ? [marker.x, x] : [x]) {
      const { style } = rows[i++]!
      style.marginLeft = `${left - box.borL}px`
      style.marginTop = `${top - box.borT}px`
    }
}

function place({ style }: HTMLElement, box: LayoutBox, x: number, y: number) {
  style.width = `${box.width}px`
  style.height = `${box.height}px`
  const lifted = box.pins !== null
  style.left = lifted ? `${x}px` : ''
  style.top = lifted ? `${y}px` : ''
  style.marginLeft = lifted ? '' : `${x}px`
  style.marginTop = lifted ? '' : `${y}px`
}

const SVG = 'http://www.w3.org/2000/svg'

/** A shape's drawing, as it is handed off; its colours are the element's. */
function drawForm(element: HTMLElement, { id, resolved }: LayoutBox) {
  const svg = element.firstElementChild ?? element.appendChild(document.createElementNS(SVG, 'svg'))
  element.className = 'shape'
  const { attributes, content } = formSvg(resolved.form!, `line-${id}`)
  for (const { name } of [...svg.attributes]) svg.removeAttribute(name)
  for (const [name, value] of attributes) svg.setAttribute(name, value)
  svg.innerHTML = content.join('')
}

/** @param own px between the text's words */
function newRow({ paragraph, line, spread }: PlacedLine, own: number): HTMLElement {
  const row = document.createElement('div')
  row.className = paragraph.direction === 'rtl' ? 'line leftward' : 'line'
  row.style.height = `${line.height}px`
  if (spread > 0) row.style.wordSpacing = `${spread + own}px`
  return row
}

function raiseLine(row: HTMLElement, { paragraph, line }: PlacedLine) {
  if (!paragraph.uniform) {
    // The browser would find a baseline of its own among several sizes: an upright of the core's height sets it.
    row.style.lineHeight = '0'
    const upright = document.createElement('i')
    upright.style.height = `${line.baseline}px`
    row.append(upright)
  } else row.style.lineHeight = `${line.height}px`
}

/** A colour of words as the sheet writes it. */
type Ink = (color: string | undefined) => string | undefined

function fillLine(row: HTMLElement, placed: PlacedLine, ink: Ink, ownLinks: boolean) {
  const { paragraph, line } = placed
  raiseLine(row, placed)
  for (const piece of paragraph.pieces) {
    const start = Math.max(piece.start, line.start)
    const end = Math.min(piece.end, line.end)
    if (start >= end) continue
    const span = document.createElement('span')
    if (piece.style.raise !== undefined) raiseSpan(span, piece.style.raise)
    if (piece.style.icon) span.innerHTML = iconHtml(piece.style.icon, undefined)
    else span.textContent = paragraph.text.slice(start, end)
    styleSpan(span, piece, ink, ownLinks)
    row.append(
      isLinked(piece.style, ownLinks) && piece.style.raise !== undefined
        ? linedAround(span, piece.style)
        : span,
    )
  }
  if (line.hyphen) row.lastElementChild?.append(line.hyphen.text)
  if (line.ellipsis) row.append(line.ellipsis.text)
}

/** Words set higher or lower make no line higher. */
function raiseSpan({ style }: HTMLElement, raise: number) {
  style.verticalAlign = `${raise}px`
  style.lineHeight = '0'
}

const isLinked = ({ link }: PieceStyle, ownLinks: boolean) => ownLinks && link !== undefined

/** A link's line goes on under words in it that are set higher, or lower. */
function linedAround(span: HTMLElement, { size }: PieceStyle): HTMLElement {
  const link = document.createElement('span')
  link.style.fontSize = `${size / SCRIPT_SIZE}px`
  link.style.color = span.style.color
  link.style.textDecoration = 'underline'
  link.append(span)
  return link
}

function styleSpan(span: HTMLElement, { style: type }: { style: PieceStyle }, ink: Ink, ownLinks: boolean) {
  const { style } = span
  style.fontFamily = fontStack(type.family)
  style.fontSize = `${type.size}px`
  style.fontWeight = String(type.weight)
  style.fontStyle = type.italic ? 'italic' : 'normal'
  style.letterSpacing = type.letterSpacing ? `${type.letterSpacing}px` : 'normal'
  style.fontVariantNumeric = numericText(type.figures ?? 'normal') ?? ''
  style.fontFeatureSettings = featuresText(type.features ?? 'normal') ?? ''
  style.fontVariationSettings = axesText(type.axes ?? 'normal') ?? ''
  const color = ink(type.color)
  if (color) style.color = color
  const lines = [
    (type.underline || (isLinked(type, ownLinks) && type.raise === undefined)) && 'underline',
    type.strike && 'line-through',
  ].filter(Boolean)
  if (lines.length > 0) style.textDecoration = lines.join(' ')
}
