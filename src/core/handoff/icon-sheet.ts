/** Icons that stand more than once among a page's words: drawn once, as symbols (SVG 2 §5.5), and shown from there. */
import { type Icon, looksIn, type Words } from '../words/words'
import { iconPath } from './inline-icon'
import { madeClass, slug } from './names'

/** Class of what holds a page's symbols: it is not seen itself. */
export const SYMBOLS_CLASS = madeClass('symbols')

const drawingOf = ({ data, line }: Icon) => `${line} ${data}`

export class IconSheet {
  /** Ids by drawing, of what stands more than once. */
  private readonly ids = new Map<string, string>()
  private readonly symbols: string[] = []

  /** @param said everything that the page says, in every view */
  constructor(said: Iterable<Words>) {
    const seen = new Set<string>()
    const taken = new Set<string>()
    for (const words of said)
      for (const { icon } of looksIn(words)) {
        if (!icon) continue
        const drawing = drawingOf(icon)
        if (!seen.has(drawing)) seen.add(drawing)
        else if (!this.ids.has(drawing)) this.ids.set(drawing, this.add(icon, taken))
      }
  }

  private add(icon: Icon, taken: Set<string>): string {
    const base = madeClass(`icon-${slug(icon.name, 'drawing')}`)
    let id = base
    for (let n = 2; taken.has(id); n++) id = `${base}-${n}`
    taken.add(id)
    this.symbols.push(`<symbol id="${id}" viewBox="0 0 100 100">${iconPath(icon)}</symbol>`)
    return id
  }

  /** What stands in an icon's `<svg>` of 100 × 100. */
  drawing(icon: Icon): string {
    const id = this.ids.get(drawingOf(icon))
    return id === undefined ? iconPath(icon) : `<use href="#${id}"/>`
  }

  /** The lines that hold the symbols; none: nothing stands more than once. */
  lines(): string[] {
    if (this.symbols.length === 0) return []
    return [
      `<svg class="${SYMBOLS_CLASS}" aria-hidden="true">`,
      ...this.symbols.map((each) => `  ${each}`),
      '</svg>',
    ]
  }
}
