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

/** Takes a lock for the rest of the tab's life. @returns false when somebody holds it */
function hold(name: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks.request(name, { ifAvailable: true }, (lock) => {
      resolve(lock !== null)
      return lock ? new Promise(() => undefined) : undefined
    })
  })
}

let own: Promise<string> | undefined

/** The same after a reload; another one in a tab that was duplicated, and while the page before is still closing. */
function ownId(): Promise<string> {
  own ??= (async () => {
    const before = sessionStorage.getItem(KEY)
    const id = before && (await hold(lockOf(before))) ? before : nanoid(16)
    if (id !== before) await hold(lockOf(id))
    sessionStorage.setItem(KEY, id)
    return id
  })()
  return own
}

export async function browserTabs(): Promise<Tabs> {
  return {
    id: await ownId(),
    whenGone(other, then, signal) {
      navigator.locks.request(lockOf(other), { signal }, then).catch(() => undefined)
    },
    announce(project, heard, signal) {
      const channel = new BroadcastChannel(`just-lattice:${project}`)
      const say = (what: 'opened' | 'here') =>
        ownId().then((id) => signal.aborted || channel.postMessage({ what, id }))
      channel.onmessage = ({ data }: MessageEvent<{ what: string; id: string }>) => {
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
