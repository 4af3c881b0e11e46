/** A project whose page has a given number of blocks, in sections as pages have them: rows of cards with words, a few lifted badges. */

import type { NodeTree, ProjectFile } from '../../core/document/schema'
import { oneFill } from '../../core/properties/items'
import type { Props } from '../../core/properties/table'
import { starterProject } from '../../core/shelf/starter'
import { said } from '../../core/words/words'

const key = (i: number) => `a${i.toString().padStart(6, '0')}`
const words = (i: number) =>
  Array.from({ length: 4 + (i % 9) }, (_, k) => WORDS[(i * 5 + k * 3) % WORDS.length]).join(' ')
const WORDS =
  'seed leaf pod packet glasshouse autumn harvest gardener heirloom row peas tall meadow catalogue'.split(' ')

/** @param count blocks on the page, sections included */
export function boardProject(count: number): ProjectFile {
  let made = 0
  const node = (kind: NodeTree['kind'], name: string, props: Props, children?: NodeTree[]): NodeTree => {
    const i = made++
    return { id: `n${i}`, kind, name, order: key(i), props, ...(children ? { children } : {}) }
  }
  const card = (i: number): NodeTree =>
    node(
      'box',
      `Card ${i}`,
      {
        flow: 'column',
        rowGap: 8,
        paddingTop: 16,
        paddingRight: 16,
        paddingBottom: 16,
        paddingLeft: 16,
        fills: oneFill(['#e9e6de', '#f4f2ec', '#d9e4d3'][i % 3]!),
        width: { kind: 'columns', span: 3 },
      },
      [
        node('box', 'Picture', {
          fills: oneFill('#cfd8cf'),
          height: { kind: 'exact', px: 96 },
          width: { kind: 'stretch', weight: 1 },
        }),
        node('text', 'Heading', { fontSize: 18, color: '{color.ink}', words: said(words(i)) }),
        node('text', 'Words', { fontSize: 14, color: '{color.ink}', words: said(words(i + 3)) }),
      ],
    )
  const sections: NodeTree[] = []
  while (made < count) {
    const children: NodeTree[] = []
    for (let i = 0; i < 8 && made < count - 6; i++) children.push(card(i))
    children.push(
      node('box', 'Badge', {
        lifted: true,
        pinLeft: { px: 200 },
        pinTop: { px: 40 },
        width: { kind: 'exact', px: 120 },
        height: { kind: 'exact', px: 48 },
        fills: oneFill('#f3e2c3'),
      }),
    )
    sections.push(
      node(
        'section',
        `Section ${sections.length + 1}`,
        { flow: 'lattice', rowGap: 24, paddingTop: 32, paddingBottom: 32 },
        children,
      ),
    )
  }
  const project = starterProject(`Bench of ${count}`, 'bench')
  project.pages[0]!.sections = sections
  return project
}
