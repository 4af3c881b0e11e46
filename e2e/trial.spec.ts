/** Days of a designer by lot, and steps that once led to a fault: every sheet is held against the page that the app hands off. */
import { PARTS, type Step, stepsFrom } from '../src/cli/trial/acts'
import { type Beginning, Desk } from '../src/cli/trial/day'
import { expect, test } from './app'

const SEED = Number(process.env.LATTICE_SEED ?? 4)

function day(name: string, beginning: Beginning, steps: readonly Step[]) {
  test(name, async ({ app }) => {
    const desk = await Desk.open(app.address)
    try {
      const done: string[] = []
      const found = await desk.day(beginning, steps, (act, isDone) => isDone && done.push(act))
      expect(found && `${found.fault.message}\n${JSON.stringify(found.steps)}`).toBeUndefined()
      expect(done.length).toBeGreaterThan(0)
    } finally {
      await desk.close()
    }
  })
}

const parts = Object.keys(PARTS)
day(`a day in the demo, by lot`, 'demo', stepsFrom(SEED, parts, 14))
day(`a day from an empty page, by lot`, 'empty', stepsFrom(SEED + 1, parts, 20))
