/**
 * `lattice soak`: tabs that do anything at all, over a line that loses things, while tabs, app servers and databases are killed.
 * In the end all have to be equal, and everything that was acknowledged or kept has to be there.
 */
import 'fake-indexeddb/auto'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { isDeepStrictEqual } from 'node:util'
import { starterProject } from '../../core/shelf/starter'
import { Keep } from '../../web/session/keep'
import { Neighbourhood } from '../../web/session/neighbourhood'
import { randomFrom } from '../random'
import { numberOption, Refusal, readArgs } from '../refusal'
import { buildWeb } from '../serve'
import { type Figures, noFigures } from './line'
import { AppServers, type Databases, startDatabases } from './machines'
import { SoakTab } from './tab'

/** How long everything may take to be equal once all are left in peace, ms. */
const PEACE = 120_000

export async function soak(args: string[]): Promise<number> {
  const { values } = readArgs(args, {
    minutes: { type: 'string' },
    tabs: { type: 'string' },
    servers: { type: 'string' },
    seed: { type: 'string' },
    cluster: { type: 'boolean' },
  })
  const minutes = numberOption('minutes', values.minutes, { min: 0.1, max: 10_000 }) ?? 2
  const tabs = numberOption('tabs', values.tabs, { min: 1, max: 40, integer: true }) ?? 4
  const servers = numberOption('servers', values.servers, { min: 1, max: 8, integer: true }) ?? 2
  const seed = numberOption('seed', values.seed, { min: 0, max: 2 ** 31, integer: true }) ?? 1
  if (values.cluster && process.platform !== 'linux') throw new Refusal('--cluster needs Debian’s MariaDB')
  await buildWeb()
  const folder = await mkdtemp(join(tmpdir(), 'just-lattice-soak-'))
  const databases = await startDatabases(folder, values.cluster === true)
  const apps = new AppServers(databases.addresses)
  try {
    await apps.start(servers)
    const run = new Soak(apps, databases, randomFrom(seed))
    await run.begin(tabs)
    console.log(
      `${tabs} tabs, ${servers} app servers, ${values.cluster ? 'a cluster of three' : 'one database'}, ${minutes} minutes, seed ${seed}`,
    )
    await run.work(minutes * 60_000)
    return await run.judge()
  } finally {
    apps.stop()
    await databases.stop()
    await rm(folder, { recursive: true, force: true })
  }
}

/** Whatever order their keys are in, which is nobody's business. */
const allEqual = (files: readonly unknown[]) =>
  files.every((file) => isDeepStrictEqual(JSON.parse(JSON.stringify(file)), files[files.length - 1]))

class Soak {
  private readonly figures: Figures = noFigures()
  private readonly happened = { reloads: 0, tabs: 0, servers: 0, databases: 0 }
  private readonly neighbours = new Neighbourhood()
  private tabs: SoakTab[] = []
  private keep!: Keep
  private project = ''
  private count = 0
  private edits = 0
  private readonly acknowledged = new Set<string>()
  /** Blocks that have to be somewhere in the end, by the tab that made them. */
  private readonly owed = new Map<string, Set<string>>()

  constructor(
    private readonly apps: AppServers,
    private readonly databases: Databases,
    private readonly random: () => number,
  ) {}

  async begin(count: number) {
    this.keep = await Keep.open()
    const response = await fetch(`${this.apps.addresses[0]}/api/projects`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Just-Lattice': 'soak' },
      body: JSON.stringify({ file: JSON.stringify(starterProject('Soak', 'home')) }),
    })
    this.project = ((await response.json()) as { id: string }).id
    for (let i = 0; i < count; i++) this.tabs.push(await this.newTab())
  }

  private async newTab(): Promise<SoakTab> {
    const { project, keep, neighbours, random, figures } = this
    const servers = this.apps.addresses
    const tab = new SoakTab({ project, servers, keep, neighbours, random, figures }, `tab${this.count++}`)
    this.owed.set(tab.id, new Set())
    await tab.open()
    return tab
  }

  async work(ms: number) {
    const until = Date.now() + ms
    const tabs = this.tabs.map((_, i) => this.workIn(i, until))
    const killings = [this.killServers(until), this.killDatabases(until)]
    const told = setInterval(() => {
      const left = Math.max(0, Math.round((until - Date.now()) / 1000))
      console.error(`lattice: ${this.figures.batches} batches, ${left} s left`)
    }, 15_000)
    await Promise.all([...tabs, ...killings])
    clearInterval(told)
  }

  private async workIn(at: number, until: number) {
    while (Date.now() < until) {
      await new Promise((resolve) => setTimeout(resolve, 20 + this.random() * 200))
      const drawn = this.random()
      const tab = this.tabs[at]!
      if (drawn < 0.006) {
        this.happened.reloads++
        this.heard(tab)
        await tab.reload()
      } else if (drawn < 0.012) await this.killTab(at)
      else {
        for (const id of await tab.act()) this.owed.get(tab.id)!.add(id)
        this.edits++
      }
    }
  }

  private async killTab(at: number) {
    const tab = this.tabs[at]!
    this.happened.tabs++
    tab.kill()
    this.heard(tab)
    // Of a killed one only what was on disk or acknowledged is owed.
    const left = JSON.stringify([
      [...(await this.keep.logs(this.project))],
      await this.keep.parked(this.project),
    ])
    const known = this.owed.get(tab.id)!
    for (const id of known) if (!left.includes(`"${id}"`) && !this.isAcknowledged(tab)) known.delete(id)
    this.tabs[at] = await this.newTab()
  }

  private isAcknowledged(tab: SoakTab) {
    return tab.session.saveState.kind === 'saved'
  }

  private heard(tab: SoakTab) {
    for (const key of tab.line.acknowledged) this.acknowledged.add(key)
  }

  private async killServers(until: number) {
    for (;;) {
      await new Promise((resolve) => setTimeout(resolve, 8000 + this.random() * 8000))
      if (Date.now() > until) return
      this.happened.servers++
      await this.apps.kill(Math.floor(this.random() * this.apps.addresses.length))
    }
  }

  private async killDatabases(until: number) {
    for (;;) {
      await new Promise((resolve) => setTimeout(resolve, 15_000 + this.random() * 10_000))
      if (Date.now() > until) return
      this.happened.databases++
      await this.databases.kill(this.random())
      await this.databases.whole()
    }
  }

  /** Leaves everything in peace, and looks whether all is equal and there. @returns the exit status */
  async judge(): Promise<number> {
    await this.databases.whole()
    const began = Date.now()
    for (const tab of this.tabs) tab.line.calm = true
    const faults: string[] = []
    // What somebody missed they learn with their next change.
    for (const tab of this.tabs) this.owed.get(tab.id)!.add(...(await this.lastWord(tab)))
    faults.push(...this.apps.fell)
    const files = await this.settled(began)
    if (!allEqual(files)) faults.push('tabs and servers do not agree')
    const took = Date.now() - began
    for (const tab of this.tabs) this.heard(tab)
    await this.checkLog(faults)
    if (this.figures.bytesSent > 0 && this.figures.picturesSent === 0)
      faults.push('pictures were sent, and none was taken')
    await this.print(took)
    for (const fault of faults) console.log(`FAULT: ${fault}`)
    console.log(faults.length === 0 ? 'all are equal, and nothing is lost' : `${faults.length} faults`)
    for (const tab of this.tabs) tab.session.close()
    return faults.length === 0 ? 0 : 1
  }

  private async lastWord(tab: SoakTab): Promise<[string]> {
    const id = `last-${tab.id}`
    const { session } = tab
    const [page] = session.doc.pages.keys()
    const tree = { id, kind: 'section' as const, name: id, order: 'a5', props: {} }
    session.commit([{ op: 'insert', parent: page!, tree }], 'Last')
    return [id]
  }

  /** What every tab and every server has, once nothing is on its way any more. */
  private async settled(began: number): Promise<unknown[]> {
    for (let told = began; ; ) {
      if (Date.now() - told > 10_000) {
        told = Date.now()
        const states = this.tabs.map(
          ({ session: { saveState } }) => `${saveState.kind} ${saveState.detail ?? ''}`,
        )
        console.error(`lattice: waiting for all to be equal: ${states.join('; ')}`)
      }
      const saved = this.tabs.every(({ session }) => session.saveState.kind === 'saved')
      const files: unknown[] = this.tabs.map(({ session }) => session.doc.toFile())
      if (saved || Date.now() - began > PEACE) {
        for (const address of this.apps.addresses) {
          const { file } = await this.get<{ file: unknown }>(address, '')
          files.push(file)
        }
        if ((saved && allEqual(files)) || Date.now() - began > PEACE) return files
      }
      await new Promise((resolve) => setTimeout(resolve, 200))
    }
  }

  private async get<T>(address: string, more: string): Promise<T> {
    return (await (await fetch(`${address}/api/projects/${this.project}${more}`)).json()) as T
  }

  private async checkLog(faults: string[]) {
    const [address] = this.apps.addresses
    const log = await this.get<{ key: string; revision: number }[]>(address!, '/edits?since=0&head=')
    const parked = await this.get<unknown[]>(address!, '/parked')
    const keys = log.map((batch) => batch.key)
    if (new Set(keys).size < keys.length) faults.push('a batch was taken twice')
    if (log.some((batch, i) => batch.revision !== i + 1)) faults.push('the log has gaps')
    const there = new Set(keys)
    const gone = [...this.acknowledged].filter((key) => !there.has(key))
    if (gone.length > 0) faults.push(`${gone.length} acknowledged batches are not in the log: ${gone[0]}`)
    const found = JSON.stringify([log, parked])
    for (const [tab, ids] of this.owed)
      for (const id of ids)
        if (!found.includes(`"${id}"`)) faults.push(`${id} of ${tab} is neither in the log nor set aside`)
    console.log(`log       ${log.length} batches, ${parked.length} set aside`)
  }

  private async print(took: number) {
    const { well, lost, unheard, late, unanswered, batches, picturesSent, bytesSent } = this.figures
    const { reloads, tabs, servers, databases } = this.happened
    const memory = await this.apps.memory()
    console.log(
      `done      ${this.edits} changes, ${batches} batches acknowledged, ${picturesSent} pictures sent (${(bytesSent / 1e6).toFixed(1)} MB)`,
    )
    console.log(
      `requests  ${well + lost + unheard + late}: ${lost} lost, ${unheard} answers lost, ${late} late, ${unanswered} to a server that was gone`,
    )
    console.log(`killed    ${tabs} tabs, ${servers} app servers, ${databases} databases; ${reloads} reloads`)
    console.log(
      `equal     ${(took / 1000).toFixed(1)} s after everything was left in peace; memory of the servers ${memory.join(', ')} MB`,
    )
  }
}
