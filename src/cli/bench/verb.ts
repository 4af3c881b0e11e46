/** `lattice bench`: speed as ratios, side by side in one run. */
import { writeFile } from 'node:fs/promises'
import { FontLibrary } from '../../core/text/fonts'
import { openType } from '../../server/fonts'
import { launch } from '../browser'
import { pathFrom, Refusal, readArgs } from '../refusal'
import { chromiumRounds, coreRounds, type Round, type Task, yogaRounds } from './engines'
import { FURTHER } from './further'
import { type Further, median, ms, p95 } from './statistics'
import { benchTree, countNodes } from './trees'

/** Nodes, with or without words in them, and how often each task is timed. */
const TREES = [
  { size: 1_000, text: false, rounds: 41 },
  { size: 10_000, text: false, rounds: 15 },
  { size: 10_000, text: true, rounds: 9 },
  { size: 100_000, text: false, rounds: 5 },
]
/** Bars, as ratios of our time to theirs. */
const BARS: Record<Task, { yoga?: number; chromium?: number }> = {
  full: { yoga: 0.4 },
  width: { yoga: 0.3, chromium: 0.3 },
  leaf: { yoga: 0.1, chromium: 0.5 },
}
/** More is asked of a full layout with words in it: lines are what most of a page is. */
const barOf = (task: Task, text: boolean) => (task === 'full' && text ? { yoga: 0.3 } : BARS[task])
const FONT = 'hanken-grotesk-latin-wght-normal'
const WORDS: Record<Task, string> = {
  full: 'full layout',
  width: 'new width',
  leaf: 'one leaf edited',
}

type Row = {
  name: string
  nodes: number
  core: number
  coreP95: number
  yoga: number
  chromium: number
  ratioYoga: number
  ratioChromium: number
  met: boolean
}

export async function bench(args: string[]): Promise<number> {
  const { values } = readArgs(args, { only: { type: 'string' }, json: { type: 'string' } })
  const names = [...Object.keys(BARS), ...Object.keys(FURTHER)]
  if (values.only !== undefined && !names.includes(values.only))
    throw new Refusal(`--only ${values.only}: the benches are ${names.join(', ')}`)
  const tasks = (Object.keys(BARS) as Task[]).filter(
    (task) => values.only === undefined || task === values.only,
  )
  const rows: (Row | Further)[] = tasks.length > 0 ? await benchTrees(tasks) : []
  for (const [name, run] of Object.entries(FURTHER)) {
    if (values.only !== undefined && values.only !== name) continue
    const results = [await run()].flat()
    rows.push(...results)
    for (const { line, met } of results) console.log(line + (met ? '' : '  missed'))
  }
  if (values.json !== undefined) await writeFile(pathFrom(values.json), `${JSON.stringify(rows, null, 1)}\n`)
  const missed = rows.filter((row) => !row.met).length
  console.log(missed === 0 ? 'every bar is met' : `${missed} of ${rows.length} bars are missed`)
  return missed === 0 ? 0 : 1
}

/** The same trees in all three engines, task by task. */
async function benchTrees(tasks: Task[]): Promise<Row[]> {
  const browser = await launch()
  const rows: Row[] = []
  try {
    const page = await browser.newPage()
    await page.addInitScript('globalThis.__name = (value) => value')
    await page.goto('about:blank')
    console.log(
      'task                     nodes   core ms      p95  yoga ms  chromium ms   ratio to yoga (bar)   to chromium (bar)',
    )
    const fonts = new FontLibrary()
    fonts.add(FONT, await openType(FONT))
    for (const { size, text, rounds } of TREES) {
      const tree = benchTree(size, text)
      const nodes = countNodes(tree)
      const ours = coreRounds(tree, fonts)
      const theirs = yogaRounds(tree, fonts)
      const browsers = chromiumRounds(page, tree)
      // Rounds that warm the engines up are thrown away.
      const warm = Math.max(1, Math.round(30_000 / size))
      for (let i = 0; i < warm; i++) {
        ours()
        theirs()
        if (i < 5) await browsers()
      }
      const all: { core: Round; yoga: Round; chromium: Round }[] = []
      for (let i = 0; i < rounds; i++) all.push({ core: ours(), yoga: theirs(), chromium: await browsers() })
      for (const task of tasks) {
        const core = all.map((round) => round.core[task])
        const yoga = all.map((round) => round.yoga[task])
        const chromium = all.map((round) => round.chromium[task])
        const own = median(core)
        // Of what was timed one after the other: the machine is not as fast all the time.
        const toYoga = median(core.map((ms, i) => ms / yoga[i]!))
        const toChromium = median(core.map((ms, i) => ms / Math.max(0.05, chromium[i]!)))
        const bar = barOf(task, text)
        const met =
          (bar.yoga === undefined || toYoga <= bar.yoga) &&
          (bar.chromium === undefined || toChromium <= bar.chromium)
        rows.push({
          name: text ? `${task} with text` : task,
          nodes,
          core: own,
          coreP95: p95(core),
          yoga: median(yoga),
          chromium: median(chromium),
          ratioYoga: toYoga,
          ratioChromium: toChromium,
          met,
        })
        const shown = (ratio: number, limit: number | undefined) =>
          `${ratio.toFixed(3)}${limit === undefined ? '' : ` (${limit})`}`.padStart(18)
        console.log(
          `${(WORDS[task] + (text ? ', text' : '')).padEnd(22)} ${String(nodes).padStart(7)}  ${ms(own)} ${ms(p95(core))} ${ms(median(yoga))}     ${ms(median(chromium))}   ${shown(toYoga, bar.yoga)}  ${shown(toChromium, bar.chromium)}${met ? '' : '  missed'}`,
        )
      }
    }
  } finally {
    await browser.close()
  }
  return rows
}
