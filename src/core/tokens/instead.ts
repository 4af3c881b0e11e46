/** One token in another's place: renamed, merged, or taken away with its value left where it was used. */
import type { BorderValue, ShadowValue, StopValue } from '../document/composite-tokens'
import type { Document } from '../document/document'
import { type Place, placesOf } from '../document/places'
import { mapValues } from '../document/token-variants'
import {
  eachToken,
  type ResolvedToken,
  type TokenTree,
  type Typography,
  tokenIn,
  tokensIn,
} from '../document/tokens'
import type { Edit, PropChanges } from '../edits/edit'
import type { Items, SaidShadow } from '../properties/items'
import type { PropKey, Props } from '../properties/table'
import { tokensOn } from './uses'

type Token = Record<string, unknown>

/** A token as it is stored, and the type that it has from its group. */
function findToken(tree: TokenTree, name: string): { token?: Token; type?: string } {
  let found: { token?: Token; type?: string } = {}
  eachToken(tree, (other, token, type) => {
    if (other === name) found = { token, type }
  })
  return found
}

/** A token as it is stored. */
export const storedToken = (tree: TokenTree, name: string): Token | undefined => findToken(tree, name).token

/** What a composite token says, px and percent, with colours that are other tokens as references. @returns undefined: it is none */
export function saidIn(doc: Document, name: string): ShadowValue[] | StopValue[] | BorderValue | undefined {
  const token = doc.tokenTable.lookup(name)
  const value = storedToken(doc.tokens, name)?.$value
  const color = (part: unknown, own: string) => {
    const said = (part as { color?: unknown } | undefined)?.color
    return tokenIn(said) === undefined ? own : (said as string)
  }
  const parts = Array.isArray(value) ? value : [value]
  if (token?.type === 'border') return { ...token.value, color: color(value, token.value.color) }
  if (token?.type === 'shadow')
    return token.value.map((each, i) => ({ ...each, color: color(parts[i], each.color) }))
  if (token?.type === 'gradient')
    return token.value.map((each, i) => ({ ...each, color: color(parts[i], each.color) }))
  return undefined
}

/** The same with the type that it has from its group, to be put into another. */
function withType(tree: TokenTree, name: string): Token | undefined {
  const { token, type } = findToken(tree, name)
  return token && type !== undefined ? { $type: type, ...token } : token
}

/** A value with every `{name}` in it made `instead`. */
function withInstead(value: unknown, reference: string, instead: unknown): unknown {
  if (value === reference) return instead
  if (Array.isArray(value))
    return value.flatMap((each) =>
      // Several in the place of one among others: the shadows of a token.
      each === reference && Array.isArray(instead) ? instead : [withInstead(each, reference, instead)],
    )
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

/** What of a list of shadows changes when a token's are its own: the first in the token's place, the others behind it. */
function withShadows(items: Items<SaidShadow>, reference: string, shadows: readonly ShadowValue[]) {
  return Object.fromEntries(
    Object.entries(items).flatMap(([id, item]): [string, SaidShadow][] => {
      if (!('token' in item) || item.token !== reference) return []
      const { token: _, ...rest } = item
      return shadows.map((shadow, i) => [i === 0 ? id : `${id}-${i}`, { ...rest, ...shadow }])
    }),
  )
}

/** What of a place names a token. */
const keysWith = ({ props }: Pick<Place, 'props'>, name: string) =>
  (Object.keys(props) as PropKey[]).filter((key) => [...tokensIn(props[key])].includes(name))

/** Edits by which blocks take `into` where they take a token now. */
function inBlocks(doc: Document, name: string, into: string): Edit[] {
  return [...placesOf(doc)].flatMap((place) => {
    const keys = keysWith(place, name)
    const taken = (key: PropKey) => withInstead(place.props[key], `{${name}}`, `{${into}}`)
    return keys.length > 0 ? [editAt(place, Object.fromEntries(keys.map((key) => [key, taken(key)])))] : []
  })
}

/** Edits by which blocks keep the values that a token has, on each view that it differs on. */
function leftInBlocks(doc: Document, name: string): Edit[] {
  return [...placesOf(doc)].flatMap((place) =>
    keysWith(place, name).flatMap((key) => {
      let before: string | undefined
      return viewsOf(doc, place, key).flatMap(({ view, own }) => {
        const token = doc.tokensAt(view).lookup(name)
        const said = JSON.stringify(token)
        if (!token || said === before) return []
        const isFirst = before === undefined
        before = said
        const props: PropChanges =
          token.type === 'typography'
            ? { ...typed(token.value, own), ...(isFirst ? { [key]: null } : {}) }
            : token.type === 'shadow'
              ? { [key]: withShadows(place.props.shadows!, `{${name}}`, token.value) }
              : { [key]: withInstead(place.props[key], `{${name}}`, token.value) }
        return [editAt(isFirst ? place : { ...place, view }, props)]
      })
    }),
  )
}

/** The views that a value holds for: its own, and the narrower ones that do not set it; with what is set there of a block. */
function viewsOf(doc: Document, { node, by, view, props }: Place, key: PropKey) {
  const overrides = (by === undefined ? doc.node(node) : doc.pages.get(by)?.changes?.[node])?.overrides ?? {}
  const [first, ...narrower] =
    view === undefined ? doc.views : doc.views.slice(doc.views.findIndex(({ id }) => id === view))
  const end = narrower.findIndex(({ id }) => overrides[id]?.[key] !== undefined)
  const own = by === undefined ? doc.node(node).props : {}
  let set: Props = { ...own, ...props }
  return [first!, ...(end < 0 ? narrower : narrower.slice(0, end))].map(({ id }) => {
    set = { ...set, ...overrides[id] }
    return { view: id, own: set }
  })
}

/** The same among tokens. */
function inTokens(doc: Document, name: string, into: string | undefined): Edit[] {
  const instead = into === undefined ? storedToken(doc.tokens, name)?.$value : `{${into}}`
  return tokensOn(doc, name).map((other) => {
    const token = storedToken(doc.tokens, other)!
    return {
      op: 'token',
      name: other,
      token: mapValues(token, (value) => withInstead(value, `{${name}}`, instead)),
    }
  })
}

/** A look with a token's value in its place: of a type style, too, its parts are left to what they are. */
export function lookWithout(look: Props, name: string, token: ResolvedToken | undefined): Props {
  const reference = `{${name}}`
  const props: Record<string, unknown> = { ...look }
  for (const key of keysWith({ props: look }, name)) {
    if (token?.type === 'typography') {
      delete props[key]
      Object.assign(props, typed(token.value, look))
    } else if (token?.type === 'shadow')
      props[key] = { ...(props[key] as object), ...withShadows(look.shadows!, reference, token.value) }
    else props[key] = withInstead(props[key], reference, token?.value)
  }
  return props as Props
}

/** The same in looks that are kept. */
function inLooks(doc: Document, name: string, into: string | undefined): Edit[] {
  const token = doc.tokenTable.lookup(name)
  return doc.looks.flatMap((look): Edit[] => {
    if (keysWith(look, name).length === 0) return []
    const props =
      into === undefined
        ? lookWithout(look.props, name, token)
        : (withInstead(look.props, `{${name}}`, `{${into}}`) as Props)
    return [{ op: 'look', id: look.id, look: { ...look, props } }]
  })
}

/** Takes a token away; blocks take `into`, another of its type, or keep the value that it has. */
export function removeTokenEdits(doc: Document, name: string, into?: string): Edit[] {
  const blocks = into === undefined ? leftInBlocks(doc, name) : inBlocks(doc, name, into)
  return [
    ...blocks,
    ...inLooks(doc, name, into),
    ...inTokens(doc, name, into),
    { op: 'token', name, token: null },
  ]
}

/** Why a token cannot be called so, as a sentence; undefined: it can. */
export function nameProblem(doc: Document, name: string, own?: string): string | undefined {
  if (!/^[a-z0-9][a-z0-9-]*(\.[a-z0-9][a-z0-9-]*)+$/.test(name))
    return 'A name is made of small letters, digits and -.'
  return name !== own && storedToken(doc.tokens, name) ? `${name} is there already.` : undefined
}

/** @param name its new name, which is free */
export function renameTokenEdits(doc: Document, name: string, to: string): Edit[] {
  const token = withType(doc.tokens, name)
  if (!token || name === to) return []
  return [{ op: 'token', name: to, token }, ...removeTokenEdits(doc, name, to)]
}
