/** Declarations of one block in one view, as they are gathered. */
import { px } from '../properties/css-text'
import type { Declarations } from '../properties/declarations'
import type { PropKey, Props, Resolved } from '../properties/table'
import { isCssValue } from './escape'
import type { Writing } from './written'

export class Writer {
  readonly out: Declarations = new Map()
  constructor(
    readonly raw: Props,
    readonly resolved: Resolved,
    readonly write: Writing,
  ) {}

  set(property: string, value: string | undefined) {
    if (value !== undefined && isCssValue(value)) this.out.set(property, value)
  }

  /** A length prop: its token's custom property when it refers to one. */
  length(key: PropKey): string {
    const raw = this.raw[key] as number | string | undefined
    return (raw === undefined ? undefined : this.write.length(raw)) ?? px(this.resolved[key] as number)
  }
}
