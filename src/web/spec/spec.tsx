/** The spec: what is selected, as short statements whose values are changed in place; with nothing selected, the lattice bench. */
import { useEditor } from '../editor/use-editor'
import { LatticeBench } from '../lattice-bench/lattice-bench'
import { useBlockSpec } from './fetch-block-spec'

export function Spec() {
  const editor = useEditor()
  const isBlock = editor.selected !== undefined || editor.sharedNode !== undefined
  const part = useBlockSpec(isBlock)
  return (
    <aside
      aria-label="Spec"
      className="over-board flex w-75 flex-none flex-col border-l border-base-300 bg-base-100"
    >
      {!isBlock ? <LatticeBench /> : part ? <part.BlockSpecs /> : <p className="p-4 soft">Opening …</p>}
    </aside>
  )
}
