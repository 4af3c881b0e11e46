/** What goes along with values that are copied to other projects: what their tokens and families are, so that they look the same there. */
import * as v from 'valibot'
import type { Document } from '../document/document'
import { isObject } from '../document/token-variants'
import { type ResolvedToken, tokensIn } from '../document/tokens'
import type { Props } from '../properties/table'
import { familyNamed } from '../text/families'
import { lookWithout } from '../tokens/instead'

/** What stands for several is a list, what has parts an object; what comes of it is checked where it is put. */
const TokenSchema = v.pipe(
  v.looseObject({ type: v.string(), value: v.unknown() }),
  v.check(({ type, value }) => (type === 'shadow' || type === 'gradient') === Array.isArray(value)),
  v.check(({ type, value }) => (type === 'typography' || type === 'border') === isObject(value)),
)

export const CarriedSchema = v.object({
  /** What they are on the widest view, in the first theme. */
  tokens: v.array(v.tuple([v.string(), TokenSchema])),
  /** Families of the project's own: ids and names. */
  fonts: v.array(v.tuple([v.string(), v.string()])),
})
export type Carried = v.InferOutput<typeof CarriedSchema>

/** @param values plain, with tokens by reference */
export function carriedWith(doc: Document, values: unknown): Carried {
  const tokens = [...new Set(tokensIn(values))].flatMap((used): [string, ResolvedToken][] => {
    const token = doc.tokenTable.lookup(used)
    return token ? [[used, token]] : []
  })
  const named = JSON.stringify([values, tokens])
  const fonts = doc.fonts.filter(({ id }) => named.includes(JSON.stringify(id)))
  return { tokens, fonts: fonts.map(({ id, family }) => [id, family]) }
}

/** A project that carried values come to. */
export class Arrival {
  private readonly tokens: ReadonlyMap<string, ResolvedToken>
  private readonly fonts: ReadonlyMap<string, string>
  /** Tokens that are none here, of what was settled: their values are set instead. */
  readonly left = new Set<string>()

  /** @param foreign tokens that are others here, whatever they are called */
  constructor(
    private readonly doc: Document,
    { tokens, fonts }: Carried,
    private readonly foreign: ReadonlySet<string> = new Set(),
  ) {
    this.tokens = new Map(tokens as unknown as [string, ResolvedToken][])
    this.fonts = new Map(fonts)
  }

  /** Values as they can be here. A token of the same name and type is the one of this project. */
  settled(carried: Props): Props {
    // Whatever a clipboard holds is checked where it is put.
    if (!isObject(carried)) return carried
    let props = carried
    for (const name of new Set(tokensIn(carried))) {
      const was = this.tokens.get(name)
      const isSame = this.doc.tokenTable.lookup(name)?.type === was?.type && !this.foreign.has(name)
      if (!was || isSame) continue
      this.left.add(name)
      props = lookWithout(props, name, was)
    }
    return this.withFamily(props)
  }

  /** A family of one's own is the one of the same name here; where there is none, the text's stays. */
  private withFamily(props: Props): Props {
    const { fontFamily, ...rest } = props
    if (fontFamily === undefined || this.doc.fonts.some(({ id }) => id === fontFamily)) return props
    const name = this.fonts.get(fontFamily)
    if (name === undefined) {
      // Those of other projects are known to the program by their ids, too.
      const shipped = familyNamed(fontFamily)
      return shipped && !shipped.isOwn ? props : rest
    }
    const same = this.doc.fonts.find(({ family }) => family === name)
    return same ? { ...rest, fontFamily: same.id } : rest
  }
}
