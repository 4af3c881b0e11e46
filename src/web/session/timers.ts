/** Timers by name: each new one of a name replaces the one before; all end together. */
export class Timers {
  private readonly running = new Map<string, ReturnType<typeof setTimeout>>()
  private ended = false

  after(name: string, ms: number, then: () => void) {
    this.cancel(name)
    if (!this.ended) this.running.set(name, setTimeout(then, ms))
  }

  cancel(name: string) {
    clearTimeout(this.running.get(name))
  }

  end() {
    this.ended = true
    for (const timer of this.running.values()) clearTimeout(timer)
  }
}
