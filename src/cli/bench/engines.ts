/** The engines under test, each with the same three tasks: full layout, a new width, one leaf edited. They are timed turn about. */
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
import { ParagraphCache } from '../../core/text/paragraph-cache'
import type { Typeset } from '../../core/text/typeset'
import { type BenchNode, benchProject } from './trees'

export type Task = 'full' | 'width' | 'leaf'
/** What each task took, ms. */
export type Round = Record<Task, number>
const WIDTHS = [1440, 1200]

function lastLeaf(node: BenchNode): BenchNode {
  return node.children.length === 0 ? node : lastLeaf(node.children[node.children.length - 1]!)
}

function time(work: () => void): number {
  const start = performance.now()
  work()
  return performance.now() - start
}

/** @returns a round of all tasks, on a layout of its own */
export function coreRounds(root: BenchNode, fonts: FontLibrary): () => Round {
  const doc = Document.fromFile(benchProject(root))
  const paragraphs = new ParagraphCache(fonts)
  const leaf = lastLeaf(root)
  let round = 0
  return () => {
    let layout: PageLayout | undefined
    const full = time(() => {
      layout = new PageLayout(doc, 'bench', 'desktop', WIDTHS[0]!, paragraphs)
    })
    const width = time(() => layout!.update(WIDTHS[1]))
    applyEdit(doc, {
      op: 'set',
      node: leaf.id,
      props: { height: { kind: 'exact', px: 40 + round++ } },
    })
    return { full, width, leaf: time(() => layout!.update()) }
  }
}

/** Yoga has no text of its own: it is given our shaped paragraphs to measure. */
type Measure = (node: BenchNode) => Typeset

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

export function yogaRounds(root: BenchNode, fonts: FontLibrary): () => Round {
  const doc = Document.fromFile(benchProject(root))
  const paragraphs = new ParagraphCache(fonts)
  const measure: Measure = (node) => paragraphs.get(resolve(doc, doc.node(node.id), 'desktop'), 'text')
  let round = 0
  return () => {
    const nodes = new Map<string, YogaNode>()
    let tree: YogaNode | undefined
    const full = time(() => {
      tree = yogaTree(root, nodes, measure)
      tree.calculateLayout(WIDTHS[0], undefined, Direction.LTR)
    })
    const width = time(() => tree!.calculateLayout(WIDTHS[1], undefined, Direction.LTR))
    nodes.get(lastLeaf(root).id)!.setHeight(40 + round++)
    const leaf = time(() => tree!.calculateLayout(WIDTHS[1], undefined, Direction.LTR))
    tree!.freeRecursive()
    return { full, width, leaf }
  }
}

function markup(node: BenchNode, inRow: boolean): string {
  const size = `${node.width === undefined ? '' : `width:${node.width}px;flex-shrink:0;`}${node.height === undefined ? '' : `height:${node.height}px;flex-shrink:0;`}`
  const grow = node.stretch ? (inRow ? 'flex:1 1 0px;' : 'align-self:stretch;') : ''
  return `<div id="${node.id}" style="display:${node.text === undefined ? 'flex' : 'block;font:14px/20px sans-serif'};box-sizing:border-box;align-items:flex-start;flex-direction:${node.row ? 'row' : 'column'};gap:${node.gap}px;padding:${node.pad}px;${size}${grow}">${node.text ?? node.children.map((child) => markup(child, node.row)).join('')}</div>`
}

export function chromiumRounds(page: Page, root: BenchNode): () => Promise<Round> {
  const html = markup(root, false)
  let round = 0
  return () =>
    page.evaluate(
      ({ html, widths, leafId, height }) => {
        const host = document.createElement('div')
        host.style.width = `${widths[0]}px`
        host.innerHTML = html
        const read = (before: () => void) => {
          const start = performance.now()
          before()
          void host.offsetHeight
          return performance.now() - start
        }
        const full = read(() => document.body.replaceChildren(host))
        host.style.width = `${widths[1]}px`
        const width = read(() => undefined)
        document.getElementById(leafId)!.style.height = `${height}px`
        return { full, width, leaf: read(() => undefined) }
      },
      { html, widths: WIDTHS, leafId: lastLeaf(root).id, height: 40 + round++ },
    )
}
