/** SVG pictures, read beside the server: nobody else waits for one that is hard to read, and none fills the memory. */
import { Beside } from './beside'
import { Problem } from './problem'

export type SvgAsked = { what: 'check' | 'clean'; svg: string }

/** Longest that one may take, ms. An honest map of 20,000 paths takes some ten seconds. */
const PATIENCE = 30_000
/** MB of memory. */
const MEMORY = 1024

export class SvgReader {
  private readonly beside: Beside<SvgAsked>

  /** @param patience ms that one picture may take */
  constructor(patience = PATIENCE) {
    this.beside = new Beside(new URL('svg-process.ts', import.meta.url), 'reads pictures', patience, MEMORY)
  }

  /** Whether there is nothing in a picture that would have to be taken out. @throws Problem 422 when that cannot be found out */
  async isClean(svg: string): Promise<boolean> {
    return (await this.ask({ what: 'check', svg }))[0] === 1
  }

  /** The picture as it may be kept. @throws Problem 422 when it cannot be read */
  readonly harmless = async (svg: string): Promise<string> =>
    new TextDecoder().decode(await this.ask({ what: 'clean', svg }))

  private async ask(asked: SvgAsked): Promise<Uint8Array> {
    try {
      return await this.beside.ask(asked)
    } catch {
      throw new Problem(
        422,
        'Cannot be read',
        'the picture takes too long or too much memory to read; save it with fewer shapes or groups, or as PNG',
      )
    }
  }

  /** The server is going. */
  end() {
    this.beside.end()
  }
}
