/** One token in another's place: renamed, merged, or taken away with its value left where it was used. */
import type { Document } from '../document/document'
import { type Place, placesOf } from '../document/places'
import { eachToken, type TokenTree, type Typography, tokensIn } from '../document/tokens'
import type { Edit, PropChanges } from '../edits/edit'
import type { PropKey, Props } from '../properties/table'
import { tokensOn } from './uses'

type Token = Record<string, unknown>

/** A token as it is stored; with the type that it has from its group. */
export function storedToken(tree: TokenTree, name: string): Token | undefined {
  let found: Token | undefined
  eachToken(tree, (other, token, type) => {
    if (other === name) found = type === undefined ? token : { $type: type, ...token }
  })
  return found
}

/** A value with every `{name}` in it made `instead`. */
function withInstead(value: unknown, reference: string, instead: unknown): unknown {
  if (value === reference) return instead
  if (Array.isArray(value)) return value.map((each) => withInstead(each, reference, instead))
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, each]) => [key, withInstead(each, reference, instead)]),
  )
}

/** Sets values where they are set now. */
export const editAt = ({ node, by, view }: Place, props: PropChanges): Edit => ({
  ...(by === undefined ? { op: 'set', node } : { op: 'change', page: by, node }),
  ...(view === undefined ? {} : { view }),
  props,
})

/** What a type style says, as values of a block; those that the block sets itself are its own. */
const typed = (type: Typography, own: Props): PropChanges => {
  const said = {
    fontFamily: type.fontFamily,
    fontSize: type.fontSize,
    fontWeight: type.fontWeight,
    lineHeight: { ratio: type.lineHeight },
    letterSpacing: type.letterSpacing,
  }
  return Object.fromEntries(Object.entries(said).filter(([key]) => own[key as PropKey] === undefined))
}

/** Edits by which blocks take `into` where they take a token now; `into` undefined: the value that it has. */
function inBlocks(doc: Document, name: string, into: string | undefined): Edit[] {
  const reference = `{${name}}`
  const token = doc.tokenTable.lookup(name)
  const instead = into === undefined ? token?.value : `{${into}}`
  const edits: Edit[] = []
  for (const place of placesOf(doc)) {
    const props: PropChanges = {}
    for (const [key, value] of Object.entries(place.props) as [PropKey, unknown][]) {
      if (![...tokensIn(value)].includes(name)) continue
      if (into === undefined && token?.type === 'typography')
        Object.assign(props, typed(token.value, place.props), { [key]: null })
      else props[key] = withInstead(value, reference, instead)
    }
    if (Object.keys(props).length > 0) edits.push(editAt(place, props))
  }
  return edits
}

/** The same among tokens. */
function inTokens(doc: Document, name: string, into: string | undefined): Edit[] {
  const instead = into === undefined ? storedToken(doc.tokens, name)?.$value : `{${into}}`
  return tokensOn(doc, name).map((other) => {
    const token = storedToken(doc.tokens, other)!
    return {
      op: 'token',
      name: other,
      token: { ...token, $value: withInstead(token.$value, `{${name}}`, instead) },
    }
  })
}

/** Takes a token away; blocks take `into`, another of its type, or keep the value that it has. */
export function removeTokenEdits(doc: Document, name: string, into?: string): Edit[] {
  return [...inBlocks(doc, name, into), ...inTokens(doc, name, into), { op: 'token', name, token: null }]
}

/** Why a token cannot be called so, as a sentence; undefined: it can. */
export function nameProblem(doc: Document, name: string, own?: string): string | undefined {
  if (!/^[a-z0-9][a-z0-9-]*(\.[a-z0-9][a-z0-9-]*)+$/.test(name))
    return 'A name is made of small letters, digits and -.'
  return name !== own && storedToken(doc.tokens, name) ? `${name} is there already.` : undefined
}

/** @param name its new name, which is free */
export function renameTokenEdits(doc: Document, name: string, to: string): Edit[] {
  const token = storedToken(doc.tokens, name)
  if (!token || name === to) return []
  return [{ op: 'token', name: to, token }, ...removeTokenEdits(doc, name, to)]
}
