/** How the words of what is selected read on what is behind them, with the nearest colour that does. */
import { apcaOf, nearestThatReads } from '../../core/color/contrast'
import { groundOf, readingOf } from '../../core/tokens/pairs'
import { useEditor } from '../editor/use-editor'
import { Sample, Swatch } from './swatch'

export function Reading({ onTake }: { onTake: (hex: string) => void }) {
  const editor = useEditor()
  const boxes = editor.selection.flatMap((id) => editor.layout?.boxes.get(id) ?? [])
  const all = boxes.flatMap((box) => {
    const reading = readingOf(box)
    return reading ? [{ ...reading, box }] : []
  })
  // Of several, the one that reads worst for its size.
  const [worst] = all.sort((a, b) => a.ratio / a.needed - b.ratio / b.needed)
  if (!worst) return null
  const { ink, ground, ratio, needed, isSure, box } = worst
  const reads = ratio >= needed
  const better = reads ? undefined : nearestThatReads(ink, groundOf(box).colors, needed)
  return (
    <div className="rule-t grid gap-1.5 pt-2 text-small" data-reading>
      <div className="flex items-center gap-2">
        <Sample ink={ink} ground={ground} />
        <span className="leading-4">
          <b className={`tabular-nums ${reads ? '' : 'text-error'}`}>{ratio.toFixed(1)} : 1</b>{' '}
          {reads ? 'reads well' : `reads badly, ${needed} is needed`}
          <span className="block soft">
            APCA {Math.round(apcaOf(ink, ground))}
            {!isSure && ', pictures behind it, and what is under a lifted block, are not looked at'}
          </span>
        </span>
      </div>
      {better && (
        <button type="button" className="line-button justify-start text-small" onClick={() => onTake(better)}>
          <Swatch color={better} /> Take {better}, which reads
        </button>
      )}
      {!reads && !better && (
        <p className="soft">No lightness of this colour reads on all that is behind it.</p>
      )}
    </div>
  )
}
