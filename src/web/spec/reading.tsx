/** How the words of what is selected read on what is behind them: the nearest colour that does, or a veil over the picture. */
import { generateKeyBetween } from 'fractional-indexing'
import { useEffect, useState } from 'react'
import { apcaOf, nearestThatReads, ratioWords } from '../../core/color/contrast'
import { veilFor } from '../../core/color/places'
import { cascaded } from '../../core/document/resolve'
import type { LayoutBox } from '../../core/layout/box'
import { type Fill, itemsOf, shownItems } from '../../core/properties/items'
import { groundOf, readingOf } from '../../core/tokens/pairs'
import { type Editor, makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import type { Seen } from './ground'
import { Sample, Swatch } from './swatch'

/** Light is veiled pixel by pixel, not by the mean that is reckoned with: so much more is aimed at. */
const SPARE = 1.05
/** After what changed last, ms: a picture is looked at when the hand rests. */
const REST = 120

type Look = 'plain' | 'looking' | 'failed' | Seen

/** What is really behind a block's words, where fills alone do not say. @returns `plain`: they do */
function useSeen(editor: Editor, box: LayoutBox | undefined, isSure: boolean): Look {
  const [look, setLook] = useState<Look>('plain')
  const version = editor.layout?.version
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when anything behind it changed
  useEffect(() => {
    if (!box || isSure) return setLook('plain')
    let isOver = false
    setLook('looking')
    const timer = setTimeout(async () => {
      try {
        const { seenUnder } = await import('./ground')
        const seen = await seenUnder(editor, box)
        if (!isOver) setLook(seen ?? 'plain')
      } catch {
        if (!isOver) setLook('failed')
      }
    }, REST)
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [editor, box?.id, version, isSure])
  return look
}

export function Reading({ onTake }: { onTake: (hex: string) => void }) {
  const editor = useEditor()
  const boxes = editor.selection.flatMap((id) => editor.layout?.boxes.get(id) ?? [])
  const all = boxes.flatMap((box) => {
    const reading = readingOf(box)
    return reading ? [{ ...reading, box }] : []
  })
  // Of several, the one that reads worst for its size; one on a picture is looked at first.
  const [worst] = all.sort(
    (a, b) => Number(a.isSure) - Number(b.isSure) || a.ratio / a.needed - b.ratio / b.needed,
  )
  const look = useSeen(editor, worst?.box, worst?.isSure ?? true)
  const seen = typeof look === 'object' ? look : undefined
  useWorstPlace(editor, seen)
  if (!worst) return null
  if (look === 'looking') return <p className="rule-t pt-2 text-small soft">Looking at what is behind it …</p>
  const { ink, ground, ratio, needed } = seen ?? worst
  const grounds = seen?.grounds ?? groundOf(worst.box).colors
  const reads = ratio >= needed
  // The colours of a gradient in the words are chosen in that.
  const isFilled = worst.box.resolved.fillsIn === 'words'
  const better = reads || isFilled ? undefined : nearestThatReads(ink, grounds, needed)
  const where = seen && seen.grounds.length > 1 ? 'where it is worst: ' : ''
  return (
    <div className="rule-t grid gap-1.5 pt-2 text-small" data-reading>
      <div className="flex items-center gap-2">
        <Sample ink={ink} ground={ground} />
        <span className="leading-4">
          <b className={`tabular-nums ${reads ? '' : 'text-error'}`}>{ratioWords(ratio)}</b> {where}
          {reads ? 'reads well' : `reads badly, ${needed} is needed`}
          <span className="block soft">
            APCA {Math.round(apcaOf(ink, ground))}
            {look === 'failed' && ', without the pictures behind it, which cannot be had just now'}
          </span>
        </span>
      </div>
      {better && (
        <button type="button" className="line-button justify-start text-small" onClick={() => onTake(better)}>
          <Swatch color={better} /> Take {better}, which reads
        </button>
      )}
      {!reads && <Veil box={worst.box} ink={ink} grounds={grounds} needed={needed} />}
      {!reads && isFilled && <p className="soft">It is the colour of the words’ fill that reads worst.</p>}
      {!reads && !isFilled && !better && (
        <p className="soft">No lightness of this colour reads on all that is behind it.</p>
      )}
    </div>
  )
}

const showsPicture = ({ resolved }: LayoutBox) =>
  shownItems(resolved.fills).some(({ kind }) => kind === 'picture')

/** Black or white over the picture that words stand on, as thin as it may be. */
function Veil({
  box,
  ink,
  grounds,
  needed,
}: {
  box: LayoutBox
  ink: string
  grounds: readonly string[]
  needed: number
}) {
  const editor = useEditor()
  let at: LayoutBox | null = box
  while (at && !showsPicture(at)) at = at.parent
  const veil = at && veilFor(ink, grounds, needed * SPARE)
  if (!at || !veil) return null
  const { node } = at
  const isDark = veil.startsWith('#000000')
  const percent = Math.round((Number.parseInt(veil.slice(7), 16) / 255) * 100)
  const lay = () => {
    const fills = itemsOf(cascaded(editor.doc, node, editor.view.id).fills)
    const order = generateKeyBetween(null, fills[0]?.[1].order ?? null)
    const fill: Fill = { kind: 'color', color: veil, order }
    editor.setProps({ fills: { [makeId()]: fill } }, `Fill of ${node.name}`, undefined, [node])
  }
  return (
    <button type="button" className="line-button justify-start text-small" onClick={lay}>
      <Swatch color={veil} /> Lay {isDark ? 'black' : 'white'} over the picture, {percent} %
    </button>
  )
}

/** The board marks where words read worst while that is said. */
function useWorstPlace(editor: Editor, seen: Seen | undefined) {
  useEffect(() => {
    if (!seen || seen.grounds.length < 2) return
    const { place, ratio, needed } = seen
    const words = `${ratioWords(ratio)} here${ratio < needed ? ', too little' : ''}`
    editor.set({ worstPlace: { view: editor.view.id, rect: place, words } })
    return () => editor.set({ worstPlace: undefined })
  }, [editor, seen])
}
