/** How far a sheet is pulled on a page that is not drawn at every view. */
import { expect, test } from 'vitest'
import { Document } from '../../core/document/document'
import { starterProject, viewFor } from '../../core/shelf/starter'
import type { Editor } from './editor-state'
import { widthsFor } from './shown-width'

test('a view that the page is not drawn at takes over where it does in what is handed off', () => {
  const file = starterProject('Test', 'home')
  const [desktop, mobile] = file.views
  const tablet = { ...viewFor('tablet', 'Tablet', 834, desktop), breakpoint: 1000 }
  file.views = [desktop!, tablet, mobile!]
  file.pages[0]!.views = [desktop!.id, mobile!.id]
  const doc = Document.fromFile(file)
  const editor = { doc, page: doc.pages.get('home') } as unknown as Editor
  const { range } = widthsFor(editor, desktop!.id)
  expect(range.least).toBe(1001)
  expect(doc.viewAt(range.least - 1).id).toBe('tablet')
})
