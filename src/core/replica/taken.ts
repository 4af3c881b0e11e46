/** Work that somebody takes away without having seen it: the block goes, and what was done in it is set aside for who did it. */
import type { NodeTree } from '../document/schema'
import type { Tree } from '../document/tree'
import type { Edit } from '../edits/edit'
import { moduleFor, moduleOf } from '../edits/registry'
import type { Parked } from './parked'
import type { Foreign, Meanwhile } from './since'

/** A block or page that goes, as it stands with the work in it, and that work in words. */
export type Taken = {
  block: NonNullable<Parked['block']>
  work: (Foreign & { words: string })[]
}

/** @param now before `edit` is applied @returns undefined: it takes nobody's work */
export function taking(edit: Edit, now: Tree, since: Meanwhile): Taken | undefined {
  const id = moduleOf(edit.op)?.takes?.(edit)
  if (id === undefined || !now.nodes.has(id)) return undefined
  const work = since.unseenIn(id)
  if (work.length === 0) return undefined
  const page = now.pages.get(now.pageOf(id))!
  return {
    block: {
      tree: treeOf(now, id),
      parent: now.node(id).parent,
      page: { id: page.id, name: page.name, path: page.path },
    },
    work: work.map((each) => ({ ...each, words: moduleFor(each.edit).words(each.edit, now) })),
  }
}

const treeOf = (tree: Tree, id: string): NodeTree => structuredClone(tree.tree(id))

/** One for each whose work it was. */
export function parkTaken(
  { block, work }: Taken,
  { at, makeId }: { at: number; makeId: () => string },
): Parked[] {
  const whose = [...new Set(work.map(({ by }) => by))]
  return whose.map((by) => {
    const own = work.filter((each) => each.by === by)
    const reason = `“${block.tree.name}” was removed by somebody who had not seen it`
    return {
      id: makeId(),
      by,
      at,
      reason,
      words: own.map(({ words }) => words),
      edits: own.map(({ edit }) => edit),
      block,
    }
  })
}
