/** What a property is when neither the node nor an override sets it. */
import type { Kind, Props } from './schema'

const SNUG = { kind: 'snug' } as const

const BASE: Props = {
  flow: 'column',
  wrap: false,
  dense: false,
  justify: 'start',
  align: 'start',
  alignContent: 'stretch',
  rowGap: 0,
  spaceBefore: 0,
  paddingTop: 0,
  paddingRight: 0,
  paddingBottom: 0,
  paddingLeft: 0,
  width: SNUG,
  height: SNUG,
  lifted: false,
  hidden: false,
  borderTop: 0,
  borderRight: 0,
  borderBottom: 0,
  borderLeft: 0,
  borderStyle: 'solid',
  radius: 0,
  opacity: 1,
  blend: 'normal',
  clip: false,
  rotate: 0,
  fit: 'cover',
  focusX: 50,
  focusY: 50,
  order: 0,
  z: 0,
  fontSize: 16,
  fontWeight: 400,
  italic: false,
  lineHeight: { ratio: 1.5 },
  letterSpacing: 0,
  textAlign: 'left',
  textCase: 'none',
  textDecoration: 'none',
  overflowWrap: 'normal',
}

const OWN: Record<Kind, Props> = {
  page: {},
  section: { tag: 'section' },
  box: { tag: 'div', width: { kind: 'stretch', weight: 1 } },
  text: { tag: 'p' },
  button: {
    tag: 'a',
    paddingTop: 12,
    paddingBottom: 12,
    paddingLeft: 20,
    paddingRight: 20,
    textAlign: 'center',
  },
  picture: { width: { kind: 'stretch', weight: 1 }, tag: 'figure' },
}

const CACHE = new Map<Kind, Props>()

/** Defaults for a kind. `columnGap` has none: it falls back to the gutter in a lattice, to `rowGap` elsewhere. */
export function defaultsOf(kind: Kind): Props {
  let props = CACHE.get(kind)
  if (!props) {
    props = Object.freeze({ ...BASE, ...OWN[kind] })
    CACHE.set(kind, props)
  }
  return props
}

export const isText = (kind: Kind) => kind === 'text' || kind === 'button'
export const holdsBlocks = (kind: Kind) => kind === 'page' || kind === 'section' || kind === 'box'

/** Sections lie on pages, everything else in sections and boxes. */
export const mayHoldKind = (parent: Kind, kind: Kind): boolean =>
  parent === 'page' ? kind === 'section' : holdsBlocks(parent) && kind !== 'section' && kind !== 'page'
