/** Lines as they are found: kept in one store that is used again, since most are only counted. */
export class FoundLines {
  count = 0
  starts = new Uint32Array(64)
  /** Where the visible text ends. */
  ends = new Uint32Array(64)
  /** Where the next line begins. */
  nexts = new Uint32Array(64)
  /** The opportunity that a line ends at, -1 inside a word. */
  indices = new Int32Array(64)

  add(start: number, end: number, next: number, index: number) {
    const at = this.count++
    if (at === this.starts.length) this.grow()
    this.starts[at] = start
    this.ends[at] = end
    this.nexts[at] = next
    this.indices[at] = index
  }

  /** Those from one on, as `add` takes them. */
  from(first: number): [start: number, end: number, next: number, index: number][] {
    return Array.from({ length: this.count - first }, (_, i) => {
      const at = first + i
      return [this.starts[at]!, this.ends[at]!, this.nexts[at]!, this.indices[at]!]
    })
  }

  private grow() {
    const more = <T extends Uint32Array | Int32Array>(list: T, into: T): T => {
      into.set(list)
      return into
    }
    const size = 2 * this.starts.length
    this.starts = more(this.starts, new Uint32Array(size))
    this.ends = more(this.ends, new Uint32Array(size))
    this.nexts = more(this.nexts, new Uint32Array(size))
    this.indices = more(this.indices, new Int32Array(size))
  }
}
