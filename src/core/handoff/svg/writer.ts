/** The text of an SVG document: what is defined once, and what is drawn. */
import { colorIn } from '../../document/resolve'
import type { Tokens } from '../../document/tokens'
import type { Rect } from '../../layout/rect'
import type { Paper } from '../../paint/paper'
import { num } from '../../properties/css-text'
import { cssColor } from '../escape'

export class SvgWriter {
  private readonly defs: string[] = []
  private body: string[] = []
  private readonly ids = new Map<string, string>()
  private count = 0

  /** @param tokens that colours may refer to */
  constructor(private readonly tokens: Tokens) {}

  /** A colour of words by its digits. */
  ink(color: string | undefined): string | undefined {
    return colorIn(this.tokens, color)
  }

  draw(element: string) {
    this.body.push(element)
  }

  /** What is drawn meanwhile, kept out of the document. */
  aside(draw: () => void): string {
    const before = this.body
    this.body = []
    draw()
    const drawn = this.body.join('')
    this.body = before
    return drawn
  }

  /** @param write makes the definition of an id @param key where two are the same, they are defined once @returns the id */
  define(kind: string, write: (id: string) => string, key?: string): string {
    const known = key === undefined ? undefined : this.ids.get(key)
    if (known !== undefined) return known
    const id = `${kind}${this.count++}`
    if (key !== undefined) this.ids.set(key, id)
    this.defs.push(write(id))
    return id
  }

  /** @param seen what of what was drawn is shown, px @param ground what it lies on; left out: nothing */
  document({ x, y, width, height }: Rect, title: string, paper?: Paper): string {
    const ground =
      paper === undefined
        ? ''
        : `<rect x="${num(x)}" y="${num(y)}" width="${num(width)}" height="${num(height)}" fill="${paper.color}"/>`
    const size = `width="${num(width)}" height="${num(height)}"`
    return (
      `<svg xmlns="http://www.w3.org/2000/svg" ${size} viewBox="${num(x)} ${num(y)} ${num(width)} ${num(height)}">` +
      `<title>${title}</title><defs>${this.defs.join('')}</defs>` +
      (paper?.isPart ? '' : ground) +
      `<g style="isolation:isolate">${paper?.isPart ? ground : ''}${this.body.join('')}</g></svg>`
    )
  }
}

/** SVG 1.1 renderers know no 8-digit hex: alpha goes into an attribute of its own. */
export function painted(kind: 'fill' | 'stroke' | 'stop-color' | 'flood-color', color: string): string {
  const safe = cssColor(color)
  const alpha = safe.length === 9 ? Number.parseInt(safe.slice(7), 16) / 255 : 1
  const opacity = kind.endsWith('-color') ? kind.replace('color', 'opacity') : `${kind}-opacity`
  return `${kind}="${safe.startsWith('#') ? safe.slice(0, 7) : 'none'}"${alpha < 1 ? ` ${opacity}="${num(alpha)}"` : ''}`
}
