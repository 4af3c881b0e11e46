/** The engines under test, each with the same three tasks: full layout, a new width, one leaf edited. */
import type { Page } from '@playwright/test'
import Yoga, {
  Align,
  Direction,
  Edge,
  FlexDirection,
  Gutter,
  MeasureMode,
  type Node as YogaNode,
} from 'yoga-layout'
import { Document } from '../../core/document/document'
import { resolve } from '../../core/document/resolve'
import { applyEdit } from '../../core/edits/apply'
import { PageLayout } from '../../core/layout/page'
import type { FontLibrary } from '../../core/text/fonts'
import type { Paragraph } from '../../core/text/paragraph'
import { ParagraphCache } from '../../core/text/paragraph-cache'
import { type BenchNode, benchProject } from './trees'

export type Timings = { full: number[]; width: number[]; leaf: number[] }
const WIDTHS = [1440, 1200]

function lastLeaf(node: BenchNode): BenchNode {
  return node.children.length === 0 ? node : lastLeaf(node.children[node.children.length - 1])
}

function time(list: number[], work: () => void) {
  const start = performance.now()
  work()
  list.push(performance.now() - start)
}

export function timeCore(root: BenchNode, rounds: number, fonts: FontLibrary): Timings {
  const timings: Timings = { full: [], width: [], leaf: [] }
  const doc = Document.fromFile(benchProject(root))
  const paragraphs = new ParagraphCache(fonts)
  const leaf = lastLeaf(root)
  for (let i = 0; i < rounds; i++) {
    let layout: PageLayout | undefined
    time(timings.full, () => {
      layout = new PageLayout(doc, 'bench', 'desktop', WIDTHS[0], paragraphs)
    })
    time(timings.width, () => layout!.update(WIDTHS[1]))
    applyEdit(doc, {
      op: 'set',
      node: leaf.id,
      props: { height: { kind: 'exact', px: 40 + i } },
    })
    time(timings.leaf, () => layout!.update())
  }
  return timings
}

/** Yoga has no text of its own: it is given our shaped paragraphs to measure. */
type Measure = (node: BenchNode) => Paragraph

function yogaTree(node: BenchNode, into: Map<string, YogaNode>, measure: Measure, inRow = false): YogaNode {
  const own = Yoga.Node.create()
  if (node.text !== undefined) {
    const paragraph = measure(node)
    own.setMeasureFunc((width, mode) => {
      const room =
        mode === MeasureMode.Undefined ? paragraph.maxContent : Math.min(width, paragraph.maxContent)
      return { width: mode === MeasureMode.Exactly ? width : room, height: paragraph.height(room) }
    })
  }
  own.setFlexDirection(node.row ? FlexDirection.Row : FlexDirection.Column)
  own.setAlignItems(Align.FlexStart)
  own.setGap(Gutter.All, node.gap)
  own.setPadding(Edge.All, node.pad)
  if (node.width !== undefined) own.setWidth(node.width)
  if (node.height !== undefined) own.setHeight(node.height)
  if (node.stretch && inRow) {
    own.setFlexGrow(1)
    own.setFlexShrink(1)
    own.setFlexBasis(0)
  } else if (node.stretch) own.setAlignSelf(Align.Stretch)
  node.children.forEach((child, i) => {
    own.insertChild(yogaTree(child, into, measure, node.row), i)
  })
  into.set(node.id, own)
  return own
}

export function timeYoga(root: BenchNode, rounds: number, fonts: FontLibrary): Timings {
  const timings: Timings = { full: [], width: [], leaf: [] }
  const doc = Document.fromFile(benchProject(root))
  const paragraphs = new ParagraphCache(fonts)
  const measure: Measure = (node) => paragraphs.get(resolve(doc, doc.node(node.id), 'desktop'))
  for (let i = 0; i < rounds; i++) {
    const nodes = new Map<string, YogaNode>()
    let tree: YogaNode | undefined
    time(timings.full, () => {
      tree = yogaTree(root, nodes, measure)
      tree.calculateLayout(WIDTHS[0], undefined, Direction.LTR)
    })
    time(timings.width, () => tree!.calculateLayout(WIDTHS[1], undefined, Direction.LTR))
    nodes.get(lastLeaf(root).id)!.setHeight(40 + i)
    time(timings.leaf, () => tree!.calculateLayout(WIDTHS[1], undefined, Direction.LTR))
    tree!.freeRecursive()
  }
  return timings
}

export async function timeChromium(page: Page, root: BenchNode, rounds: number): Promise<Timings> {
  return page.evaluate(
    ({ tree, times, widths, leafId }) => {
      const timings: { full: number[]; width: number[]; leaf: number[] } = { full: [], width: [], leaf: [] }
      const html = (node: typeof tree, inRow: boolean): string => {
        const size = `${node.width === undefined ? '' : `width:${node.width}px;flex-shrink:0;`}${node.height === undefined ? '' : `height:${node.height}px;flex-shrink:0;`}`
        const grow = node.stretch ? (inRow ? 'flex:1 1 0px;' : 'align-self:stretch;') : ''
        return `<div id="${node.id}" style="display:${node.text === undefined ? 'flex' : 'block;font:14px/20px sans-serif'};box-sizing:border-box;align-items:flex-start;flex-direction:${node.row ? 'row' : 'column'};gap:${node.gap}px;padding:${node.pad}px;${size}${grow}">${node.text ?? node.children.map((child) => html(child, node.row)).join('')}</div>`
      }
      const markup = html(tree, false)
      for (let i = 0; i < times; i++) {
        const host = document.createElement('div')
        host.style.width = `${widths[0]}px`
        host.innerHTML = markup
        let start = performance.now()
        document.body.replaceChildren(host)
        void host.offsetHeight
        timings.full.push(performance.now() - start)
        host.style.width = `${widths[1]}px`
        start = performance.now()
        void host.offsetHeight
        timings.width.push(performance.now() - start)
        document.getElementById(leafId)!.style.height = `${40 + i}px`
        start = performance.now()
        void host.offsetHeight
        timings.leaf.push(performance.now() - start)
      }
      return timings
    },
    { tree: root, times: rounds, widths: WIDTHS, leafId: lastLeaf(root).id },
  )
}
