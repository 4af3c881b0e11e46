/** What an edit is: everything about one kind of change, said in one module. */
import type * as v from 'valibot'
import type { Draft } from '../document/draft'
import type { NamedBlob } from '../document/named-blobs'
import type { Tree } from '../document/tree'
import { type Edit, EditError } from './edit'

/** @throws EditError */
export const refuse = (reason: string): never => {
  throw new EditError(reason)
}

/** What others' edits made of the project meanwhile. */
export type Since = {
  /** The project with theirs. */
  readonly now: Tree
  /** Whether something was there before theirs and is not any more; a page counts as a block. */
  readonly gone: (what: Thing['what'], id: string) => boolean
}

/** Something of a project that edits name; a page counts as a block. */
export type Thing = { what: 'block' | 'view' | 'token' | 'picture' | 'family'; id: string }

export type EditModule<E extends { op: string }, Inverse extends { op: string } = E> = {
  readonly op: E['op']
  /** What an edit from outside must be. */
  readonly schema: v.GenericSchema
  /**
   * Writes the change into a next version, after everything that can be wrong with it has been looked at.
   * @returns the edit that takes it back, exactly, when nothing came between
   * @throws EditError, or FormatError for what it holds; then nothing has been written
   */
  apply(draft: Draft, edit: E): Inverse
  /**
   * This edit, meant for the project as it was, for the project as it is since `over` came before it.
   * Left out: it stays as it is. @returns undefined when nothing is left to do
   */
  rebase?(edit: E, over: Edit, since: Since): E | undefined
  /**
   * Of an edit that takes something back: what of it still stands after somebody else's `over`, which it must not undo. (What takes
   * away a block that somebody else has worked in does not stand; nobody's module has to say so.)
   * Left out: all of it. @returns undefined when nothing does
   */
  spare?(inverse: E, over: Edit): E | undefined
  /** The one edit that does what `first` and then `second` do, when nothing stands between them. */
  merge?(first: E, second: E): E | undefined
  /**
   * The one place that it changes and depends on: two edits with places that differ may be done in either order, two with the
   * same are merged. Left out or undefined: it depends on more than one.
   */
  place?(edit: E): string | undefined
  /** The blocks that it names. */
  blocks(edit: E): readonly string[]
  /**
   * The blocks and pages that it leaves changed. Whoever takes one of them away, or what it lies in, without having seen this takes
   * somebody's work along.
   */
  touches(edit: E): readonly string[]
  /** The blocks whose pages must be loaded for it to be applied. None: it is about what a project has in its outline. */
  within(edit: E): readonly string[]
  /** What it refers to, and cannot do without. */
  needs(edit: E): readonly Thing[]
  /** The same with other tokens, by name, in the place of some that it needs. Left out: it needs none. */
  rebind?(edit: E, tokens: ReadonlyMap<string, string>): E
  /** What is there behind it that may not have been before. Left out: nothing. */
  puts?(edit: E): readonly Thing[]
  /** The block or page that it takes away, with what is in it. Left out: none. */
  takes?(edit: E): string | undefined
  /** Whether it takes away what any page may use: all of them must be loaded. Left out: it does not. */
  takesShared?(edit: E): boolean
  /** What it brings that lies outside of the document. Left out: nothing. */
  brings?(edit: E): readonly NamedBlob[]
  /** What it does, for people: begins with a capital, has no full stop. */
  words(edit: E, tree: Tree): string
}
