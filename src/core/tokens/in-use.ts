/** Which spaces, sizes of type and colours a project's blocks have, how often, and which of them are no token's. */
import type { Document } from '../document/document'
import { placesOf } from '../document/places'
import { colorIn, lengthIn, resolve } from '../document/resolve'
import { tokenIn, tokensIn } from '../document/tokens'
import { isText } from '../properties/kinds'
import { PROPERTIES, type PropKey } from '../properties/table'
import { hexesIn, SPACES } from './near'

/** `bound`: how many of them are a token, or come from a type style; `nodes`: the blocks. */
export type InUse = { value: string | number; count: number; bound: number; nodes: string[] }

class Tally {
  private readonly found = new Map<string | number, InUse>()

  note(value: string | number, isBound: boolean, node: string) {
    const each = this.found.get(value) ?? { value, count: 0, bound: 0, nodes: [] }
    each.count++
    if (isBound) each.bound++
    each.nodes.push(node)
    this.found.set(value, each)
  }

  get list(): InUse[] {
    return [...this.found.values()]
  }
}

const byValue = (a: InUse, b: InUse) => Number(a.value) - Number(b.value)

/** Paddings, gaps and distances, px, the shortest first. */
export function spacesInUse(doc: Document): InUse[] {
  const tally = new Tally()
  for (const { props, node } of placesOf(doc))
    for (const [key, value] of Object.entries(props) as [PropKey, unknown][]) {
      if (!SPACES.test(key)) continue
      const px = lengthIn(doc.tokenTable, value as number | string)
      if (px !== undefined && px > 0) tally.note(px, tokenIn(value) !== undefined, node)
    }
  return tally.list.sort(byValue)
}

/** Sizes of type on the widest view, px, the smallest first. */
export function sizesInUse(doc: Document): InUse[] {
  const tally = new Tally()
  const view = doc.views[0]!.id
  for (const node of doc.nodes.values()) {
    if (!isText(node.kind)) continue
    const isOwn = node.props.fontSize !== undefined && tokenIn(node.props.fontSize) === undefined
    tally.note(resolve(doc, node, view).fontSize, !isOwn && node.props.type !== undefined, node.id)
  }
  return tally.list.sort(byValue)
}

/** Colours of words, fills, borders and shadows, the most used first. */
export function colorsInUse(doc: Document): InUse[] {
  const tally = new Tally()
  for (const { props, node } of placesOf(doc))
    for (const [key, value] of Object.entries(props) as [PropKey, unknown][]) {
      if (PROPERTIES[key].token !== 'color') continue
      for (const name of tokensIn(value)) {
        const hex = colorIn(doc.tokenTable, `{${name}}`)
        if (hex) tally.note(hex, true, node)
      }
      for (const hex of hexesIn(value)) tally.note(hex, false, node)
    }
  return tally.list.sort((a, b) => b.count - a.count)
}
