/** `lattice trial`: a designer's days by pointer and keys, every sheet held against the page that the app hands off. */
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { numberOption, pathFrom, Refusal, readArgs } from '../refusal'
import { buildWeb, serve } from '../serve'
import { PARTS, type Step, stepsFrom } from './acts'
import { BEGINNINGS, type Beginning, Desk } from './day'
import type { Fault } from './fault'
import { shrunk } from './shrink'

/** Steps of a day. */
const LONG = 60
/** ms that shrinking one fault may take. */
const SHRINKING = 150_000

export async function trial(args: string[]): Promise<number> {
  const { values } = readArgs(args, {
    minutes: { type: 'string' },
    seed: { type: 'string' },
    only: { type: 'string' },
    days: { type: 'string' },
    keep: { type: 'string' },
    'no-shrink': { type: 'boolean' },
  })
  const minutes = numberOption('minutes', values.minutes, { min: 0.1, max: 10_000 }) ?? 10
  const seed = numberOption('seed', values.seed, { min: 0, max: 2 ** 30, integer: true }) ?? 1
  const days = numberOption('days', values.days, { min: 1, max: 10_000, integer: true })
  const parts = values.only?.split(',') ?? Object.keys(PARTS)
  const unknown = parts.find((part) => !Object.hasOwn(PARTS, part))
  if (unknown) throw new Refusal(`--only ${unknown}: the parts are ${Object.keys(PARTS).join(', ')}`)
  await buildWeb()
  const data = await mkdtemp(join(tmpdir(), 'just-lattice-trial-'))
  const app = await serve({ data, port: 0, demo: true, otherDemo: true, logLevel: 'silent' })
  try {
    const until = Date.now() + minutes * 60_000
    const folder = values.keep === undefined ? undefined : pathFrom(values.keep)
    const run = new Trial(app.address, parts, until, values['no-shrink'] !== true, folder)
    for (let i = 0; (days === undefined || i < days) && !run.isOver(); i++) await run.day(seed + i)
    return run.report()
  } finally {
    await app.stop()
    await rm(data, { recursive: true, force: true })
  }
}

class Trial {
  /** By act: how often it was done, and how often there was nothing to do it to. */
  private readonly counts = new Map<string, [done: number, idle: number]>()
  private readonly faults: Fault[] = []
  private days = 0

  constructor(
    private readonly address: string,
    private readonly parts: readonly string[],
    private readonly until: number,
    private readonly shrinks: boolean,
    private readonly folder?: string,
  ) {}

  isOver = () => Date.now() > this.until

  async day(seed: number) {
    const beginning = BEGINNINGS[seed % BEGINNINGS.length]!
    const desk = await Desk.open(this.address, this.folder)
    try {
      const steps = stepsFrom(seed, this.parts, LONG)
      const found = await desk.day(
        beginning,
        steps,
        (act, isDone) => this.count(act, isDone),
        () => this.isOver(),
      )
      this.days++
      console.error(
        `lattice: day ${seed} (${beginning}): ${found ? `${found.fault.kind} after ${found.steps.length} steps` : 'nothing wrong'}`,
      )
      if (!found) return
      this.faults.push(found.fault)
      const least = this.shrinks
        ? await this.least(desk, beginning, found.steps, found.fault.kind)
        : found.steps
      console.log(
        `FAULT (${found.fault.kind}) ${found.fault.message}\n\n${asTest(beginning, least, found.fault)}`,
      )
    } finally {
      await desk.close()
    }
  }

  private count(name: string, isDone: boolean) {
    const [done, idle] = this.counts.get(name) ?? [0, 0]
    this.counts.set(name, isDone ? [done + 1, idle] : [done, idle + 1])
  }

  /** Only what is there at the end is looked at then: that is quicker. */
  private least(desk: Desk, beginning: Beginning, steps: readonly Step[], kind: string) {
    const until = Date.now() + SHRINKING
    const fails = async (some: readonly Step[]) => {
      const found = await desk.day(beginning, some, undefined, undefined, Number.POSITIVE_INFINITY)
      return found?.fault.kind === kind
    }
    return shrunk(steps, fails, () => Date.now() > until)
  }

  report(): number {
    for (const [name, [done, idle]] of [...this.counts].sort(([a], [b]) => (a < b ? -1 : 1)))
      console.log(
        `${name.padEnd(24)} ${String(done).padStart(5)}${idle > 0 ? `, ${idle} times nothing to do it to` : ''}`,
      )
    const steps = [...this.counts.values()].reduce((sum, [done]) => sum + done, 0)
    console.log(`${this.days} days, ${steps} steps, ${this.faults.length} faults`)
    return this.faults.length === 0 ? 0 : 1
  }
}

/** For `e2e/trial.spec.ts`. */
function asTest(beginning: Beginning, steps: readonly Step[], { kind }: Fault): string {
  const list = steps.map(([name, seed]) => `  ['${name}', ${seed}],`).join('\n')
  return `day('${kind} …', '${beginning}', [\n${list}\n])`
}
