/** What is placed has the colour of the words beside it: on a dark ground they are light. */
import { contrastOf } from '../color/contrast'
import type { Document } from '../document/document'
import { isText } from '../properties/kinds'
import type { Draft } from './build'

const PLAIN = '{color.ink}'

/** The first words in a list of blocks and what lies in them. @param last looks from the end on */
function wordsIn(doc: Document, ids: readonly string[], last: boolean): string | undefined {
  for (const id of last ? ids.toReversed() : ids) {
    const { kind, props, children } = doc.node(id)
    const color = isText(kind) ? props.color : wordsIn(doc, children, last)
    if (color !== undefined) return color
  }
  return undefined
}

/** The colour of the words nearest to a place: before it, behind it, then around it. Undefined: there are none in its section. */
function inkAt(doc: Document, parent: string, index: number): string | undefined {
  const { children, kind, parent: around } = doc.node(parent)
  if (kind === 'page') return undefined
  const color = wordsIn(doc, children.slice(0, index), true) ?? wordsIn(doc, children.slice(index), false)
  if (color !== undefined || around === null) return color
  return inkAt(doc, around, doc.node(around).children.indexOf(parent))
}

/** Whether words in a colour are made for a dark ground. */
function isLight(doc: Document, color: string): boolean {
  const token = doc.tokenTable.lookup(color)
  const hex = token?.type === 'color' ? token.value : color
  return contrastOf(hex, '#000000') > contrastOf(hex, '#ffffff')
}

/**
 * A line in plain ink in the colour that belongs where it is put; words where those beside them stand on a ground that plain ink is not
 * made for; anything else as it is.
 */
export function inkedFor(doc: Document, draft: Draft, parent: string, index: number): Draft {
  const { kind, props } = draft
  const isWords = kind === 'text' && props.color === PLAIN && props.fills === undefined
  const isLine = kind === 'shape' && props.paint === undefined && props.stroke?.color === PLAIN
  const color = isWords || isLine ? inkAt(doc, parent, index) : undefined
  if (color === undefined) return draft
  if (isLine) return { ...draft, props: { ...props, stroke: { ...props.stroke!, color } } }
  return isLight(doc, color) === isLight(doc, PLAIN) ? draft : { ...draft, props: { ...props, color } }
}
