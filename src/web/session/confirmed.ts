/**
 * What the server has confirmed of this browser's work lately, so that a server which was set back to an earlier state is noticed by
 * whoever opens the project next, though no tab was open that would send it again.
 */

import type { Parked } from '../../core/replica/parked'
import { parkEdits } from '../../core/replica/parked'
import type { Replica } from '../../core/replica/replica'
import { notKnown } from './left-behind'
import type { Ports } from './ports'
import type { Timers } from './timers'
import { ApiError } from './wire'

/** A server that is asked again after so long is not merely behind another one, ms. */
const SURE = 4000

const SET_BACK = 'the server was set back to an earlier state, from before these changes'

export class Confirmed {
  /** Keys of what is kept already. */
  private readonly noted = new Set<string>()

  constructor(
    private readonly project: string,
    private readonly replica: Replica,
    private readonly ports: Ports,
    private readonly timers: Timers,
  ) {}

  /** Keeps what has been confirmed since. */
  note() {
    const fresh = this.replica.confirmed().filter(({ key }) => !this.noted.has(key))
    if (fresh.length === 0) return
    for (const { key } of fresh) this.noted.add(key)
    // It is on the server: where this browser has no room it is not kept twice.
    void this.ports.keep?.confirm(this.project, fresh).catch(() => undefined)
  }

  /** Asks whether the server still has what it had confirmed. @param lost told of what it has not, kept as set aside by then */
  async look(lost: (parked: Parked) => void) {
    const { keep, tabs } = this.ports
    const kept = (await keep?.confirmed(this.project).catch(() => undefined)) ?? []
    const unknown = await this.unknown(kept)
    if (!keep || unknown.length === 0) return
    await new Promise<void>((resolve) => this.timers.after('confirmed', SURE, resolve))
    const gone = await this.unknown(unknown)
    if (gone.length === 0) return
    const edits = gone.flatMap(({ changes }) => changes.map(({ edit }) => edit))
    const at = Math.max(...gone.map((batch) => batch.at))
    const parked = parkEdits(edits, SET_BACK, this.replica.doc, { by: tabs.id, at })
    await keep.unconfirm(
      this.project,
      gone.map(({ key }) => key),
      parked,
    )
    lost(parked)
  }

  /** Those that the server does not know, whatever its state; none while it does not answer. */
  private async unknown<T extends { key: string; at: number }>(batches: readonly T[]): Promise<T[]> {
    try {
      return await notKnown(this.ports.wire, this.project, batches, Number.POSITIVE_INFINITY)
    } catch (error) {
      if (!(error instanceof ApiError)) throw error
      return []
    }
  }
}
