/** Work that is done together: what arrives while a group is being done is the next group. */

/** What became of one job of a group; `again`: it goes into the next group. */
export type Outcome<R> = { value: R } | { error: unknown } | { again: true }

type Waiting<J, R> = { job: J; resolve: (value: R) => void; reject: (error: unknown) => void }

export class Together<J, R> {
  private waiting: Waiting<J, R>[] = []
  private running = false

  /**
   * @param work does a group, in the order in which its jobs came; throws when all of it failed
   * @param most jobs in a group
   */
  constructor(
    private readonly work: (jobs: readonly J[]) => Promise<readonly Outcome<R>[]>,
    private readonly most: number,
  ) {}

  add(job: J): Promise<R> {
    return new Promise((resolve, reject) => {
      this.waiting.push({ job, resolve, reject })
      if (!this.running) void this.run()
    })
  }

  private async run() {
    this.running = true
    while (this.waiting.length > 0) {
      // What has arrived already, and is only waiting to be read, comes along.
      await new Promise((resolve) => setImmediate(resolve))
      await this.group(this.waiting.splice(0, this.most))
    }
    this.running = false
  }

  private async group(group: Waiting<J, R>[]) {
    let outcomes: readonly Outcome<R>[]
    try {
      outcomes = await this.work(group.map((each) => each.job))
    } catch (error) {
      for (const { reject } of group) reject(error)
      return
    }
    const again: Waiting<J, R>[] = []
    outcomes.forEach((outcome, i) => {
      if ('again' in outcome) again.push(group[i]!)
      else if ('error' in outcome) group[i]!.reject(outcome.error)
      else group[i]!.resolve(outcome.value)
    })
    this.waiting.unshift(...again)
  }
}
