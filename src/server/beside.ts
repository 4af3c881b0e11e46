/** A process beside the server's: what takes seconds is made there, and nobody else waits for it. */
import { type ChildProcess, fork } from 'node:child_process'
import { fileURLToPath } from 'node:url'

/** How long the process waits for more to do before it ends, ms. */
const IDLE = 30_000
/** What runs TypeScript there as here. */
const LOADER = new URL('../../node_modules/tsx/dist/loader.mjs', import.meta.url).href

type Asked<T> = { id: number; what: T }
type Answered = { id: number; bytes?: Uint8Array; problem?: string }
type Waiting = { resolve: (bytes: Uint8Array) => void; reject: (error: Error) => void }

/** Started when it is first asked; whoever waits while it ends is told. */
export class Beside<T> {
  private readonly waiting = new Map<number, Waiting>()
  private process: ChildProcess | undefined
  private idle: NodeJS.Timeout | undefined
  private count = 0

  /**
   * @param script of a module that calls `answering`
   * @param name what it does, as it is said
   * @param patience ms that it may take for one answer
   */
  constructor(
    private readonly script: URL,
    private readonly name: string,
    private readonly patience: number,
  ) {}

  async ask(what: T): Promise<Uint8Array> {
    this.process ??= this.start()
    const { process } = this
    clearTimeout(this.idle)
    const id = ++this.count
    const late = setTimeout(() => process.kill('SIGKILL'), this.patience)
    try {
      return await new Promise((resolve, reject) => {
        this.waiting.set(id, { resolve, reject })
        process.send({ id, what } satisfies Asked<T>)
      })
    } finally {
      clearTimeout(late)
    }
  }

  private start(): ChildProcess {
    const process = fork(fileURLToPath(this.script), {
      execArgv: ['--import', LOADER],
      serialization: 'advanced',
    })
    process.on('message', ({ id, bytes, problem }: Answered) => {
      const asked = this.waiting.get(id)
      this.waiting.delete(id)
      if (bytes) asked?.resolve(bytes)
      else asked?.reject(new Error(problem))
      if (this.waiting.size === 0) this.idle = setTimeout(() => process.kill(), IDLE).unref()
    })
    process.once('exit', () => {
      if (this.process !== process) return
      this.process = undefined
      for (const { reject } of this.waiting.values()) reject(new Error(`the process that ${this.name} ended`))
      this.waiting.clear()
    })
    return process
  }

  /** The server is going. */
  end() {
    clearTimeout(this.idle)
    this.process?.kill()
  }
}

/** In the process itself: one answer after the other. */
export function answering<T>(work: (what: T) => Promise<Uint8Array>) {
  let last: Promise<void> = Promise.resolve()
  process.on('message', ({ id, what }: Asked<T>) => {
    last = last.then(async () => {
      const answer: Answered = { id }
      try {
        answer.bytes = await work(what)
      } catch (error) {
        answer.problem = (error as Error).message
      }
      process.send?.(answer)
    })
  })
  // Whoever asked is gone.
  process.on('disconnect', () => process.exit(0))
}
