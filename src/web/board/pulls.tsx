/** What the spec says just now, on the block itself, to be pulled there. */
import { ownStops } from '../../core/document/looks'
import { cascaded } from '../../core/document/resolve'
import { useBoard } from '../editor/use-editor'
import { CornerPull } from './corner-pull'
import { GradientPull } from './gradient-pull'
import { PullFrame } from './pull-frame'
import type { SheetPlace } from './sheet-place'

export function Pulls(place: SheetPlace) {
  const editor = useBoard()
  const { pulling, doc } = editor
  if (!pulling || editor.view.id !== place.view.id) return null
  const box = place.layout.boxes.get(pulling.node)
  const node = doc.nodes.get(pulling.node)
  if (!box || !node) return null
  const { fill } = pulling
  if (fill === undefined)
    return (
      <PullFrame place={place} box={box}>
        {(on) => <CornerPull node={node} on={on} />}
      </PullFrame>
    )
  const said = cascaded(doc, node, place.view.id).fills?.[fill]
  const gradient = said && ownStops(editor.tokens, said)
  if (gradient?.kind !== 'gradient') return null
  return (
    <PullFrame place={place} box={box}>
      {(on) => <GradientPull node={node} fill={fill} gradient={gradient} on={on} />}
    </PullFrame>
  )
}
