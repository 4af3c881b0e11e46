/** A map's next version: reads through to the map as it is, keeps what changes beside it. */
export class Overlay<V> implements ReadonlyMap<string, V> {
  /** By key; undefined: taken out. */
  private readonly changes = new Map<string, V | undefined>()
  private grown = 0

  constructor(private readonly base: ReadonlyMap<string, V>) {}

  get size() {
    return this.base.size + this.grown
  }

  has(key: string): boolean {
    return this.get(key) !== undefined
  }

  get(key: string): V | undefined {
    return this.changes.has(key) ? this.changes.get(key) : this.base.get(key)
  }

  set(key: string, value: V) {
    if (!this.has(key)) this.grown++
    this.changes.set(key, value)
  }

  delete(key: string) {
    if (this.has(key)) this.grown--
    this.changes.set(key, undefined)
  }

  /** Makes the map what this says. Cannot fail. */
  writeTo(map: Map<string, V>) {
    for (const [key, value] of this.changes) {
      if (value === undefined) map.delete(key)
      else map.set(key, value)
    }
  }

  /** What was put in, without what was taken out again. */
  *changed(): Generator<V> {
    for (const value of this.changes.values()) if (value !== undefined) yield value
  }

  *entries(): MapIterator<[string, V]> {
    for (const [key, value] of this.base) if (!this.changes.has(key)) yield [key, value]
    for (const [key, value] of this.changes) if (value !== undefined) yield [key, value]
  }

  *keys(): MapIterator<string> {
    for (const [key] of this.entries()) yield key
  }

  *values(): MapIterator<V> {
    for (const [, value] of this.entries()) yield value
  }

  [Symbol.iterator]() {
    return this.entries()
  }

  forEach(visit: (value: V, key: string, map: ReadonlyMap<string, V>) => void) {
    for (const [key, value] of this.entries()) visit(value, key, this)
  }
}
