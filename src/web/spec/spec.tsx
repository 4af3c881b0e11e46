/** The spec: what is selected, as short statements whose values are changed in place; with nothing selected, the lattice bench. */
import { lazy, Suspense } from 'react'
import { useEditor } from '../editor/use-editor'
import { LatticeBench } from '../lattice-bench/lattice-bench'
import { blockSpec } from './fetch-block-spec'

const BlockSpecs = lazy(() => blockSpec().then((part) => ({ default: part.BlockSpecs })))

export function Spec() {
  const editor = useEditor()
  return (
    <aside
      aria-label="Spec"
      className="over-board flex w-75 flex-none flex-col border-l border-base-300 bg-base-100"
    >
      {editor.selected || editor.sharedNode ? (
        <Suspense>
          <BlockSpecs />
        </Suspense>
      ) : (
        <LatticeBench />
      )}
    </aside>
  )
}
