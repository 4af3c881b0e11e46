/** A process of ours: what it says goes into a log, and it is asked to end. */
import type { ChildProcess } from 'node:child_process'
import { appendFile } from 'node:fs/promises'

/** Characters that are kept of what it said last. */
const KEPT = 4000

/** A file that words are put behind. Where there is no room for them they are dropped, and the next ones are tried again. */
export class LogFile {
  private last: Promise<void> = Promise.resolve()
  private closed = false

  constructor(private readonly path: string) {}

  write(words: string | Uint8Array) {
    if (this.closed) return
    this.last = this.last.then(() => appendFile(this.path, words)).catch(() => undefined)
  }

  /** Once all that was written so far is there, or dropped. */
  settled(): Promise<void> {
    return this.last
  }

  /** As `settled`; nothing is written after that. */
  end(): Promise<void> {
    this.closed = true
    return this.last
  }
}

/** @returns what it said last. The log may be closed before it has said all: it may be heard after it has ended. */
export function keepWords(child: ChildProcess, log: LogFile): () => string {
  let tail = ''
  child.stderr!.on('data', (chunk: Buffer) => {
    tail = (tail + chunk.toString()).slice(-KEPT)
    log.write(chunk)
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
