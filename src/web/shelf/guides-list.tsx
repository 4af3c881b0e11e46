/** The guides of the active sheet as one popover: lay one by its value or many at once, move, lock, take away; rulers. */
import { Lock, LockOpen, X } from 'lucide-react'
import { useState } from 'react'
import { addGuideEdits, GUIDE_SETS, type GuideSet, guidesOf } from '../../core/arrange/guides'
import type { Guide } from '../../core/document/schema'
import { formatPx } from '../../core/lattice/solve'
import { spanWidth } from '../../core/lattice/used'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { layGuides, takeGuidesAway } from '../palette/aid-commands'
import { Check } from '../parts/check'
import { NumberChip } from '../parts/number-chip'
import { Popover } from '../parts/popover'

const SET_WORDS: Record<GuideSet, string> = {
  halves: 'middle',
  thirds: 'thirds',
  margins: 'margins',
  columns: 'columns',
  sections: 'sections',
  selection: 'selection',
}
const ICON = { size: 13, strokeWidth: 1.75, 'aria-hidden': true } as const

export function GuidesList() {
  const editor = useEditor()
  const guides = guidesOf(editor.doc, editor.pageId, editor.viewId)
  return (
    <Popover
      label={`Guides on ${editor.view.name}: ${guides.length}`}
      className="plain-button soft"
      button={guides.length > 0 ? `Guides ${guides.length}` : 'Guides'}
      width={272}
    >
      {() => <GuidesPanel guides={guides} />}
    </Popover>
  )
}

function GuidesPanel({ guides }: { guides: Guide[] }) {
  const editor = useEditor()
  const [axis, setAxis] = useState<'x' | 'y'>('x')
  const { layout, view } = editor
  const zero = editor.zeroOf(view.id)
  const context = {
    min: -100_000,
    max: 100_000,
    whole: axis === 'x' ? view.width : layout?.height,
    columns: layout ? (count: number) => spanWidth(layout.used, count) : undefined,
  }
  const commit = (guide: Guide, change: Partial<Guide> | null, label: string) =>
    editor.commit(
      [{ op: 'aid', page: editor.pageId, id: guide.id, aid: change && { ...guide, ...change } }],
      label,
    )
  const sorted = [...guides].sort((a, b) => (a.axis === b.axis ? a.at - b.at : a.axis === 'x' ? -1 : 1))
  return (
    <div className="p-1.5" data-guides-panel>
      <p className="pb-1 text-small font-bold">Guides on {view.name}</p>
      <div className="flex min-h-7.5 items-center gap-1.5">
        <span>Lay one</span>
        <button
          type="button"
          className="chip"
          data-first
          aria-label={`Direction: ${axis === 'x' ? 'upright' : 'level'}`}
          onClick={() => setAxis(axis === 'x' ? 'y' : 'x')}
        >
          {axis === 'x' ? 'upright' : 'level'}
        </button>
        <span>at</span>
        <NumberChip
          label="New guide at"
          value={undefined}
          shown="…"
          context={context}
          onChange={(at) =>
            layout &&
            editor.commit(
              addGuideEdits(editor.doc, layout, [{ axis, at: at + zero[axis] }], makeId),
              'Lay a guide',
            )
          }
        />
      </div>
      <div className="flex flex-wrap gap-1 py-1" role="group" aria-label="Lay many at once">
        {GUIDE_SETS.map((set) => (
          <button
            key={set}
            type="button"
            className="chip disabled:opacity-40"
            disabled={set === 'selection' && editor.selection.length === 0}
            onClick={() => layGuides(editor, set)}
          >
            {SET_WORDS[set]}
          </button>
        ))}
      </div>
      {sorted.length === 0 ? (
        <p className="py-1 text-small leading-4 soft">
          None yet. Drag one out of a ruler, type where it lies, or lay many at once.
        </p>
      ) : (
        <ul className="max-h-44 overflow-y-auto" aria-label="Guides">
          {sorted.map((guide) => (
            <li key={guide.id} className="flex min-h-7 items-center gap-1.5">
              <span className="w-14 soft">{guide.axis === 'x' ? 'upright' : 'level'}</span>
              <NumberChip
                label={`${guide.axis === 'x' ? 'Upright' : 'Level'} guide`}
                value={guide.at - zero[guide.axis]}
                context={{ ...context, whole: guide.axis === 'x' ? view.width : layout?.height }}
                onChange={(at) => commit(guide, { at: at + zero[guide.axis] }, 'Move a guide')}
              />
              <span className="flex-1" />
              <button
                type="button"
                className="icon-button"
                aria-label={`${guide.locked ? 'Unlock' : 'Lock'} the guide at ${formatPx(guide.at)}`}
                title={guide.locked ? 'Unlock' : 'Lock'}
                onClick={() =>
                  commit(
                    guide,
                    { locked: guide.locked ? undefined : true },
                    guide.locked ? 'Unlock a guide' : 'Lock a guide',
                  )
                }
              >
                {guide.locked ? <Lock {...ICON} /> : <LockOpen {...ICON} />}
              </button>
              <button
                type="button"
                className="icon-button"
                aria-label={`Take away the guide at ${formatPx(guide.at)}`}
                title="Take away"
                onClick={() => commit(guide, null, 'Take a guide away')}
              >
                <X {...ICON} />
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="rule-t mt-1.5 pt-1.5">
        <Check on={editor.showAids} set={(showAids) => editor.set({ showAids })}>
          Show guides and gauges
        </Check>
        <Check on={editor.showMarks} set={(showMarks) => editor.set({ showMarks })}>
          Marks on type, contrast and links
        </Check>
        <Check on={editor.rulers} set={(rulers) => editor.set({ rulers })}>
          Rulers
        </Check>
        <div className="flex min-h-7 items-center gap-1.5">
          <span>Rulers count from</span>
          {(['x', 'y'] as const).map((side) => (
            <NumberChip
              key={side}
              label={side === 'x' ? 'Zero from the left' : 'Zero from the top'}
              value={zero[side]}
              context={{ min: -100_000, max: 100_000 }}
              onChange={(at) => editor.setZero(view.id, { ...zero, [side]: at })}
            />
          ))}
        </div>
        {guides.length > 0 && (
          <button type="button" className="plain-button soft" onClick={() => takeGuidesAway(editor)}>
            Take all away
          </button>
        )}
      </div>
    </div>
  )
}
