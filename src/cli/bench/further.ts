/** Benches beside the trees: text, growth, memory, the demo. */
import { SiteViewer } from '../browser'
import { benchBoard } from './board'
import { benchCommits } from './commits'
import { benchDelivery } from './delivery'
import { bytesPerNode, timeDemo, timeGrowth } from './growth'
import { benchPath } from './path'
import { benchPictures } from './pictures'
import { type Further, median } from './statistics'
import { benchStore } from './store'
import { timeText } from './text'

/** By name: each measures, words its line, and says whether its bar is met. */
export const FURTHER: Record<string, () => Promise<Further | Further[]>> = {
  text: benchText,
  growth: async () => {
    const { small, large } = timeGrowth(10_000, 100_000, 15)
    // Of what was timed one after the other: the machine is not as fast all the time.
    const ratio = median(large.ms.map((ms, round) => ms / small.ms[round]!))
    return {
      name: 'growth',
      value: ratio,
      met: ratio <= 12,
      line: `growth            full layout of ${small.nodes} nodes ${median(small.ms).toFixed(1)} ms, of ${large.nodes} nodes ${median(large.ms).toFixed(1)} ms: ${ratio.toFixed(1)}-fold (bar 12)`,
    }
  },
  memory: async () => {
    const bytes = bytesPerNode(10_000)
    return {
      name: 'memory',
      value: bytes,
      met: bytes <= 1229,
      line: `memory            ${Math.round(bytes)} bytes a node after layout (bar 1229)`,
    }
  },
  board: benchBoard,
  pictures: benchPictures,
  path: benchPath,
  commits: benchCommits,
  store: benchStore,
  delivery: benchDelivery,
  demo: async () => {
    const ms = await timeDemo(7)
    return {
      name: 'demo',
      value: median(ms),
      met: true,
      line: `demo              ${median(ms).toFixed(1)} ms from its file in memory to boxes and lines on every view of Home`,
    }
  },
}
async function benchText(): Promise<Further> {
  const viewer = await SiteViewer.open()
  try {
    const { core, chromium } = await timeText(viewer, 2000, 16)
    const ratio = median(core.map((ms, round) => ms / chromium[round]!))
    return {
      name: 'text',
      value: ratio,
      met: ratio <= 0.2,
      line: `text              2000 paragraphs wrapped again: core ${median(core).toFixed(2)} ms, chromium ${median(chromium).toFixed(2)} ms, ratio ${ratio.toFixed(3)} (bar 0.2)`,
    }
  } finally {
    await viewer.close()
  }
}
