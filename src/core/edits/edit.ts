/**
 * Edits: the only way a document changes. Small serialisable values that name blocks by id; each can be applied, taken
 * back, rebased over others', merged with the next of a gesture, and said in words. Undo, saving, history and live editing
 * are all these. What they are stands here; everything else about one of them in the module of its name.
 */

import type {
  About,
  Aid,
  Asset,
  KeptLook,
  NodeTree,
  OwnFamily,
  PageFile,
  Theme,
  View,
} from '../document/schema'
import type { Page } from '../document/tree'
import type { PropKey } from '../properties/table'

/** An edit that cannot be applied, with the reason in words. */
export class EditError extends Error {
  override name = 'EditError'
}

/** Values for some properties; `null` puts one back: to the wider view's value, or the default. */
export type PropChanges = Partial<Record<PropKey, unknown>>

/** `view` left out: the node's own props, which every view shares. */
export type SetEdit = { op: 'set'; node: string; view?: string; props: PropChanges }

export type MetaEdit = { op: 'meta'; node: string; name?: string; locked?: boolean }

export type InsertEdit = { op: 'insert'; parent: string; tree: NodeTree }

export type RemoveEdit = { op: 'remove'; node: string }

export type MoveEdit = { op: 'move'; node: string; parent: string; order: string }

/** `page` null: takes it away. */
export type PageEdit = { op: 'page'; id: string; page: PageFile | null }

/** `template` null: it stands on none. */
export type PageValues = Partial<Pick<Page, 'name' | 'path' | 'order' | 'views'>> & {
  [K in 'template' | 'description' | 'lang' | 'preview']?: string | null
}

export type PageMetaEdit = { op: 'page-meta'; id: string; set: PageValues }

/** What a page shows otherwise of a block of its template; `null` puts a value back. `view` as in `set`. */
export type ChangeEdit = { op: 'change'; page: string; node: string; view?: string; props: PropChanges }

/** Where words lie: a block's own, a view's for it, or what a page says otherwise of a block of its template. */
export type WordsPlace = { node: string; view?: string; page?: string }

/** Steps on the words as a ProseMirror document (`core/words/model.ts`), each as its JSON. */
export type TextEdit = { op: 'text' } & WordsPlace & {
    steps: readonly Record<string, unknown>[]
    /** Says which words they were made on: on others they are not tried. */
    on?: number
  }

/** `aid` null: takes it away. */
export type AidEdit = { op: 'aid'; page: string; id: string; aid: Aid | null }

/** New values of a view; all of them for a new one. `safe` null: none. */
export type ViewValues = { [K in Exclude<keyof View, 'id'>]?: View[K] | (K extends 'safe' ? null : never) }

/** By view id; null: taken away. They stand widest first by themselves. */
export type ViewsEdit = { op: 'views'; change: Record<string, ViewValues | null> }

/** `name` dotted, such as `space.m`; `token` null: takes it away. */
export type TokenEdit = { op: 'token'; name: string; token: Record<string, unknown> | null }

/** `look` null: it is kept no longer. */
export type LookEdit = { op: 'look'; id: string; look: KeptLook | null }

/** `theme` null: takes it away; `at`: where a new one stands among them, else last. */
export type ThemeEdit = { op: 'theme'; id: string; at?: number; theme: Omit<Theme, 'id'> | null }

/** `asset` null: takes it out. */
export type AssetEdit = { op: 'asset'; id: string; asset: Asset | null }

/** `font` null: takes it out. */
export type FontEdit = { op: 'font'; id: string; font: OwnFamily | null }

/** `null` puts one back. */
export type ProjectEdit = { op: 'project'; name?: string; about?: { [K in keyof About]: About[K] | null } }

export type Edit =
  | SetEdit
  | MetaEdit
  | InsertEdit
  | RemoveEdit
  | MoveEdit
  | PageEdit
  | PageMetaEdit
  | ChangeEdit
  | TextEdit
  | AidEdit
  | ViewsEdit
  | TokenEdit
  | ThemeEdit
  | AssetEdit
  | FontEdit
  | LookEdit
  | ProjectEdit
