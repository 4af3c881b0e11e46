/** Pages as PDF: printed in a process beside the server's. */
import { Beside } from './beside'
import { Problem } from './problem'
import type { PageFile, Projects } from './projects'

export type PrintRequest = PageFile & { page: string; view: string; theme?: string }

/** A page that takes longer to print is refused, ms. */
const PATIENCE = 90_000

export class Prints {
  private readonly printer: Beside<PrintRequest> | undefined

  /** @param script the module that prints; undefined: nothing does */
  constructor(
    private readonly projects: Projects,
    script: URL | undefined,
  ) {
    this.printer = script && new Beside(script, 'prints', PATIENCE)
  }

  /** @throws Problem 404, 422, 501 */
  async pdf(
    id: string,
    page: string,
    view: string,
    theme?: string,
  ): Promise<{ name: string; pdf: Uint8Array }> {
    if (!this.printer) throw new Problem(501, 'Cannot be printed', 'this server does not print')
    const { drawable, page: found } = await this.projects.pageFile(id, page)
    const shown = drawable.file.views.find((each) => each.id === view)
    if (!shown || !found) throw new Problem(404, 'Not found', `there is no view ${view} in this project`)
    if (theme !== undefined && !drawable.file.themes?.some((each) => each.id === theme))
      throw new Problem(404, 'Not found', `there is no theme ${theme} in this project`)
    try {
      const pdf = await this.printer.ask({ ...drawable, page, view, theme })
      return { name: `${found.name} ${shown.width}`, pdf }
    } catch (error) {
      throw new Problem(422, 'Cannot be printed', `the page was not printed: ${(error as Error).message}`)
    }
  }

  end() {
    this.printer?.end()
  }
}
