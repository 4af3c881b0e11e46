/** The points of a shape as statements: which is chosen, where it is, what can be done there. */
import type { Node } from '../../core/document/document'
import {
  type AnchorRef,
  allAnchors,
  anchorAt,
  isEnd,
  isSame,
  isSmooth,
  movedBy,
} from '../../core/forms/points'
import { canRound } from '../../core/forms/reshape'
import { useEditor } from '../editor/use-editor'
import { NumberChip } from '../parts/number-chip'
import {
  addAfter,
  breakHere,
  chooseAll,
  chosenIn,
  closeIt,
  endPoints,
  goOn,
  joinEnds,
  type Open,
  openPoints,
  openShape,
  reshape,
  roundCorner,
  step,
  takeAway,
  toggleSmooth,
} from './point-work'

export function PointsLines({ node }: { node: Node }) {
  const editor = useEditor()
  const open = editor.points?.id === node.id ? openShape(editor) : undefined
  if (!open) return null
  const all = allAnchors(open.outlines)
  const chosen = chosenIn(editor, open.outlines)
  return (
    <div className="grid gap-1.5">
      <div className="flex items-center gap-1.5">
        <span className="flex-1 font-semibold" data-points-words>
          {chosen.length === 1
            ? `Point ${all.findIndex((ref) => isSame(ref, chosen[0]!)) + 1} of ${all.length}`
            : `${chosen.length === 0 ? 'None' : chosen.length} of ${all.length} points chosen`}
        </span>
        <button type="button" className="plain-button" onClick={() => step(editor, -1)}>
          previous
        </button>
        <button type="button" className="plain-button" onClick={() => step(editor, 1)}>
          next
        </button>
      </div>
      {chosen.length === 1 && <OnePoint key={chosen[0]!.anchor} open={open} chosen={chosen[0]!} />}
      <div className="flex flex-wrap items-center gap-1.5">
        {chosen.length > 0 && (
          <>
            <Do
              words={
                chosen.every((ref) => isSmooth(anchorAt(open.outlines, ref)!))
                  ? 'make corners'
                  : 'make curves'
              }
              run={() => toggleSmooth(editor)}
            />
            <Do words="take away" run={() => takeAway(editor)} />
          </>
        )}
        {chosen.length === 2 && chosen.every((ref) => isEnd(open.outlines, ref)) && (
          <Do words="join" run={() => joinEnds(editor)} />
        )}
        {chosen.length < all.length && <Do words="choose all" run={() => chooseAll(editor)} />}
      </div>
    </div>
  )
}

function Do({ words, run }: { words: string; run: () => void }) {
  return (
    <button type="button" className="chip" onClick={run}>
      {words}
    </button>
  )
}

function OnePoint({ open, chosen }: { open: Open; chosen: AnchorRef }) {
  const editor = useEditor()
  const { at } = anchorAt(open.outlines, chosen)!
  const outline = open.outlines[chosen.outline]!
  const atEnd = isEnd(open.outlines, chosen)
  const move = (axis: 0 | 1) => (value: number) => {
    const by: [number, number] = axis === 0 ? [value - at[0], 0] : [0, value - at[1]]
    reshape(editor, open, movedBy(open.outlines, [chosen], by), 'Points')
  }
  return (
    <>
      <div className="flex flex-wrap items-center gap-1.5">
        <span>
          {isSmooth(anchorAt(open.outlines, chosen)!) ? 'a curve' : atEnd ? 'an end' : 'a corner'}, at
        </span>
        {([0, 1] as const).map((axis) => (
          <NumberChip
            key={axis}
            label={axis === 0 ? 'Point across' : 'Point down'}
            value={Math.round(at[axis] * 100) / 100}
            context={{ min: -100_000, max: 100_000 }}
            onChange={move(axis)}
          />
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-1.5">
        {canRound(open.outlines, chosen) && (
          <>
            <span>round by</span>
            <NumberChip
              label="Round the corner by"
              value={0}
              unit=" px"
              context={{ min: 0, max: 10_000 }}
              onChange={(radius) => roundCorner(editor, radius)}
            />
          </>
        )}
        <Do words="add one after" run={() => addAfter(editor)} />
        {atEnd ? (
          <>
            <Do words="go on from here" run={() => goOn(editor)} />
            {outline.anchors.length > 2 && <Do words="close" run={() => closeIt(editor)} />}
          </>
        ) : (
          <Do words="break here" run={() => breakHere(editor)} />
        )}
      </div>
    </>
  )
}

/** Opens a shape's points from its form. */
export function PointsButton({ node }: { node: Node }) {
  const editor = useEditor()
  const isOpen = editor.points?.id === node.id
  return (
    <button
      type="button"
      className="chip"
      aria-pressed={isOpen}
      onClick={() => (isOpen ? endPoints(editor) : void openPoints(editor, node))}
    >
      points
    </button>
  )
}
