/** The open page as it is and as it would be, side by side, before anything is taken. */
import { useEffect, useState } from 'react'
import type { Edit } from '../../core/edits/edit'
import { pageThen } from '../../core/tokens/page-then'
import { picturesOn } from '../editor/save-file'
import { useEditor } from '../editor/use-editor'
import { useRested } from '../parts/use-rested'
import { paragraphs } from '../session/fonts'

/** As much of a page as is shown, in its widths. */
const SHOWN = 1.15

type Drawn = { url: string; height: number }

export function PageBeside({ edits, viewId }: { edits: readonly Edit[]; viewId: string }) {
  const editor = useEditor()
  const { doc, page } = editor
  const key = useRested(JSON.stringify(edits))
  const version = useRested(editor.session.documentVersion)
  const theme = editor.layout?.theme
  const [drawn, setDrawn] = useState<{ now: Drawn; after: Drawn }>()
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when the document changed
  useEffect(() => {
    if (!page) return
    let isGone = false
    const urls: string[] = []
    const forget = () => {
      for (const url of urls) URL.revokeObjectURL(url)
    }
    const draw = async () => {
      const { pageSvg } = await import('../../core/handoff/svg/page')
      const picture = async (list: readonly Edit[]): Promise<Drawn> => {
        const at = { page: page.id, view: viewId, theme }
        const { doc: copy, layout } = pageThen(doc, list, at, paragraphs)
        const crop = layout.root.width * SHOWN
        const svg = pageSvg(copy, layout, await picturesOn(editor, layout, crop), crop)
        const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }))
        urls.push(url)
        return { url, height: Math.round(layout.height) }
      }
      const both = { now: await picture([]), after: await picture(JSON.parse(key) as Edit[]) }
      if (isGone) forget()
      else setDrawn(both)
    }
    draw().catch(() => isGone || editor.session.showNotice('the page cannot be drawn just now; try again'))
    return () => {
      isGone = true
      forget()
    }
  }, [doc, page?.id, viewId, theme, key, version, editor])
  if (!page || !drawn) return null
  const { name } = doc.view(viewId)
  return (
    <div className="mt-3 grid grid-cols-2 gap-4">
      {(['now', 'after'] as const).map((when) => (
        <figure key={when} className="min-w-0">
          <figcaption className="mb-1">
            <b>{when === 'now' ? 'Now' : 'Then'}</b>{' '}
            <span className="text-small soft tabular-nums">
              {page.name}, {name}: {drawn[when].height} px high
            </span>
          </figcaption>
          <img
            src={drawn[when].url}
            alt={`${page.name} as it ${when === 'now' ? 'is' : 'would be'}`}
            className="w-full rounded-field border border-base-content/15"
          />
        </figure>
      ))}
    </div>
  )
}
