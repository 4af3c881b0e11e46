/** Edits set aside: kept in this browser and on the server until they are put back or dismissed. */
import type { Parked } from '../../core/replica/parked'
import type { Ports } from './ports'
import { ApiError } from './wire'

export class ParkedEdits {
  private parked: Parked[] = []
  private readonly uploaded = new Set<string>()
  /** What was dismissed here: an answer that is still on its way may have it. */
  private readonly dismissed = new Set<string>()

  constructor(
    private readonly project: string,
    private readonly ports: Ports,
    private readonly changed: () => void,
    /** Others have set something aside. */
    private readonly found: (parked: readonly Parked[]) => void,
  ) {}

  /** Oldest first. */
  get list(): readonly Parked[] {
    return this.parked
  }

  /** What this browser and the server have. */
  async recover() {
    const { keep, wire } = this.ports
    const kept = (await keep?.parked(this.project).catch(() => [])) ?? []
    const stored = await wire.parked(this.project).catch(() => [])
    for (const { id } of stored) this.uploaded.add(id)
    const ids = new Set(this.parked.map((each) => each.id))
    const found: Parked[] = []
    for (const each of [...stored, ...kept]) {
      if (ids.has(each.id) || this.dismissed.has(each.id)) continue
      ids.add(each.id)
      found.push(each)
    }
    this.parked = [...this.parked, ...found].toSorted((a, b) => a.at - b.at)
    this.upload()
    if (found.length > 0) this.found(found)
  }

  /** Parked just now; who calls has kept them in this browser. */
  add(parked: readonly Parked[]) {
    this.parked = [...this.parked, ...parked]
    this.upload()
    this.changed()
  }

  /** Brings to the server what is not there yet; what cannot be brought now is tried the next time. */
  upload() {
    for (const each of this.parked) {
      if (this.uploaded.has(each.id)) continue
      this.uploaded.add(each.id)
      this.ports.wire.park(this.project, each).then(
        ({ dismissed }) => {
          // Somewhere else it was dismissed already.
          if (dismissed) void this.forget(each.id)
        },
        (error: unknown) => {
          if (!(error instanceof ApiError)) throw error
          this.uploaded.delete(each.id)
        },
      )
    }
  }

  /** @throws ApiError when the server cannot be told: then it stays */
  async dismiss(id: string) {
    await this.ports.wire.dismiss(this.project, id)
    await this.forget(id)
  }

  private async forget(id: string) {
    this.dismissed.add(id)
    this.parked = this.parked.filter((each) => each.id !== id)
    this.changed()
    await this.ports.keep?.unpark(this.project, id).catch(() => undefined)
  }
}
