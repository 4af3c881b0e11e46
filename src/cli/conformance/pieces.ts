/** What the named cases are made of: blocks in a few words, and a project around them. */

import type { NodeTree, ProjectFile } from '../../core/document/schema'
import { FORMAT, VERSION } from '../../core/document/schema'
import type { Props } from '../../core/properties/table'
import { starterProject } from '../../core/shelf/starter'
import { type Span, said } from '../../core/words/words'

let count = 0
export const node = (kind: NodeTree['kind'], props: Props, children: NodeTree[] = []): NodeTree => {
  const id = `c${count++}`
  return { id, kind, name: `${kind} ${id}`, order: `a${String(count).padStart(4, '0')}`, props, children }
}
export const box = (props: Props, ...children: NodeTree[]) => node('box', props, children)
export const text = (words: string | Span[], props: Props = {}) =>
  node('text', { words: said(words), ...props })
export const px = (length: number) => ({ kind: 'exact', px: length }) as const
export const snug = { kind: 'snug' } as const
export const stretch = (weight = 1) => ({ kind: 'stretch', weight }) as const
export const percent = (share: number) => ({ kind: 'percent', percent: share }) as const

export function project(...children: NodeTree[]): ProjectFile {
  return {
    format: FORMAT,
    version: VERSION,
    name: 'Case',
    tokens: {},
    assets: [],
    views: [{ ...starterProject('Case', 'page').views[0]!, id: 'wide' }],
    pages: [
      {
        id: 'page',
        name: 'Page',
        path: '/',
        order: 'a0',
        views: [],
        sections: [node('section', { flow: 'column', height: snug }, children)],
      },
    ],
  }
}

export function inSection(props: Props, ...children: NodeTree[]): ProjectFile {
  const file = project()
  file.pages[0]!.sections = [node('section', { height: snug, ...props }, children)]
  return file
}

/** As `project`, with a second view below 600 px in which `overrides` of the blocks count. */
export function inTwoViews(...children: NodeTree[]): ProjectFile {
  const file = project(...children)
  file.views.push({ ...file.views[0]!, id: 'narrow', name: 'Mobile', width: 390, breakpoint: 600, fold: 844 })
  return file
}
