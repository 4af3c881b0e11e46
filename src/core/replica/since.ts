/** What others took away, told to who rebases over it. */
import type { NodeTree } from '../document/schema'
import type { Tree } from '../document/tree'
import type { Edit } from '../edits/edit'
import type { Since } from '../edits/edit-module'

export class Meanwhile implements Since {
  private readonly lost = new Set<string>()

  constructor(readonly now: Tree) {}

  /** @param inverse of an edit of somebody else's that was applied: what it would bring back is what went */
  applied(inverse: Edit) {
    if (inverse.op === 'insert') this.loseTree(inverse.tree)
    else if (inverse.op === 'page' && inverse.page) {
      this.lost.add(`block ${inverse.id}`)
      inverse.page.sections.forEach((section) => void this.loseTree(section))
    } else if (inverse.op === 'token') this.lost.add(`token ${inverse.name}`)
    else if (inverse.op === 'views')
      for (const view of Object.keys(inverse.change)) this.lost.add(`view ${view}`)
  }

  private loseTree(tree: NodeTree) {
    this.lost.add(`block ${tree.id}`)
    tree.children?.forEach((child) => void this.loseTree(child))
  }

  readonly gone = (what: 'block' | 'view' | 'token', id: string): boolean => {
    if (!this.lost.has(`${what} ${id}`)) return false
    if (what === 'block') return !this.now.nodes.has(id)
    if (what === 'view') return !this.now.views.some((view) => view.id === id)
    return !this.now.tokenTable.names().includes(id)
  }
}
