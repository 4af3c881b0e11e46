/** Somebody at work in a tab: the session that runs in browsers, doing anything at all. */
import type { Document, Node } from '../../core/document/document'
import type { Edit } from '../../core/edits/edit'
import type { Keep } from '../../web/session/keep'
import { deadly, type Neighbourhood } from '../../web/session/neighbourhood'
import { ProjectSession } from '../../web/session/project-session'
import type { Figures } from './line'
import { SoakLine } from './line'

/** A stand-in for what a tab's own store keeps over a reload. */
class Store {
  private readonly kept = new Map<string, string>()
  getItem = (key: string) => this.kept.get(key) ?? null
  setItem = (key: string, value: string) => void this.kept.set(key, value)
  removeItem = (key: string) => void this.kept.delete(key)
}

export type Place = {
  project: string
  servers: readonly string[]
  keep: Keep
  neighbours: Neighbourhood
  random: () => number
  figures: Figures
}

/** Of a PNG of 8 × 8 px: all that the server looks at, besides the hash. */
const PNG_HEAD = [
  ...[0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10],
  ...[0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52],
  ...[0, 0, 0, 8, 0, 0, 0, 8, 8, 6, 0, 0, 0],
]

let made = 0

export class SoakTab {
  session!: ProjectSession
  line!: SoakLine
  edits = 0
  private readonly store = new Store()

  constructor(
    private readonly place: Place,
    readonly id: string,
  ) {}

  /** Comes up, however often that takes. */
  async open() {
    const { project, servers, neighbours, random, figures } = this.place
    neighbours.come(this.id)
    for (;;) {
      this.line = new SoakLine(this.id, servers, Math.floor(random() * servers.length), random, figures)
      const ports = {
        wire: this.line.wire(),
        keep: deadly(this.place.keep, this.line),
        tabs: neighbours.portOf(this.id),
        store: this.store,
      }
      try {
        this.session = await ProjectSession.open(project, undefined, ports)
        return
      } catch {
        await new Promise((resolve) => setTimeout(resolve, 300))
      }
    }
  }

  async reload() {
    this.session.close()
    await this.open()
  }

  /** As when the browser is killed: nothing of this happens any more. */
  kill() {
    this.line.kill()
    this.place.neighbours.go(this.id)
  }

  /** @returns ids of blocks that are in the document now by what was done */
  async act(): Promise<string[]> {
    const { random } = this.place
    const { session } = this
    const drawn = random()
    this.edits++
    if (drawn < 0.06) session.undo()
    else if (drawn < 0.09) session.redo()
    else if (drawn < 0.13) return this.picture()
    else {
      const { edit, id } = this.anyEdit(session.doc, drawn)
      if (edit && session.commit([edit], 'Change') && id) return [id]
    }
    return []
  }

  private anyEdit(doc: Document, drawn: number): { edit?: Edit; id?: string } {
    const { random } = this.place
    const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)]
    const blocks = [...doc.nodes.values()].filter((node): node is Node => node.kind !== 'page')
    const page = pick([...doc.pages.keys()])
    const block = pick(blocks)
    const value = Math.floor(random() * 90)
    if (!page) return {}
    if (drawn < 0.5 || !block) {
      const id = `soak${made++}-${this.id}`
      const tree = { id, kind: 'section' as const, name: id, order: 'a5', props: {} }
      return { edit: { op: 'insert', parent: page, tree }, id }
    }
    if (drawn < 0.85) return { edit: { op: 'set', node: block.id, props: { paddingTop: value } } }
    if (drawn < 0.92) return { edit: { op: 'page-meta', id: page, set: { name: `Page ${value}` } } }
    if (drawn < 0.97 && block.kind === 'section')
      return { edit: { op: 'move', node: block.id, parent: page, order: `a${value % 10}V` } }
    return { edit: { op: 'remove', node: block.id } }
  }

  private async picture(): Promise<string[]> {
    const { random } = this.place
    const size = random() < 0.1 ? 1_500_000 : 800 + Math.floor(random() * 4000)
    const bytes = new Uint8Array(size).map(() => random() * 256)
    bytes.set(PNG_HEAD)
    const name = await this.session.pictures.add(bytes, 'image/png')
    if (this.line.dead) return []
    const id = `pic${Math.floor(random() * 6)}`
    const asset = { id, name: id, type: 'image/png' as const, width: 8, height: 8, ...name }
    this.session.commit([{ op: 'asset', id, asset }], 'Picture')
    return []
  }
}
