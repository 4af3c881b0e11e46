/** Tabs of one browser without a browser, for tests: which of them are there, and who goes on with what one leaves. */
import type { Keep } from './keep'
import type { Tabs } from './tabs'

type Waiting = { other: string; tab: string; then: () => Promise<void>; signal: AbortSignal }

/** How long it takes until it is noticed that a tab is gone, ms. */
const NOTICED = 50

export class Neighbourhood {
  private readonly living = new Set<string>()
  private waiting: Waiting[] = []
  private readonly ears = new Map<string, (other: string) => void>()

  come(tab: string) {
    this.living.add(tab)
  }

  go(tab: string) {
    this.living.delete(tab)
    this.ears.delete(tab)
    setTimeout(() => void this.passOn(tab), NOTICED)
  }

  /** What a tab sees of the others. */
  portOf(tab: string): Tabs {
    return {
      id: tab,
      whenGone: (other, then, signal) => {
        this.waiting.push({ other, tab, then, signal })
        if (!this.living.has(other)) setTimeout(() => void this.passOn(other), NOTICED)
      },
      announce: (_, heard, signal) => {
        for (const [other, tell] of this.ears) {
          if (other === tab) continue
          tell(tab)
          heard(other)
        }
        this.ears.set(tab, heard)
        signal.addEventListener('abort', () => {
          if (this.ears.get(tab) === heard) this.ears.delete(tab)
        })
      },
    }
  }

  /** A lock that is free goes to one after the other. */
  private async passOn(gone: string) {
    if (this.living.has(gone)) return
    const next = this.waiting.find(
      (each) => each.other === gone && this.living.has(each.tab) && !each.signal.aborted,
    )
    this.waiting = this.waiting.filter((each) => each !== next)
    if (!next) return
    await next.then()
    await this.passOn(gone)
  }
}

/** The store as a tab uses it; a killed one writes nothing more. */
export function deadly(keep: Keep, tab: { dead: boolean }): Keep {
  return new Proxy(keep, {
    get: (target, name) => {
      const own = Reflect.get(target, name) as unknown
      if (typeof own !== 'function') return own
      return (...args: unknown[]) =>
        tab.dead ? new Promise(() => undefined) : (own as (...args: unknown[]) => unknown).apply(target, args)
    },
  })
}
