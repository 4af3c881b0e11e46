/** A text as a ProseMirror document: the same words, on which its steps are made. */
import { type Node, Schema } from 'prosemirror-model'
import { MARKS, type MarkName, OBJECT, type Words } from './words'

const valued = { attrs: { value: {} } }
const MARK_SPECS: Readonly<Record<MarkName, { attrs?: { value: object }; code?: true }>> = {
  link: valued,
  weight: valued,
  italic: valued,
  size: valued,
  color: valued,
  case: valued,
  script: valued,
  underline: {},
  strike: {},
  code: { code: true },
}

export const schema = new Schema({
  nodes: {
    doc: { content: '(paragraph | list)+' },
    paragraph: { content: '(text | break | icon)*', group: 'block' },
    bullets: { content: 'item+', group: 'list block' },
    numbers: { content: 'item+', group: 'list block' },
    item: { content: 'paragraph list*', defining: true },
    text: { group: 'inline' },
    break: { inline: true, group: 'inline', selectable: false, leafText: () => '\n' },
    // Like a letter: the caret goes over it, and it is selected with what is around it.
    icon: {
      inline: true,
      group: 'inline',
      selectable: false,
      attrs: { name: {}, data: {}, line: {} },
      leafText: () => OBJECT,
    },
  },
  // Of the same rank inside and out: two of a kind never lie on one word.
  marks: Object.fromEntries(MARKS.map((name) => [name, { ...MARK_SPECS[name], excludes: name }])),
})

export const toDoc = (words: Words): Node => schema.nodeFromJSON({ type: 'doc', content: words })

/** Words as they lie in a file: without what ProseMirror writes for nothing. */
export const fromDoc = (doc: Node): Words => doc.toJSON().content as Words
