import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdir, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { ended, keepWords, LogFile } from './last-words'

let folder: string
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'just-lattice-words-'))
})
afterAll(() => rm(folder, { recursive: true, force: true }))

/** Says something, and more when it has ended already. @param until what the rest waits for */
const late = (until: string) => `echo first >&2; (${until}; echo late >&2) & exit 0`
const start = (script: string) => spawn('sh', ['-c', script], { stdio: ['ignore', 'ignore', 'pipe'] })
const logAt = (name: string) => new LogFile(join(folder, name))

test('what is heard after the log was closed is kept, and hurts nobody', async () => {
  const go = join(folder, 'go')
  const child = start(late(`until [ -e '${go}' ]; do sleep 0.02; done`))
  const closed = once(child, 'close')
  const log = logAt('closed.log')
  const words = keepWords(child, log)
  await Promise.all([once(child.stderr, 'data'), once(child, 'exit')])
  await log.end()
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
  await log.end()
  expect(words()).toBe('first\nlate\n')
  expect(await readFile(join(folder, 'whole.log'), 'utf8')).toBe('first\nlate\n')
})

test('what does not listen is ended by force', async () => {
  const child = start("trap '' TERM; echo up >&2; while :; do sleep 0.1; done")
  await once(child.stderr, 'data')
  await ended(child, () => child.kill('SIGTERM'), 300)
  expect(child.signalCode).toBe('SIGKILL')
})

test('a disk that takes no words takes nothing else: the log goes on when there is room', async () => {
  // What is written there is answered with “no space left on device”.
  const full = new LogFile('/dev/full')
  full.write('lost\n')
  await full.end()
  const log = logAt('later/file.log')
  log.write('too early\n')
  await log.settled()
  await mkdir(join(folder, 'later'))
  log.write('in time\n')
  await log.end()
  expect(await readFile(join(folder, 'later/file.log'), 'utf8')).toBe('in time\n')
})
