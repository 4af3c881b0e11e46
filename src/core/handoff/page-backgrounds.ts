/** Backgrounds of pages: the root element's, which is the window's (CSS Backgrounds 3 §2.11.1), below and above a page, too. */
import { backgroundOf } from '../document/background'
import type { Document, Page } from '../document/document'
import { colorIn } from '../document/resolve'
import type { Declarations } from '../properties/declarations'
import { slug } from './names'
import { rulesText } from './rules'
import { writingFor } from './written'

export type PageBackgrounds = {
  css: string
  /** What `data-page` says on pages that are on another background than others, by id. */
  marks: ReadonlyMap<string, string>
  /** Some page says none of its own. */
  isSomeWhite: boolean
}

/** Whether a colour lets something through, in any view or theme. */
function isSeeThrough(doc: Document, color: string): boolean {
  const themes = [undefined, ...doc.themes.map(({ id }) => id)]
  return doc.views.some((view) =>
    themes.some((theme) => {
      const hex = colorIn(doc.tokensAt(view.id, theme), color)
      return hex !== undefined && hex.length === 9 && !hex.toLowerCase().endsWith('ff')
    }),
  )
}

function declared(doc: Document, color: string): Declarations {
  const written = writingFor(doc.tokenTable).color(color)!
  if (!isSeeThrough(doc, color)) return new Map([['background-color', written]])
  // Below it is white in every scheme, as it was drawn.
  return new Map([
    ['background-color', '#ffffff'],
    ['background-image', `linear-gradient(${written}, ${written})`],
  ])
}

/** @param pages those that are handed off */
export function pageBackgrounds(doc: Document, pages: readonly Page[]): PageBackgrounds {
  const { color: usable } = writingFor(doc.tokenTable)
  const byColor = new Map<string | undefined, Page[]>()
  for (const page of pages) {
    const said = backgroundOf(doc, page.id)
    const color = said !== undefined && usable(said) !== undefined ? said : undefined
    byColor.set(color, [...(byColor.get(color) ?? []), page])
  }
  const isSomeWhite = byColor.has(undefined)
  const marks = new Map<string, string>()
  const rules: [string, Declarations][] = []
  const taken = new Set<string>()
  for (const [color, on] of byColor) {
    if (color === undefined) continue
    if (byColor.size === 1) {
      rules.push([':root', declared(doc, color)])
      continue
    }
    const name = slug(on[0]!.name, 'page')
    let mark = name
    for (let n = 2; taken.has(mark); n++) mark = `${name}-${n}`
    taken.add(mark)
    for (const { id } of on) marks.set(id, mark)
    rules.push([`[data-page="${mark}"]`, declared(doc, color)])
  }
  return { css: rulesText(rules), marks, isSomeWhite }
}
