/** Cutting a part out of a picture, turned or mirrored: exactly that is the picture then. */
import { useState } from 'react'
import type { Node } from '../../core/document/document'
import type { Asset } from '../../core/document/schema'
import {
  type Crop,
  fitted,
  mirrored,
  ofRatio,
  quarterTurned,
  sizedTo,
  turnedTo,
  wholePart,
} from '../../core/pictures/crop'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Choice, type Option } from '../parts/choice'
import { Dialog } from '../parts/dialog'
import { NumberChip } from '../parts/number-chip'
import { cutOut } from './cut'
import { CutStage } from './cut-stage'
import { showMade } from './made-picture'
import { shownPicture } from './shown-picture'

/** Width divided by height; undefined: any. */
const SHAPES: readonly [words: string, ratio: number | undefined][] = [
  ['any shape', undefined],
  ['1 : 1', 1],
  ['4 : 3', 4 / 3],
  ['3 : 2', 3 / 2],
  ['16 : 9', 16 / 9],
  ['3 : 4', 3 / 4],
  ['2 : 3', 2 / 3],
  ['9 : 16', 9 / 16],
]

export function CutDialog() {
  const editor = useEditor()
  const shown = shownPicture(editor)
  if (!shown) return null
  const { node, asset } = shown
  const { from } = asset
  const source = from && editor.doc.assets.get(from.asset)
  if (!source) return <Cut node={node} source={asset} begun={wholePart(asset)} />
  const { asset: _, ...part } = from
  return <Cut node={node} source={source} begun={fitted(source, part)} />
}

function Cut({ node, source, begun }: { node: Node; source: Asset; begun: Crop }) {
  const editor = useEditor()
  const [part, setPart] = useState(begun)
  const [ratio, setRatio] = useState<number>()
  const close = () => editor.set({ dialog: undefined })
  const rect = editor.layout?.rect(node.id)
  const ownShape = rect && rect.height > 0 ? rect.width / rect.height : undefined
  const shapes: Option<number | undefined>[] = [
    ...SHAPES.map(([label, value]) => ({ label, value })),
    ...(ownShape === undefined ? [] : [{ label: 'as its box', value: ownShape }]),
  ]
  const shape = (next: number | undefined) => {
    setRatio(next)
    if (next !== undefined) setPart(ofRatio(source, part, next))
  }
  const sized = (width: number, height: number) => setPart(sizedTo(source, part, width, height))
  const quarter = () => {
    // What was wide is high then.
    if (ratio !== undefined) setRatio(1 / ratio)
    setPart(quarterTurned(source, part))
  }
  const whole = wholePart(source)
  const isWhole =
    (Object.keys(whole) as (keyof Crop)[]).every((key) => part[key] === whole[key]) && !part.mirrored
  return (
    <Dialog title={`Cut ${source.name}`} onClose={close} width={700}>
      <CutStage source={source} part={part} ratio={ratio} onChange={setPart} />
      <div className="flex min-h-8 flex-wrap items-center gap-2 pt-3">
        <Choice label="Shape of the part" options={shapes} value={ratio} onChoose={shape} />
        <NumberChip
          label="Width of the part"
          value={Math.round(part.width)}
          context={{ min: 1, max: 40_000 }}
          onChange={(width) => sized(width, ratio === undefined ? part.height : width / ratio)}
        />
        <span className="soft">×</span>
        <NumberChip
          label="Height of the part"
          value={Math.round(part.height)}
          unit=" px"
          context={{ min: 1, max: 40_000 }}
          onChange={(height) => sized(ratio === undefined ? part.width : height * ratio, height)}
        />
        <span className="pl-2">Turned by</span>
        <NumberChip
          label="Turned by"
          value={part.turn}
          unit="°"
          step={0.5}
          context={{ min: -180, max: 180 }}
          onChange={(turn) => setPart(turnedTo(source, part, turn))}
        />
        <button type="button" className="chip" onClick={quarter}>
          A quarter turn
        </button>
        <button
          type="button"
          className={`chip ${part.mirrored ? 'bg-secondary text-secondary-content' : ''}`}
          aria-pressed={part.mirrored ?? false}
          onClick={() => setPart(mirrored(source, part))}
        >
          Mirrored
        </button>
      </div>
      <div className="flex items-center gap-3 pt-3">
        <button
          type="button"
          className="main-button"
          onClick={() => {
            close()
            void (isWhole ? showWhole(editor, node, source) : show(editor, node, source, part))
          }}
        >
          {isWhole ? 'Show the whole picture' : 'Show this part'}
        </button>
        <button
          type="button"
          className="plain-button px-1.5"
          disabled={isWhole}
          onClick={() => {
            setRatio(undefined)
            setPart(whole)
          }}
        >
          The whole again
        </button>
        <span className="text-small soft">The picture as it is stays in the project.</span>
      </div>
    </Dialog>
  )
}

function showWhole(editor: Editor, node: Node, { id }: Asset) {
  editor.commit([editor.setEdit(node, { asset: id })], `${editor.called(node)} whole`)
}

function show(editor: Editor, node: Node, source: Asset, part: Crop) {
  const words = {
    making: 'Cutting the picture …',
    step: () => `Part of ${source.name}`,
    done: 'That part is shown',
    failed: `“${source.name}” was not cut`,
  }
  return showMade(editor, node, words, async () => ({
    name: `${source.name}, a part`,
    ...(await cutOut(source, part)),
    from: { asset: source.id, ...part },
  }))
}
