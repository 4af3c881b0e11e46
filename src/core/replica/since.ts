/** What others did meanwhile, told to who rebases over it. */
import type { Tree } from '../document/tree'
import type { Edit } from '../edits/edit'
import type { Since, Thing } from '../edits/edit-module'
import { touchesInside } from '../edits/inside'
import { moduleFor } from '../edits/registry'

/** An edit of somebody else's, and who made it. */
export type Foreign = { by: string; edit: Edit }

const keyOf = ({ what, id }: Thing) => `${what} ${id}`

export class Meanwhile implements Since {
  /** In the order in which they were done. */
  readonly work: Foreign[] = []
  private readonly lost = new Set<string>()
  /** Tokens that came with the value of one that went: by the name of that. */
  private readonly renamed = new Map<string, string>()
  private readonly came = new Map<string, string>()

  constructor(readonly now: Tree) {}

  /** @param inverse of the edit: what it would bring back is what went */
  applied(work: Foreign, inverse: Edit) {
    const { edit } = work
    this.work.push(work)
    for (const thing of moduleFor(inverse).puts?.(inverse) ?? []) this.lost.add(keyOf(thing))
    if (edit.op !== 'token' || inverse.op !== 'token') return
    // Renaming is a new token with the old one's value, and then the old one taken away.
    if (edit.token !== null && inverse.token === null) this.came.set(JSON.stringify(edit.token), edit.name)
    const heir = edit.token === null ? this.came.get(JSON.stringify(inverse.token)) : undefined
    if (heir !== undefined) this.renamed.set(edit.name, heir)
  }

  readonly gone = (what: Thing['what'], id: string): boolean =>
    this.lost.has(keyOf({ what, id })) && !this.has({ what, id })

  private has({ what, id }: Thing): boolean {
    const { now } = this
    if (what === 'block') return now.nodes.has(id)
    if (what === 'view') return now.views.some((view) => view.id === id)
    if (what === 'picture') return now.assets.has(id)
    if (what === 'family') return now.fonts.some((family) => family.id === id)
    return now.tokenTable.names().includes(id)
  }

  /** What a token that somebody renamed is called now. */
  heirOf(token: string): string | undefined {
    let heir = this.renamed.get(token)
    for (let steps = 0; heir !== undefined && this.gone('token', heir) && steps < this.renamed.size; steps++)
      heir = this.renamed.get(heir)
    return heir !== undefined && !this.gone('token', heir) ? heir : undefined
  }

  /** What others did in a block or page, without its being seen by who takes it away now. */
  unseenIn(block: string): Foreign[] {
    return this.work.filter(({ edit }) => touchesInside(edit, block, this.now))
  }
}
