/** A page drawn as SVG from the core's own boxes and glyphs: thumbnails, and PNG where no browser is, are made from it. */
import type { Blobs } from '../../blobs/blobs'
import type { Document } from '../../document/document'
import { pathIn } from '../../forms/form'
import { isTipped, tipPath, tipsIn } from '../../forms/form-svg'
import { pathData } from '../../forms/path'
import { type Area, inset, pathOf, type Shape, shape, spread } from '../../forms/round-rect'
import { Flow, type LayoutBox } from '../../layout/box'
import type { PageLayout } from '../../layout/page'
import type { Rect } from '../../layout/rect'
import { type Layer, layersOf } from '../../paint/layers'
import { paperOf } from '../../paint/paper'
import { num } from '../../properties/css-text'
import { isInBorder, type Shadow, shownItems } from '../../properties/items'
import { lineWidth, type Outline } from '../../properties/look'
import type { Stroke } from '../../properties/shape'
import { htmlAttribute, isCssValue } from '../escape'
import { drawBorder, type Side } from './borders'
import { cutOf, filterOf } from './effects'
import { drawFills } from './fills'
import { drawPicture } from './pictures'
import { Canvas, reachOf, type Turn, turnedArea } from './reach'
import { drawInnerShadow, drawShadow, shadowArea } from './shadow'
import { drawIconsAlone, drawLetters, drawWords, type Spot } from './words'
import { painted, SvgWriter } from './writer'

class PageWriter {
  private readonly spots = new Map<LayoutBox, Spot>()
  constructor(
    readonly doc: Document,
    readonly blobs: Blobs,
    private readonly svg: SvgWriter,
    private readonly canvas: Canvas,
    readonly isSmall: boolean,
    /** What is drawn last, and without its words. */
    private readonly last?: LayoutBox,
  ) {}

  private isDone = false

  /** Where a block stands, px from the page's top left as if nothing were turned; what is turned begins on a whole px. */
  private spot(box: LayoutBox): Spot {
    let spot = this.spots.get(box)
    if (spot) return spot
    const { parent } = box
    if (!parent) spot = { left: 0, top: 0, level: true }
    else {
      const around = this.spot(parent)
      const [left, top] = [around.left + box.x, around.top + box.y]
      spot = box.resolved.rotate
        ? { left: Math.round(left), top: Math.round(top), level: false }
        : { left, top, level: around.level }
    }
    this.spots.set(box, spot)
    return spot
  }

  /** The border box, on whole px as browsers draw it. */
  private outline(box: LayoutBox): Shape {
    const { left, top } = this.spot(box)
    const round = Math.round
    const { radiusTopLeft, radiusTopRight, radiusBottomRight, radiusBottomLeft } = box.resolved
    const radii = [radiusTopLeft, radiusTopRight, radiusBottomRight, radiusBottomLeft]
    return shape(round(left), round(top), round(left + box.width), round(top + box.height), radii)
  }

  /** @param cut what the layer around cuts off of this one: one group does that and blends, or it would blend with nothing */
  layer({ box, items }: Layer, cut: readonly LayoutBox[] = []) {
    const { svg } = this
    const { cut: to } = box.resolved
    const shape = this.outline(box)
    // What is cut off the page is not seen, and some writers of pictures fail on a mask without a pixel.
    if (to && this.isOff(box, shape)) return
    // One in another: put onto what is below, turned, cut, filtered (Filter Effects 1 §2: filters first, then masks, then opacity).
    const groups = [
      `${this.cut(cut)}${blendOf(box)}`,
      this.turnOf(box),
      cutOf(svg, to, shape),
      filterOf(svg, box.resolved, shape, this.canvas),
    ].filter(Boolean)
    for (const attributes of groups) svg.draw(`<g${attributes}>`)
    let open: readonly LayoutBox[] = []
    const within = (clips: readonly LayoutBox[]) => {
      if (sameList(open, clips)) return
      if (open.length > 0) svg.draw('</g>')
      if (clips.length > 0) svg.draw(`<g${this.cut(clips)}>`)
      open = clips
    }
    for (const item of items) {
      if (this.isDone) break
      within('layer' in item ? [] : item.clips)
      if ('layer' in item) this.layer(item.layer, item.clips)
      else this.box(item.box)
    }
    // Outlines lie over everything in their layer (CSS 2.2 appendix E, step 10).
    for (const item of items) {
      if (this.isDone || 'layer' in item || !item.box.resolved.outline?.width) continue
      within(item.clips)
      this.around(item.box, item.box.resolved.outline)
    }
    within([])
    for (const _ of groups) svg.draw('</g>')
  }

  private turn(box: LayoutBox): Turn | undefined {
    const { rotate } = box.resolved
    if (!rotate) return undefined
    const { left, top } = this.spot(box)
    return { degrees: rotate, x: left + box.width / 2, y: top + box.height / 2 }
  }

  private turnOf(box: LayoutBox): string {
    const turn = this.turn(box)
    return turn ? ` transform="rotate(${num(turn.degrees)} ${num(turn.x)} ${num(turn.y)})"` : ''
  }

  /** Of a block and of all that it lies in, the innermost first. */
  private turns(box: LayoutBox): Turn[] {
    const turns: Turn[] = []
    if (this.spot(box).level) return turns
    for (let at: LayoutBox | null = box; at; at = at.parent) {
      const turn = this.turn(at)
      if (turn) turns.push(turn)
    }
    return turns
  }

  private cut(clips: readonly LayoutBox[]): string {
    return clips.length > 0 ? ` clip-path="url(#${this.clip(clips)})"` : ''
  }

  /** Of what blocks cut off, one in another: everything outside of their padding boxes. */
  private clip(clips: readonly LayoutBox[]): string {
    const box = clips.at(-1)!
    const around = clips.slice(0, -1)
    const key = `clip ${clips.map(({ id }) => id).join(' ')}`
    const inner = inset(this.outline(box), [box.borT, box.borR, box.borB, box.borL])
    const within = this.cut(around)
    return this.svg.define(
      'k',
      (id) => `<clipPath id="${id}"${within}><path d="${pathOf(inner)}"/></clipPath>`,
      key,
    )
  }

  private box(box: LayoutBox) {
    this.isDone ||= box === this.last
    const { svg } = this
    const { resolved } = box
    const outer = this.outline(box)
    // The first of a list lies on top.
    const shadows = shownItems(resolved.shadows).reverse()
    const inner = inset(outer, [box.borT, box.borR, box.borB, box.borL])
    const spot = this.spot(box)
    const reach = reachOf(box, outer, inner, spot)
    if (this.isOff(box, reach)) return
    const foothold = this.canvas.foothold(reach, this.turns(box))
    svg.draw(foothold)
    // Its area may be off where the block is not: a filter, too, needs a pixel.
    const isSeen = (shadow: Shadow) => !this.isOff(box, shadowArea(shadow.inset ? inner : outer, shadow))
    for (const shadow of shadows) if (!shadow.inset && isSeen(shadow)) drawShadow(svg, outer, shadow)
    if (box.node.kind === 'shape') return this.shape(box)
    const fills = fillsOf(box)
    const inWords = resolved.fillsIn === 'words' && fills.length > 0
    if (inWords && (box === this.last || this.isOff(box, outer))) return
    if (inWords)
      svg.draw(
        `<g role="img" aria-label="${htmlAttribute(box.typeset?.said ?? '')}" mask="url(#${this.wordsMask(box, outer)})">`,
      )
    if (!this.isOff(box, outer)) drawFills(svg, this, outer, inner, fills)
    if (inWords) svg.draw('</g>')
    for (const shadow of shadows) if (shadow.inset && isSeen(shadow)) drawInnerShadow(svg, inner, shadow)
    const sides = [resolved.borderTop, resolved.borderRight, resolved.borderBottom, resolved.borderLeft]
    this.border(
      box,
      outer,
      sides.map((side) => ({
        width: side?.width ?? 0,
        style: side?.style ?? 'solid',
        color: side?.color ?? resolved.color ?? '#000000',
      })),
    )
    if (box.flow === Flow.Picture) this.picture(box, outer)
    else if (box.typeset && box !== this.last) this.words(box, foothold, inWords ? drawIconsAlone : drawWords)
  }

  /** In its colours, or what is filled in its place. */
  private border(box: LayoutBox, outer: Shape, sides: readonly Side[]) {
    const { svg } = this
    const fills = shownItems(box.resolved.fills).filter(isInBorder)
    if (fills.length === 0) return drawBorder(svg, outer, sides)
    if (this.isOff(box, outer) || sides.every(({ width }) => width === 0)) return
    const drawn = svg.aside(() =>
      drawBorder(
        svg,
        outer,
        sides.map((side) => ({ ...side, color: '#ffffff' })),
      ),
    )
    svg.draw(`<g mask="url(#${this.mask(outer, drawn)})">`)
    drawFills(svg, this, outer, outer, fills)
    svg.draw('</g>')
  }

  private mask({ left, top, right, bottom }: Shape, drawn: string): string {
    const area = `x="${num(left)}" y="${num(top)}" width="${num(right - left)}" height="${num(bottom - top)}"`
    return this.svg.define(
      'm',
      (id) => `<mask id="${id}" maskUnits="userSpaceOnUse" mask-type="alpha" ${area}>${drawn}</mask>`,
    )
  }

  private isOff(box: LayoutBox, area: Area): boolean {
    return this.canvas.isOff(turnedArea(area, this.turns(box)))
  }

  private around(box: LayoutBox, { width: said, style = 'solid', color, offset }: Outline) {
    const width = lineWidth(said)
    const side = { width, style, color: color ?? box.resolved.color ?? '#000000' }
    const outer = spread(this.outline(box), offset + width)
    if (this.isOff(box, outer)) return
    this.svg.draw(this.canvas.foothold(outer, this.turns(box)))
    drawBorder(this.svg, outer, [side, side, side, side])
  }

  private picture(box: LayoutBox, outer: Shape) {
    if (this.isOff(box, outer)) return
    const { svg, doc, blobs } = this
    const edges = [box.borT + box.padT, box.borR + box.padR, box.borB + box.padB, box.borL + box.padL]
    const { asset, alt } = box.resolved
    const named = alt ? `role="img" aria-label="${htmlAttribute(alt)}"` : 'aria-hidden="true"'
    svg.draw(`<g ${named}>`)
    drawPicture(svg, inset(outer, edges), asset ? doc.assets.get(asset) : undefined, blobs, box.resolved)
    svg.draw('</g>')
  }

  /** Fills are seen as far as the words are drawn, in whatever colour. */
  private wordsMask(box: LayoutBox, outer: Shape): string {
    return this.mask(
      outer,
      this.svg.aside(() => drawLetters(this.svg, box, this.spot(box))),
    )
  }

  private shape(box: LayoutBox) {
    const { form, paint, stroke, alt } = box.resolved
    const { left, top } = this.spot(box)
    const data = pathData(pathIn(form!, left, top, box.width, box.height))
    const named = alt ? `role="img" aria-label="${htmlAttribute(alt)}"` : 'aria-hidden="true"'
    const line = stroke && stroke.width > 0 ? strokeOf(stroke) : ''
    const fill = paint === undefined ? 'fill="none"' : painted('fill', paint)
    const path = (named: string) => `<path ${named} d="${data}" fill-rule="evenodd" ${fill}${line}/>`
    if (!isTipped(form) || !stroke) return this.svg.draw(path(named))
    const tips = tipsIn(form, box.width, box.height).map(({ tip, x, y, turn }) => {
      const place = `translate(${num(left + x)} ${num(top + y)}) rotate(${num(turn)}) scale(${num(stroke.width)})`
      return tipPath(tip, ` ${painted('stroke', stroke.color)} transform="${place}"`)
    })
    this.svg.draw(`<g ${named}>${path('')}${tips.join('')}</g>`)
  }

  private words(box: LayoutBox, foothold: string, draw: typeof drawWords) {
    const { svg } = this
    if (box.clip) svg.draw(`<g${this.cut([box])}>${foothold}`)
    draw(svg, box, this.spot(box))
    if (box.clip) svg.draw('</g>')
  }
}

function strokeOf({ width, color, cap = 'butt', join = 'miter', dash }: Stroke): string {
  const dashes = dash ? ` stroke-dasharray="${dash.map(num).join(' ')}"` : ''
  return ` ${painted('stroke', color)} stroke-width="${num(width)}" stroke-linecap="${cap}" stroke-linejoin="${join}"${dashes}`
}

/** But for those in its border. */
const fillsOf = ({ resolved }: LayoutBox) => shownItems(resolved.fills).filter((fill) => !isInBorder(fill))

const sameList = (a: readonly LayoutBox[], b: readonly LayoutBox[]) =>
  a.length === b.length && a.every((each, i) => each === b[i])

/** How a layer is put onto what is below it. Within it, nothing blends with that. */
function blendOf({ parent, resolved: { opacity, blend } }: LayoutBox): string {
  const faded = opacity === 1 ? '' : ` opacity="${num(opacity!)}"`
  if (blend !== 'normal' && isCssValue(blend!))
    return `${faded} style="mix-blend-mode:${htmlAttribute(blend!)};isolation:isolate"`
  // The page itself is the document's own group.
  return parent === null ? '' : `${faded} style="isolation:isolate"`
}

/** The page as an SVG document. @param blobs the pictures on it @param crop limits the height, px: for a small picture of it */
export function pageSvg(doc: Document, layout: PageLayout, blobs: Blobs, crop?: number): string {
  const svg = new SvgWriter(layout.tokens)
  const { width } = layout.root
  // Whole px: of others a browser takes 1/64, is larger by a millionth then, and draws tiles of 128 px with 129.
  const height = Math.min(crop ?? Number.POSITIVE_INFINITY, Math.max(1, Math.ceil(layout.height)))
  new PageWriter(doc, blobs, svg, new Canvas(width, height), crop !== undefined).layer(layersOf(layout))
  const title = htmlAttribute(doc.pages.get(layout.page)?.name ?? '')
  return svg.document({ x: 0, y: 0, width, height }, title, paperOf(doc, layout.root.node, layout.tokens))
}

/** What lies behind a block's words: all that is drawn before them, in an area of the page. */
export function groundSvg(
  doc: Document,
  layout: PageLayout,
  blobs: Blobs,
  box: LayoutBox,
  area: Rect,
): string {
  const svg = new SvgWriter(layout.tokens)
  const canvas = new Canvas(layout.root.width, Math.max(1, layout.height))
  new PageWriter(doc, blobs, svg, canvas, false, box).layer(layersOf(layout))
  return svg.document(area, '', paperOf(doc, layout.root.node, layout.tokens))
}
