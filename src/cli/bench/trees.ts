/** The same deterministic tree for every engine: nested rows and columns as pages have them. */

import type { NodeTree, ProjectFile } from '../../core/document/schema'
import type { Props } from '../../core/properties/table'
import { starterProject } from '../../core/shelf/starter'
import { said } from '../../core/words/words'

export type BenchNode = {
  id: string
  row: boolean
  gap: number
  pad: number
  width: number | undefined
  height: number | undefined
  /** Takes the room there is: by flex in a row, by stretching across a column. */
  stretch: boolean
  /** Words instead of a box. */
  text?: string
  children: BenchNode[]
}

const WORDS =
  'seed leaf pod packet glasshouse autumn harvest gardener heirloom row peas tall meadow catalogue'.split(' ')

/**
 * Sections of rows of columns of leaves, until `count` nodes are made; with `text` every other leaf says a few words. Seeded by
 * position alone.
 */
export function benchTree(count: number, text = false): BenchNode {
  let made = 0
  const node = (depth: number, index: number): BenchNode => {
    const id = `b${made++}`
    const leaf = depth >= 4
    const row = depth % 2 === 1
    const own: BenchNode = {
      id,
      row,
      gap: [0, 8, 16, 24][(index + depth) % 4]!,
      pad: leaf ? 0 : [0, 4, 8][index % 3]!,
      // Narrow enough that the rows still have room to share at 1200 px: a new width moves everything.
      width: leaf ? 6 + ((index * 7) % 18) : undefined,
      height: leaf ? 12 + ((index * 13) % 30) : undefined,
      stretch: !leaf,
      children: [],
    }
    if (leaf) {
      if (text && index % 2 === 0) {
        own.text = Array.from(
          { length: 3 + (index % 9) },
          (_, k) => WORDS[(made * 5 + k * 3) % WORDS.length],
        ).join(' ')
        own.width = own.height = undefined
        own.stretch = true
      }
      return own
    }
    const fan = depth === 0 ? Number.POSITIVE_INFINITY : [0, 5, 3, 4][depth]
    for (let i = 0; i < fan! && made < count; i++) own.children.push(node(depth + 1, i + index))
    return own
  }
  return node(0, 0)
}

export function countNodes(node: BenchNode): number {
  return node.children.reduce((sum, child) => sum + countNodes(child), 1)
}

const key = (i: number) => `a${i.toString().padStart(6, '0')}`

function toTree(node: BenchNode, i: number): NodeTree {
  const props: Props = {
    flow: node.row ? 'row' : 'column',
    rowGap: node.gap,
    paddingTop: node.pad,
    paddingRight: node.pad,
    paddingBottom: node.pad,
    paddingLeft: node.pad,
    width:
      node.width !== undefined
        ? { kind: 'exact', px: node.width }
        : node.stretch
          ? { kind: 'stretch', weight: 1 }
          : { kind: 'snug' },
    height: node.height !== undefined ? { kind: 'exact', px: node.height } : { kind: 'snug' },
  }
  if (node.text !== undefined) {
    props.words = said(node.text)
    props.fontSize = 14
    props.lineHeight = { px: 20 }
  }
  return {
    id: node.id,
    kind: node.text === undefined ? 'box' : 'text',
    name: 'Box',
    order: key(i),
    props,
    ...(node.children.length > 0 ? { children: node.children.map(toTree) } : {}),
  }
}

/** The tree as a project: the root is one section, edge to edge. */
export function benchProject(root: BenchNode): ProjectFile {
  const project = starterProject('Bench', 'bench')
  const section: NodeTree = {
    id: root.id,
    kind: 'section',
    name: 'Section',
    order: 'a0',
    props: { flow: 'column', rowGap: root.gap, fullBleed: true },
    children: root.children.map(toTree),
  }
  project.pages[0]!.sections = [section]
  return project
}
