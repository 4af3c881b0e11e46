/** How the words read that stand on pictures: looked at one by one, on the pixels behind each. */
import { useEffect, useState } from 'react'
import { ratioWords } from '../../core/color/contrast'
import type { LayoutBox } from '../../core/layout/box'
import { onPictures } from '../../core/tokens/pairs'
import { useEditor } from '../editor/use-editor'
import { useRested } from '../parts/use-rested'
import type { Seen } from '../spec/ground'
import { Sample } from '../spec/swatch'

/** Texts that are looked at, at most. */
const MOST = 60

type Looked = { box: LayoutBox; seen: Seen }

export function OnPictures() {
  const editor = useEditor()
  const version = useRested(editor.session.documentVersion)
  const [looked, setLooked] = useState<readonly Looked[]>([])
  const [left, setLeft] = useState(0)
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when anything on the sheet changed
  useEffect(() => {
    const boxes = editor.layout ? onPictures(editor.layout).slice(0, MOST) : []
    let isOver = false
    setLooked([])
    setLeft(boxes.length)
    const look = async () => {
      const { seenUnder } = await import('../spec/ground')
      for (const box of boxes) {
        if (isOver) return
        // A picture that cannot be had just now is no reason to say nothing of the others.
        const seen = await seenUnder(editor, box).catch(() => undefined)
        if (isOver) return
        if (seen) setLooked((before) => [...before, { box, seen }])
        setLeft((count) => count - 1)
      }
    }
    void look().catch(() => setLeft(0))
    return () => {
      isOver = true
    }
  }, [editor, version, editor.view.id])
  if (looked.length === 0 && left === 0) return null
  const sorted = looked.toSorted((a, b) => a.seen.ratio / a.seen.needed - b.seen.ratio / b.seen.needed)
  const short = looked.filter(({ seen }) => seen.ratio < seen.needed).length
  return (
    <section className="mt-5" aria-label="Words on pictures">
      <h3 className="mb-1 font-bold">
        On pictures, and over what lies below
        <span className="ml-2 font-normal soft" role="status">
          {left > 0
            ? `looking, ${left} to go …`
            : short === 0
              ? 'all read well where they are worst'
              : `${short} of ${looked.length} read badly where they are worst`}
        </span>
      </h3>
      <ul>
        {sorted.map(({ box, seen: { ink, ground, ratio, needed } }) => (
          <li key={box.id} className="rule-b flex min-h-10 items-center gap-3 py-1">
            <Sample ink={ink} ground={ground} />
            <span className="min-w-0 flex-1 truncate tabular-nums">
              <b className={ratio >= needed ? '' : 'text-error'}>{ratioWords(ratio)}</b>{' '}
              <span className="soft">{ratio >= needed ? `${needed} is enough` : `${needed} is needed`}</span>
            </span>
            {editor.doc.nodes.has(box.id) ? (
              <button
                type="button"
                className="plain-button max-w-70 truncate text-small"
                title="Select it: its ink says what would make it read"
                onClick={() => editor.set({ selection: [box.id], dialog: undefined })}
              >
                {editor.called(box.node)}
              </button>
            ) : (
              <span className="px-2.5 text-small soft">on the template</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
