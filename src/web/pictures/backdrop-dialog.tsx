/** Taking the plain backdrop of a picture away, seen before it is done. */
import { useEffect, useRef, useState } from 'react'
import type { Node } from '../../core/document/document'
import type { Asset } from '../../core/document/schema'
import type { BackdropWanted } from '../../core/pictures/backdrop'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Dialog } from '../parts/dialog'
import { NumberChip } from '../parts/number-chip'
import { pixelsOf } from '../session/picture-pixels'
import { fileOf, previewOf } from './backdrop'
import { showMade } from './made-picture'
import { shownPicture } from './shown-picture'

/** Longest side of what is shown before, px. */
const SHOWN = 640
/** Longest side of what is made, px: what is larger is made smaller. */
const MOST = 6000
/** Parts of a hundred in which tolerance is said. */
const HUNDRED = 100

export function BackdropDialog() {
  const shown = shownPicture(useEditor())
  return shown ? <Backdrop {...shown} /> : null
}

function Backdrop({ node, asset }: { node: Node; asset: Asset }) {
  const editor = useEditor()
  const [tolerance, setTolerance] = useState(6)
  const [soft, setSoft] = useState(0)
  const [isBefore, setBefore] = useState(false)
  const wanted: BackdropWanted = { tolerance: tolerance / HUNDRED, soft }
  const { canvas, share, problem } = usePreview(asset, wanted, isBefore)
  const close = () => editor.set({ dialog: undefined })
  return (
    <Dialog title={`Backdrop of ${asset.name}`} onClose={close} width={680}>
      <div className="chequered grid h-90 place-items-center overflow-hidden rounded-field border border-base-300">
        <canvas
          ref={canvas}
          role="img"
          aria-label={isBefore ? `${asset.name} as it is` : `${asset.name} without its backdrop`}
          className="max-h-90 max-w-full"
        />
      </div>
      <div className="flex min-h-8 flex-wrap items-center gap-2 pt-3">
        <span>Tolerance</span>
        <NumberChip
          label="Tolerance"
          value={tolerance}
          step={0.5}
          context={{ min: 0.1, max: 60 }}
          onChange={setTolerance}
        />
        <span className="soft">of the colours at its edges</span>
        <span className="pl-3">Soft rim</span>
        <NumberChip
          label="Soft rim"
          value={soft}
          unit=" px"
          context={{ min: 0, max: 200 }}
          onChange={setSoft}
        />
        <button
          type="button"
          className={`chip ml-auto ${isBefore ? 'bg-secondary text-secondary-content' : ''}`}
          aria-pressed={isBefore}
          onClick={() => setBefore(!isBefore)}
        >
          As it was
        </button>
      </div>
      <div className="flex items-center gap-3 pt-3">
        <button
          type="button"
          className="main-button"
          disabled={share === undefined}
          onClick={() => {
            close()
            void takeAway(editor, node, asset, wanted)
          }}
        >
          Show it without the backdrop
        </button>
        <p role="status" className="text-small">
          {problem ? (
            <span className="text-error">This picture: {problem}.</span>
          ) : share === undefined ? (
            <span className="soft">Looking at it …</span>
          ) : (
            <span className="soft">
              {Math.round(share * HUNDRED)} % of it goes. The picture as it is stays in the project.
            </span>
          )}
        </p>
      </div>
    </Dialog>
  )
}

/** Draws what it will be as soon as the values rest. */
function usePreview(asset: Asset, { tolerance, soft }: BackdropWanted, isBefore: boolean) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const [read, setRead] = useState<{ pixels: ImageData; scale: number }>()
  const [found, setFound] = useState<{ share: number; image: ImageData }>()
  const [problem, setProblem] = useState<string>()
  useEffect(() => {
    pixelsOf(asset, SHOWN).then(setRead, () => setProblem('it cannot be read'))
  }, [asset])
  useEffect(() => {
    if (!read) return
    const stop = new AbortController()
    setProblem(undefined)
    const { width, height, data } = read.pixels
    previewOf({ width, height, data }, { tolerance, soft: soft * read.scale }, stop.signal).then(
      ({ pixels, share }) => {
        const image = new ImageData(pixels.data as Uint8ClampedArray<ArrayBuffer>, width, height)
        setFound({ share, image })
      },
      (error: Error) => {
        if (stop.signal.aborted) return
        setFound(undefined)
        setProblem(error.message)
      },
    )
    return () => stop.abort()
  }, [read, tolerance, soft])
  const image = isBefore ? read?.pixels : (found?.image ?? read?.pixels)
  useEffect(() => {
    const target = canvas.current
    if (!target || !image) return
    target.width = image.width
    target.height = image.height
    target.getContext('2d')!.putImageData(image, 0, 0)
  }, [image])
  return { canvas, share: found?.share, problem }
}

/** Made of all its px. */
function takeAway(editor: Editor, node: Node, asset: Asset, wanted: BackdropWanted) {
  const making = 'Taking the backdrop away …'
  const words = {
    making,
    step: (block: string) => `${block} without its backdrop`,
    done: 'The backdrop is gone',
    failed: `the backdrop of “${asset.name}” stays`,
  }
  return showMade(editor, node, words, async (signal, say) => {
    const { pixels, scale } = await pixelsOf(asset, MOST)
    const { width, height, data } = pixels
    const progress = (share: number) => say(`${making} ${Math.round(share * HUNDRED)} %`)
    const asked = { ...wanted, soft: wanted.soft * scale }
    const { file } = await fileOf({ width, height, data }, asked, signal, progress)
    const type = file.type === 'image/webp' ? 'image/webp' : 'image/png'
    const bytes = new Uint8Array(await file.arrayBuffer())
    return { name: `${asset.name} cut out`, type, width, height, bytes }
  })
}
