/**
 * Draws a page's layout as absolutely positioned elements and afterwards touches only what changed. Outside of React,
 * so that a gesture costs what it changes.
 */
import type { Document } from '../../core/document/document'
import type { Resolved } from '../../core/document/resolve'
import { fontStack } from '../../core/handoff/css'
import { textOffset } from '../../core/layout/baseline'
import { Flow, type LayoutBox } from '../../core/layout/box'
import { lineLeft, paintOrder } from '../../core/layout/drawing'
import type { PageLayout } from '../../core/layout/page'
import type { Line, Paragraph } from '../../core/text/paragraph'
import type { Piece } from '../../core/text/shaped-text'
import { pictureUrl } from '../session/pictures'

type Drawn = {
  element: HTMLElement
  resolved?: Resolved
  paragraph?: Paragraph | null
  width: number
  height: number
  x: number
  y: number
}

export class SheetPainter {
  private readonly drawn = new Map<string, Drawn>()
  /** A text being edited in place is drawn by its editor instead. */
  hidden: string | undefined

  constructor(
    private readonly root: HTMLElement,
    private readonly doc: Document,
  ) {}

  /** @param top @param bottom px on the sheet: sections wholly outside are not drawn */
  update(layout: PageLayout, top: number, bottom: number) {
    const seen = new Set<string>()
    const near = (section: LayoutBox) => section.y < bottom && section.y + section.height > top
    this.children(this.root, paintOrder(layout.root).filter(near), seen)
    for (const [id, { element }] of this.drawn) {
      if (seen.has(id)) continue
      element.remove()
      this.drawn.delete(id)
    }
  }

  private children(host: HTMLElement, kids: readonly LayoutBox[], seen: Set<string>) {
    let previous: Element | null = null
    for (const kid of kids) {
      const drawn = this.box(kid, seen)
      const expected: Element | null = previous ? previous.nextElementSibling : host.firstElementChild
      if (expected !== drawn.element) host.insertBefore(drawn.element, expected)
      previous = drawn.element
    }
  }

  private box(box: LayoutBox, seen: Set<string>): Drawn {
    seen.add(box.id)
    let drawn = this.drawn.get(box.id)
    const picture = box.flow === Flow.Picture && box.resolved.asset !== undefined
    if (drawn && (drawn.element.tagName === 'IMG') !== picture) {
      drawn.element.remove()
      drawn = undefined
    }
    if (!drawn) {
      const element = document.createElement(picture ? 'img' : 'div')
      element.dataset.node = box.id
      drawn = { element, width: -1, height: -1, x: Number.NaN, y: Number.NaN }
      this.drawn.set(box.id, drawn)
    }
    const { element } = drawn
    const resized = drawn.width !== box.width || drawn.height !== box.height
    if (drawn.x !== box.x || drawn.y !== box.y || resized) {
      // Positions are relative to the parent's padding edge here, to its border edge in the layout.
      const parent = box.parent!
      element.style.left = `${box.x - parent.borL}px`
      element.style.top = `${box.y - parent.borT}px`
      element.style.width = `${box.width}px`
      element.style.height = `${box.height}px`
      drawn.x = box.x
      drawn.y = box.y
    }
    const restyled = drawn.resolved !== box.resolved
    if (restyled) this.look(element, box)
    if (box.paragraph && (restyled || resized || drawn.paragraph !== box.paragraph))
      this.text(element, box, box.paragraph)
    element.style.visibility = this.hidden === box.id ? 'hidden' : ''
    drawn.resolved = box.resolved
    drawn.paragraph = box.paragraph
    drawn.width = box.width
    drawn.height = box.height
    if (!box.paragraph && !picture) this.children(element, paintOrder(box), seen)
    return drawn
  }

  private look(element: HTMLElement, box: LayoutBox) {
    const { resolved } = box
    const { style } = element
    style.backgroundColor = resolved.fill ?? (box.flow === Flow.Picture && !resolved.asset ? '#d8d4ca' : '')
    style.backgroundImage = resolved.gradient
      ? `linear-gradient(${resolved.gradient.angle}deg, ${resolved.gradient.stops.map((stop) => `${stop.color} ${stop.at}%`).join(', ')})`
      : ''
    const borders = [box.borT, box.borR, box.borB, box.borL]
    style.borderWidth = borders.map((border) => `${border}px`).join(' ')
    style.borderStyle = borders.some((border) => border > 0) ? (resolved.borderStyle ?? 'solid') : ''
    style.borderColor = resolved.borderColor ?? resolved.color ?? ''
    style.borderRadius = resolved.radius ? `${resolved.radius}px` : ''
    style.boxShadow = resolved.shadow
      ? `${resolved.shadow.x}px ${resolved.shadow.y}px ${resolved.shadow.blur}px ${resolved.shadow.spread}px ${resolved.shadow.color}`
      : ''
    style.opacity = resolved.opacity === 1 ? '' : String(resolved.opacity)
    style.mixBlendMode = resolved.blend === 'normal' ? '' : (resolved.blend ?? '')
    style.overflow = resolved.clip ? 'hidden' : ''
    style.zIndex = ''
    style.rotate = resolved.rotate ? `${resolved.rotate}deg` : ''
    if (element instanceof HTMLImageElement) {
      const asset = this.doc.assets.get(resolved.asset!)
      const source = asset ? pictureUrl(asset) : ''
      if (element.getAttribute('src') !== source) element.src = source
      element.alt = ''
      element.draggable = false
      style.objectFit = resolved.fit ?? 'cover'
      style.objectPosition = `${resolved.focusX}% ${resolved.focusY}%`
      style.padding = `${box.padT}px ${box.padR}px ${box.padB}px ${box.padL}px`
    }
  }

  private text(element: HTMLElement, box: LayoutBox, paragraph: Paragraph) {
    const room = Math.max(0, box.width - box.padX)
    const offset = textOffset(box, box.width, box.height)
    element.textContent = ''
    for (const line of paragraph.lines(room)) {
      const row = document.createElement('div')
      const { style } = row
      style.left = `${box.padL + lineLeft(line, room, box.resolved.textAlign)}px`
      style.top = `${box.padT + offset + line.top}px`
      style.height = `${line.height}px`
      style.whiteSpace = 'pre'
      fillLine(row, paragraph, line, box.resolved)
      element.append(row)
    }
  }
}

function fillLine(row: HTMLElement, paragraph: Paragraph, line: Line, resolved: Resolved) {
  if (!paragraph.uniform) {
    // The browser would find a baseline of its own among several sizes: an upright of the core's height sets it.
    row.style.lineHeight = '0'
    const upright = document.createElement('i')
    upright.style.display = 'inline-block'
    upright.style.height = `${line.baseline}px`
    row.append(upright)
  }
  for (const piece of paragraph.pieces) {
    const start = Math.max(piece.start, line.start)
    const end = Math.min(piece.end, line.end)
    if (start >= end) continue
    const span = document.createElement('span')
    span.textContent = paragraph.text.slice(start, end)
    styleSpan(span, piece, paragraph.uniform ? `${line.height}px` : '0', resolved)
    row.append(span)
  }
  if (line.hyphen) row.lastElementChild?.append(line.hyphen.text)
}

function styleSpan(span: HTMLElement, { style: type }: Piece, lineHeight: string, resolved: Resolved) {
  const { style } = span
  style.fontFamily = fontStack(type.family)
  style.fontSize = `${type.size}px`
  style.fontWeight = String(type.weight)
  style.fontStyle = type.italic ? 'italic' : 'normal'
  style.lineHeight = lineHeight
  style.letterSpacing = type.letterSpacing ? `${type.letterSpacing}px` : 'normal'
  style.color = type.color ?? '#000000'
  style.textDecoration =
    resolved.textDecoration === 'none' ? (type.link ? 'underline' : '') : (resolved.textDecoration ?? '')
}
