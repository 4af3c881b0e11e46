/** A process of ours: what it says goes into a log, and it is asked to end. */
import type { ChildProcess } from 'node:child_process'
import type { WriteStream } from 'node:fs'

/** Characters that are kept of what it said last. */
const KEPT = 4000

/** @returns what it said last. The log may be closed before it has said all: it may be heard after it has ended. */
export function keepWords(child: ChildProcess, log: WriteStream): () => string {
  let tail = ''
  child.stderr!.on('data', (chunk: Buffer) => {
    tail = (tail + chunk.toString()).slice(-KEPT)
    if (!log.writableEnded) log.write(chunk)
  })
  return () => tail
}

/** Once it has ended and all that it said has been heard. @param patience ms until it is ended by force */
export function ended(child: ChildProcess, ask: () => void, patience = 20_000): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve()
  return new Promise((resolve) => {
    const force = setTimeout(() => child.kill('SIGKILL'), patience)
    child.once('close', () => {
      clearTimeout(force)
      resolve()
    })
    ask()
  })
}
