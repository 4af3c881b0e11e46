/** The spec: what is selected, as short statements whose values are changed in place; with nothing selected, the lattice bench. */
import { useEditor } from '../editor/use-editor'
import { LatticeBench } from '../lattice-bench/lattice-bench'
import { useBlockSpec } from './fetch-block-spec'

export function Spec() {
  const editor = useEditor()
  const part = useBlockSpec()
  return (
    <aside
      aria-label="Spec"
      className="over-board flex w-75 flex-none flex-col border-l border-base-300 bg-base-100"
    >
      {!(editor.selected || editor.sharedNode) ? (
        <LatticeBench />
      ) : part ? (
        <part.BlockSpecs />
      ) : (
        <p className="p-4 soft">Opening …</p>
      )}
    </aside>
  )
}
