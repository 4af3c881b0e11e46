/** Values of several tokens from a base and a ratio: said, and seen on the page, before they are taken. */
import { useState } from 'react'
import type { Edit } from '../../core/edits/edit'
import { useEditor } from '../editor/use-editor'
import { NumberChip } from '../parts/number-chip'
import { PageBeside } from './page-beside'

export function Scale({
  begin,
  of,
  edits,
  label,
  viewId,
}: {
  /** px, and times */
  begin: { base: number; ratio: number }
  /** px, one for each token. */
  of: (base: number, ratio: number) => number[]
  edits: (values: readonly number[]) => Edit[]
  /** What is said of it in the history. */
  label: string
  /** The view on which the page is shown. */
  viewId: string
}) {
  const editor = useEditor()
  const [{ base, ratio }, setScale] = useState(begin)
  const [isSeen, setSeen] = useState(false)
  const values = of(base, ratio)
  const made = edits(values)
  const shown = [...new Set(values)].sort((a, b) => a - b)
  const change = (part: Partial<typeof begin>) => {
    setScale((before) => ({ ...before, ...part }))
    setSeen(true)
  }
  return (
    <section aria-label="As a scale" className="mt-4">
      <span className="flex flex-wrap items-center gap-1.5">
        As a scale: from
        <NumberChip
          label="Base of the scale"
          value={base}
          unit=" px"
          context={{ min: 1, max: 200 }}
          onChange={(next) => change({ base: next })}
        />
        each
        <NumberChip
          label="Ratio of the scale"
          value={ratio}
          shown={`× ${ratio}`}
          step={0.05}
          context={{ min: 1.05, max: 4 }}
          onChange={(next) => change({ ratio: next })}
        />
        <span className="tabular-nums soft">{shown.join(', ')}</span>
        <button
          type="button"
          className="plain-button text-primary"
          aria-expanded={isSeen}
          onClick={() => setSeen(!isSeen)}
        >
          {isSeen ? 'Hide the page' : 'See it on the page'}
        </button>
        <button type="button" className="line-button" onClick={() => editor.commit(made, label)}>
          Take it
        </button>
      </span>
      {isSeen && <PageBeside edits={made} viewId={viewId} />}
    </section>
  )
}
