/** The boxes of a page by what they stand for. */
import type { Node } from '../document/document'
import type { Instances } from '../expand/instances'
import type { LayoutBox } from './box'

/** Slots in one leaf of the table; a power of two. */
const LEAF = 1024

/** Boxes lie at their nodes' slots, in leaves of one size: nothing is hashed but the id, and nothing is copied as more come. */
export class BoxTable {
  private readonly leaves: (LayoutBox | undefined)[][] = []

  /** Of instances that come from a template: their slots count down from −1. */
  private readonly shared: (LayoutBox | undefined)[] = []

  constructor(private readonly instances: Instances) {}

  get(id: string): LayoutBox | undefined {
    const node = this.instances.find(id)
    return node && this.of(node)
  }

  of({ id, slot }: Node): LayoutBox | undefined {
    const box = this.at(slot)
    // A slot is given again: the box of a node that is gone may still lie there.
    return box?.node.id === id ? box : undefined
  }

  private at(slot: number): LayoutBox | undefined {
    return slot < 0 ? this.shared[-1 - slot] : this.leaves[Math.floor(slot / LEAF)]?.[slot % LEAF]
  }

  put(box: LayoutBox) {
    const { slot } = box.node
    if (slot < 0) {
      this.shared[-1 - slot] = box
      return
    }
    const index = Math.floor(slot / LEAF)
    this.leaves[index] ??= []
    this.leaves[index][slot % LEAF] = box
  }

  /** All of them, hidden ones too, in no order. */
  *[Symbol.iterator](): Generator<LayoutBox> {
    for (const leaf of [this.shared, ...this.leaves]) for (const box of leaf ?? []) if (box) yield box
  }

  /** Takes the box out, unless another lies there by now. */
  drop(box: LayoutBox) {
    const { slot } = box.node
    if (this.at(slot) !== box) return
    if (slot < 0) this.shared[-1 - slot] = undefined
    else this.leaves[Math.floor(slot / LEAF)]![slot % LEAF] = undefined
  }
}
