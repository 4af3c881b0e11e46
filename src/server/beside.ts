/** A process beside the server's: what takes seconds is made there, and nobody else waits for it. */
import { type ChildProcess, fork } from 'node:child_process'
import { fileURLToPath } from 'node:url'

/** How long the process waits for more to do before it ends, ms. */
const IDLE = 30_000
/** What runs TypeScript there as here. */
const LOADER = new URL('../../node_modules/tsx/dist/loader.mjs', import.meta.url).href

type Asked<T> = { id: number; what: T }
/** `begun`: it is what is being done now. */
type Answered = { id: number; begun?: true; bytes?: Uint8Array; problem?: string }
type Waiting<T> = {
  what: T
  begun: boolean
  resolve: (bytes: Uint8Array) => void
  reject: (error: Error) => void
}

/**
 * Started when it is first asked. Whoever it was working for when it ends is told; what had not begun is done by the next one, so that
 * nobody pays for what somebody else sent.
 */
export class Beside<T> {
  private readonly waiting = new Map<number, Waiting<T>>()
  private late: NodeJS.Timeout | undefined
  private ended = false
  private process: ChildProcess | undefined
  private idle: NodeJS.Timeout | undefined
  private count = 0

  /**
   * @param script of a module that calls `answering`
   * @param name what it does, as it is said
   * @param patience ms that it may take for one answer, once it has begun
   * @param memory MB that it may fill; left out: as many as any process
   */
  constructor(
    private readonly script: URL,
    private readonly name: string,
    private readonly patience: number,
    private readonly memory?: number,
  ) {}

  ask(what: T): Promise<Uint8Array> {
    clearTimeout(this.idle)
    const id = ++this.count
    return new Promise((resolve, reject) => {
      this.waiting.set(id, { what, begun: false, resolve, reject })
      this.send(id, what)
    })
  }

  private send(id: number, what: T) {
    this.process ??= this.start()
    this.process.send({ id, what } satisfies Asked<T>)
  }

  private began(process: ChildProcess, asked: Waiting<T> | undefined) {
    if (asked) asked.begun = true
    clearTimeout(this.late)
    this.late = setTimeout(() => process.kill('SIGKILL'), this.patience)
  }

  private start(): ChildProcess {
    const process = fork(fileURLToPath(this.script), {
      execArgv: ['--import', LOADER, ...(this.memory ? [`--max-old-space-size=${this.memory}`] : [])],
      serialization: 'advanced',
    })
    process.on('message', ({ id, begun, bytes, problem }: Answered) => {
      const asked = this.waiting.get(id)
      if (begun) return this.began(process, asked)
      clearTimeout(this.late)
      this.waiting.delete(id)
      if (bytes) asked?.resolve(bytes)
      else asked?.reject(new Error(problem))
      if (this.waiting.size === 0) this.idle = setTimeout(() => process.kill(), IDLE).unref()
    })
    process.once('exit', () => {
      if (this.process !== process) return
      this.process = undefined
      clearTimeout(this.late)
      // One that ends before it has begun anything would end again.
      const isEnding = ![...this.waiting.values()].some(({ begun }) => begun)
      for (const [id, { what, begun, reject }] of [...this.waiting]) {
        if (!begun && !isEnding && !this.ended) {
          this.send(id, what)
          continue
        }
        this.waiting.delete(id)
        reject(new Error(`the process that ${this.name} ended`))
      }
    })
    return process
  }

  /** The server is going. */
  end() {
    this.ended = true
    clearTimeout(this.idle)
    this.process?.kill()
  }
}

/** In the process itself: one answer after the other. @param ready what has to be there first */
export function answering<T>(work: (what: T) => Promise<Uint8Array>, ready?: Promise<unknown>) {
  let last: Promise<unknown> = Promise.resolve(ready)
  process.on('message', ({ id, what }: Asked<T>) => {
    last = last.then(async () => {
      process.send?.({ id, begun: true } satisfies Answered)
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
