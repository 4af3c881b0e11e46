/** A look on its way to another project. */
import * as v from 'valibot'
import type { Document } from '../document/document'
import { picturesOf } from '../document/picture-uses'
import { type Asset, AssetSchema } from '../document/schema'
import { LookSchema, type Props } from '../properties/table'
import { Arrival, CarriedSchema, carriedWith } from './carried'

export const CarriedLookSchema = v.strictObject({
  /** Of the block that it was copied from. */
  name: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
  props: LookSchema,
  ...CarriedSchema.entries,
  /** Pictures that it is filled with. */
  assets: v.array(AssetSchema),
})
export type CarriedLook = v.InferOutput<typeof CarriedLookSchema>

/** @param props what it sets, tokens by reference */
export const carryLook = (doc: Document, name: string, props: Props): CarriedLook => ({
  name,
  props,
  ...carriedWith(doc, props),
  assets: picturesOf(props).flatMap((id) => doc.assets.get(id) ?? []),
})

/** As a project can have it. */
export type SettledLook = {
  props: Props
  /** Tokens that are none here: their values are set instead. */
  left: string[]
  /** Pictures that come along. */
  assets: Asset[]
}

/** @returns undefined when what was carried is no look */
export function settleLook(doc: Document, look: CarriedLook): SettledLook | undefined {
  const arrival = new Arrival(doc, look)
  let props = arrival.settled(look.props)
  const missing = picturesOf(props).filter((id) => !doc.assets.has(id))
  const assets = look.assets.filter(({ id }) => missing.includes(id))
  const lost = missing.filter((id) => !assets.some((asset) => asset.id === id))
  if (lost.length > 0) {
    const fills = Object.entries(props.fills ?? {}).filter(
      ([, fill]) => fill.kind !== 'picture' || !lost.includes(fill.asset),
    )
    props = { ...props, fills: Object.fromEntries(fills) }
  }
  return v.is(LookSchema, props) ? { props, left: [...arrival.left], assets } : undefined
}
