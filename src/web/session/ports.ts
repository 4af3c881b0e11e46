/** Where a session gets to the world. */
import type { Keep } from './keep'
import type { TabStore } from './kept-history'
import type { Tabs } from './tabs'
import type { Wire } from './wire'

export type Ports = {
  wire: Wire
  /** Undefined: the browser gives no store. */
  keep: Keep | undefined
  tabs: Tabs
  store: TabStore
}
