/** A page drawn as SVG from the core's own boxes and glyphs: pictures of pages, PNG and PDF are made from it. */
import { type Blobs, dataUrl } from '../blobs/blobs'
import type { Document } from '../document/document'
import type { Resolved } from '../document/resolve'
import { textOffset } from '../layout/baseline'
import { Flow, type LayoutBox } from '../layout/box'
import { lineLeft, paintOrder } from '../layout/drawing'
import type { PageLayout } from '../layout/page'
import type { Paragraph } from '../text/paragraph'
import type { GlyphRun } from '../text/shape'
import { num } from './css'
import { cssColor, htmlAttribute, isCssValue } from './escape'

class SvgWriter {
  readonly body: string[] = []
  readonly defs: string[] = []
  private count = 0
  constructor(
    private readonly doc: Document,
    private readonly blobs: Blobs,
  ) {}

  box(box: LayoutBox, x: number, y: number) {
    const { resolved } = box
    const left = x + box.x
    const top = y + box.y
    const group: string[] = []
    if (resolved.opacity !== 1) group.push(`opacity="${num(resolved.opacity!)}"`)
    if (resolved.rotate)
      group.push(
        `transform="rotate(${num(resolved.rotate)} ${num(left + box.width / 2)} ${num(top + box.height / 2)})"`,
      )
    if (resolved.blend !== 'normal' && isCssValue(resolved.blend!))
      group.push(`style="mix-blend-mode:${htmlAttribute(resolved.blend!)}"`)
    const radius = Math.min(resolved.radius, box.width / 2, box.height / 2)
    if (group.length > 0) this.body.push(`<g ${group.join(' ')}>`)
    this.fill(box, left, top, radius)
    if (resolved.clip) {
      const id = `c${this.count++}`
      this.defs.push(
        `<clipPath id="${id}"><rect ${frame(left, top, box.width, box.height)} rx="${num(radius)}"/></clipPath>`,
      )
      this.body.push(`<g clip-path="url(#${id})">`)
    }
    if (box.flow === Flow.Picture) this.picture(box, left, top, radius)
    if (box.paragraph) this.text(box, box.paragraph, left, top)
    for (const kid of paintOrder(box)) this.box(kid, left, top)
    if (resolved.clip) this.body.push('</g>')
    if (group.length > 0) this.body.push('</g>')
  }

  private fill(box: LayoutBox, left: number, top: number, radius: number) {
    const { resolved } = box
    const at = `${frame(left, top, box.width, box.height)}${radius ? ` rx="${num(radius)}"` : ''}`
    if (resolved.shadow) {
      const { x, y, blur, spread, color } = resolved.shadow
      const id = `s${this.count++}`
      this.defs.push(
        `<filter id="${id}" x="-50%" y="-50%" width="200%" height="200%"><feGaussianBlur stdDeviation="${num(blur / 2)}"/></filter>`,
      )
      const shade = frame(
        left + x - spread,
        top + y - spread,
        box.width + 2 * spread,
        box.height + 2 * spread,
      )
      this.body.push(`<rect ${shade} rx="${num(radius)}" ${paint('fill', color)} filter="url(#${id})"/>`)
    }
    if (resolved.fill) this.body.push(`<rect ${at} ${paint('fill', resolved.fill)}/>`)
    if (resolved.gradient)
      this.body.push(
        `<rect ${at} fill="url(#${this.gradient(resolved.gradient, left, top, box.width, box.height)})"/>`,
      )
    this.border(box, left, top, radius)
  }

  private border(box: LayoutBox, left: number, top: number, radius: number) {
    const { resolved, borT, borR, borB, borL } = box
    if (borT + borR + borB + borL === 0) return
    const color = resolved.borderColor ?? '#000000'
    if (borT === borR && borR === borB && borB === borL) {
      const inside = frame(left + borT / 2, top + borT / 2, box.width - borT, box.height - borT)
      this.body.push(
        `<rect ${inside} rx="${num(Math.max(0, radius - borT / 2))}" fill="none" ${paint('stroke', color)} stroke-width="${num(borT)}"/>`,
      )
      return
    }
    const side = (x: number, y: number, w: number, h: number) => {
      if (w > 0 && h > 0) this.body.push(`<rect ${frame(x, y, w, h)} ${paint('fill', color)}/>`)
    }
    side(left, top, box.width, borT)
    side(left, top + box.height - borB, box.width, borB)
    side(left, top, borL, box.height)
    side(left + box.width - borR, top, borR, box.height)
  }

  /** CSS Images 3 §3.4.2: the gradient line's length for an angle. */
  private gradient(
    gradient: NonNullable<Resolved['gradient']>,
    left: number,
    top: number,
    width: number,
    height: number,
  ): string {
    const id = `g${this.count++}`
    const angle = (gradient.angle * Math.PI) / 180
    const half = (Math.abs(width * Math.sin(angle)) + Math.abs(height * Math.cos(angle))) / 2
    const cx = left + width / 2
    const cy = top + height / 2
    const dx = Math.sin(angle) * half
    const dy = -Math.cos(angle) * half
    const stops = gradient.stops.map(
      (stop) =>
        `<stop offset="${num(stop.at)}%" ${paint('stop', stop.color, 'stop-color', 'stop-opacity')}/>`,
    )
    this.defs.push(
      `<linearGradient id="${id}" gradientUnits="userSpaceOnUse" x1="${num(cx - dx)}" y1="${num(cy - dy)}" x2="${num(cx + dx)}" y2="${num(cy + dy)}">${stops.join('')}</linearGradient>`,
    )
    return id
  }

  private picture(box: LayoutBox, left: number, top: number, radius: number) {
    const asset = box.resolved.asset ? this.doc.assets.get(box.resolved.asset) : undefined
    const x = left + box.borL + box.padL
    const y = top + box.borT + box.padT
    const width = Math.max(0, box.width - box.padX)
    const height = Math.max(0, box.height - box.padY)
    const bytes = asset && this.blobs.get(asset.hash)
    if (!asset || !bytes) {
      this.body.push(`<rect ${frame(x, y, width, height)} rx="${num(radius)}" fill="#d8d4ca"/>`)
      return
    }
    const fitted = fitPicture(asset.width, asset.height, width, height, box.resolved)
    const id = `c${this.count++}`
    this.defs.push(
      `<clipPath id="${id}"><rect ${frame(x, y, width, height)} rx="${num(radius)}"/></clipPath>`,
    )
    this.body.push(
      `<g clip-path="url(#${id})"><image ${frame(x + fitted.x, y + fitted.y, fitted.width, fitted.height)} preserveAspectRatio="none" href="${htmlAttribute(dataUrl(asset.type, bytes))}"/></g>`,
    )
  }

  /** Underline or strike, where most fonts put them: a sixteenth of an em thick. */
  private decoration(box: LayoutBox, x: number, baseline: number, width: number) {
    const { textDecoration, fontSize, color } = box.resolved
    if (textDecoration === 'none' || textDecoration === undefined || width <= 0) return
    const y = textDecoration === 'underline' ? baseline + fontSize * 0.12 : baseline - fontSize * 0.3
    this.body.push(
      `<rect ${frame(x, y, width, Math.max(1, fontSize / 16))} ${paint('fill', color ?? '#000000')}/>`,
    )
  }

  private text(box: LayoutBox, paragraph: Paragraph, left: number, top: number) {
    const room = Math.max(0, box.width - box.padX)
    const x0 = left + box.borL + box.padL
    const y0 = top + box.borT + box.padT + textOffset(box, box.width, box.height)
    for (const line of paragraph.lines(room)) {
      const x = x0 + lineLeft(line, room, box.resolved.textAlign)
      const shift = x - paragraph.advances[line.start]
      const baseline = y0 + line.top + line.baseline
      this.decoration(box, x, baseline, line.width)
      for (const run of paragraph.runs) {
        if (run.end <= line.start || run.start >= line.end) continue
        for (const { start, end, style } of paragraph.pieces) {
          const part = { start: Math.max(start, line.start), end: Math.min(end, line.end) }
          if (part.start < run.end && part.end > run.start)
            this.glyphs(run, shift, baseline, style.color, part)
        }
      }
      if (line.hyphen) {
        const { runs, color, width } = line.hyphen
        for (const run of runs) this.glyphs(run, x + line.width - width, baseline, color)
      }
    }
  }

  private glyphs(
    run: GlyphRun,
    x: number,
    baseline: number,
    color = '#000000',
    within?: { start: number; end: number },
  ) {
    const scale = (run.size / run.face.upem).toFixed(6)
    let paths = ''
    for (let g = 0; g < run.glyphs.length; g++) {
      if (within && (run.cluster[g] < within.start || run.cluster[g] >= within.end)) continue
      const d = run.face.path(run.glyphs[g])
      if (d)
        paths += `<path transform="translate(${num(x + run.x[g])} ${num(baseline + run.y[g])}) scale(${scale} -${scale})" d="${d}"/>`
    }
    if (paths) this.body.push(`<g ${paint('fill', color)}>${paths}</g>`)
  }
}

const frame = (x: number, y: number, width: number, height: number) =>
  `x="${num(x)}" y="${num(y)}" width="${num(width)}" height="${num(height)}"`

/** SVG 1.1 renderers know no 8-digit hex: alpha goes into its own attribute. */
function paint(
  kind: 'fill' | 'stroke' | 'stop',
  color: string,
  name: string = kind,
  opacity = `${kind}-opacity`,
): string {
  const safe = cssColor(color)
  const alpha = safe.length === 9 ? Number.parseInt(safe.slice(7), 16) / 255 : 1
  return `${name}="${safe.startsWith('#') ? safe.slice(0, 7) : 'none'}"${alpha < 1 ? ` ${opacity}="${num(alpha)}"` : ''}`
}

/** `object-fit` and `object-position`: where the picture lies in its box, px. */
export function fitPicture(
  naturalWidth: number,
  naturalHeight: number,
  width: number,
  height: number,
  resolved: Pick<Resolved, 'fit' | 'focusX' | 'focusY'>,
) {
  if (resolved.fit === 'fill') return { x: 0, y: 0, width, height }
  const across = width / naturalWidth
  const down = height / naturalHeight
  const scale = resolved.fit === 'contain' ? Math.min(across, down) : Math.max(across, down)
  const w = naturalWidth * scale
  const h = naturalHeight * scale
  return {
    x: ((width - w) * resolved.focusX!) / 100,
    y: ((height - h) * resolved.focusY!) / 100,
    width: w,
    height: h,
  }
}

/** The page as an SVG document. @param blobs the pictures on it @param crop limits the height, px */
export function pageSvg(doc: Document, layout: PageLayout, blobs: Blobs, crop?: number): string {
  const writer = new SvgWriter(doc, blobs)
  for (const section of paintOrder(layout.root)) writer.box(section, 0, 0)
  const height = Math.min(crop ?? Number.POSITIVE_INFINITY, Math.max(1, layout.height))
  const width = layout.root.width
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${num(width)}" height="${num(height)}" viewBox="0 0 ${num(width)} ${num(height)}">` +
    `<title>${htmlAttribute(doc.pages.get(layout.page)?.name ?? '')}</title><defs>${writer.defs.join('')}</defs>` +
    `<rect width="100%" height="100%" fill="#ffffff"/>${writer.body.join('')}</svg>`
  )
}
