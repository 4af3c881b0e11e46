import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { createWriteStream } from 'node:fs'
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { ended, keepWords } from './last-words'

let folder: string
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'just-lattice-words-'))
})
afterAll(() => rm(folder, { recursive: true, force: true }))

/** Says something, and more when it has ended already. @param until what the rest waits for */
const late = (until: string) => `echo first >&2; (${until}; echo late >&2) & exit 0`
const start = (script: string) => spawn('sh', ['-c', script], { stdio: ['ignore', 'ignore', 'pipe'] })
const logAt = (name: string) => createWriteStream(join(folder, name), { flags: 'a' })

test('what is heard after the log was closed is kept, and hurts nobody', async () => {
  const go = join(folder, 'go')
  const child = start(late(`until [ -e '${go}' ]; do sleep 0.02; done`))
  const closed = once(child, 'close')
  const log = logAt('closed.log')
  const words = keepWords(child, log)
  await Promise.all([once(child.stderr, 'data'), once(child, 'exit')])
  await new Promise<void>((resolve) => log.end(resolve))
  await writeFile(go, '')
  await closed
  expect(words()).toBe('first\nlate\n')
  expect(await readFile(join(folder, 'closed.log'), 'utf8')).toBe('first\n')
})

test('it has ended when all that it said has been heard', async () => {
  const child = start(late('sleep 0.2'))
  const log = logAt('whole.log')
  const words = keepWords(child, log)
  await ended(child, () => undefined)
  await new Promise<void>((resolve) => log.end(resolve))
  expect(words()).toBe('first\nlate\n')
  expect(await readFile(join(folder, 'whole.log'), 'utf8')).toBe('first\nlate\n')
})

test('what does not listen is ended by force', async () => {
  const child = start("trap '' TERM; echo up >&2; while :; do sleep 0.1; done")
  await once(child.stderr, 'data')
  await ended(child, () => child.kill('SIGTERM'), 300)
  expect(child.signalCode).toBe('SIGKILL')
})
