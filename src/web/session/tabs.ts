/** Which tab this is, and whether another is still there: each holds a lock (Web Locks) for as long as it lives. */
import { nanoid } from 'nanoid'

export type Tabs = {
  /** This tab's id: who makes its edits, and whose log they are kept in. */
  readonly id: string
  /** Calls `then` once the tab `other` is gone, holding its place until that has ended. One tab alone is called. */
  whenGone(other: string, then: () => Promise<void>, signal: AbortSignal): void
  /** Tells other tabs that this one has opened a project, and hears of those that have and that will. */
  announce(project: string, heard: (other: string) => void, signal: AbortSignal): void
}

const KEY = 'just-lattice:tab'
const lockOf = (tab: string) => `just-lattice:tab:${tab}`

/** How long a reloaded page waits for the page before it to let go of its lock, ms. */
const PATIENCE = 1500
/** Where there are no locks (pages that do not come over TLS or from this machine): who says nothing for so long is gone, ms. */
const SILENCE = 4000

/** Takes a lock for the rest of the tab's life. @returns false when somebody holds it and does not let go */
async function hold(name: string): Promise<boolean> {
  return new Promise((resolve) => {
    navigator.locks
      .request(name, { signal: AbortSignal.timeout(PATIENCE) }, () => {
        resolve(true)
        return new Promise(() => undefined)
      })
      .catch(() => resolve(false))
  })
}

let own: Promise<string> | undefined

/** The same after a reload; another one in a tab that was duplicated. */
function ownId(): Promise<string> {
  own ??= (async () => {
    const before = sessionStorage.getItem(KEY)
    // Without locks a duplicated tab could not be told from a reloaded one: the log of before is taken over as any other.
    const same = before !== null && hasLocks() && (await hold(lockOf(before)))
    const id = same ? before : nanoid(16)
    if (!same && hasLocks()) await hold(lockOf(id))
    sessionStorage.setItem(KEY, id)
    return id
  })()
  return own
}

const hasLocks = () => navigator.locks !== undefined

export async function browserTabs(): Promise<Tabs> {
  /** Tabs that have said that they are there. */
  const heardOf = new Set<string>()
  return {
    id: await ownId(),
    whenGone(other, then, signal) {
      if (hasLocks()) {
        navigator.locks.request(lockOf(other), { signal }, then).catch(() => undefined)
        return
      }
      const timer = setTimeout(() => {
        if (!heardOf.has(other)) void then()
      }, SILENCE)
      signal.addEventListener('abort', () => clearTimeout(timer))
    },
    announce(project, heard, signal) {
      const channel = new BroadcastChannel(`just-lattice:${project}`)
      const say = (what: 'opened' | 'here') =>
        ownId().then((id) => signal.aborted || channel.postMessage({ what, id }))
      channel.onmessage = ({ data }: MessageEvent<{ what: string; id: string }>) => {
        heardOf.add(data.id)
        heard(data.id)
        if (data.what === 'opened') void say('here')
      }
      void say('opened')
      signal.addEventListener('abort', () => channel.close())
    },
  }
}

/** This tab's id as far as it is known yet: for the header of requests. */
export const speaker = () => sessionStorage.getItem(KEY) ?? 'new-tab'
