/** A process beside the server's: its answers, what goes wrong in it, and that it is there again. */
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { Beside } from './beside'

const ANSWERING = new URL('beside.ts', import.meta.url).href
let folder: string
let script: URL
const patience = 20_000

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'just-lattice-beside-'))
  const path = join(folder, 'work.ts')
  await writeFile(
    path,
    `import { answering } from '${ANSWERING}'
answering<string>(async (what) => {
  if (what === 'end') process.exit(1)
  if (what === 'wait') await new Promise(() => setInterval(() => {}, 1000))
  if (what === 'fail') throw new Error('cannot be done')
  return new TextEncoder().encode(what.toUpperCase())
})`,
  )
  script = pathToFileURL(path)
})
afterAll(() => rm(folder, { recursive: true, force: true }))

const text = (bytes: Uint8Array) => new TextDecoder().decode(bytes)

test('each who asks has their own answer; what fails fails alone', async () => {
  const beside = new Beside<string>(script, 'works', patience)
  const [one, failed, two] = await Promise.allSettled(['one', 'fail', 'two'].map((each) => beside.ask(each)))
  expect(one!.status === 'fulfilled' && text(one!.value)).toBe('ONE')
  expect(failed).toMatchObject({ status: 'rejected', reason: new Error('cannot be done') })
  expect(two!.status === 'fulfilled' && text(two!.value)).toBe('TWO')
  beside.end()
})

test('when it ends, or takes too long, whose work it was is told; who waits behind has their answer from the next one', async () => {
  const beside = new Beside<string>(script, 'works', patience)
  const waits = beside.ask('end')
  const behind = beside.ask('behind')
  await expect(waits).rejects.toThrow('the process that works ended')
  expect(text(await behind)).toBe('BEHIND')
  expect(text(await beside.ask('again'))).toBe('AGAIN')
  beside.end()
  const hasty = new Beside<string>(script, 'works', 50)
  const [slow, quick] = [hasty.ask('wait'), hasty.ask('quick')]
  await expect(slow).rejects.toThrow('the process that works ended')
  expect(text(await quick)).toBe('QUICK')
  hasty.end()
})
