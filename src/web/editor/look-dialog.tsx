/** Putting a look on the selection, a copied one or one that is kept: which parts of it, and what that changes. */
import { useState } from 'react'
import { settleLook } from '../../core/arrange/carried-look'
import { changedBy, type LookOf, lookFor, lookOf } from '../../core/arrange/look'
import type { Node } from '../../core/document/document'
import { shortName } from '../../core/document/tokens'
import type { Edit } from '../../core/edits/edit'
import { LOOK_PARTS, type LookPart } from '../../core/properties/property'
import { PROPERTIES } from '../../core/properties/table'
import { CheckSet } from '../parts/check'
import { Dialog } from '../parts/dialog'
import type { Editor } from './editor-state'
import { keepLook } from './keep-look'
import { LookSwatch } from './look-swatch'
import { useEditor } from './use-editor'

const WORDS: Record<LookPart, string> = {
  fill: 'Fill',
  border: 'Border and corners',
  type: 'Type and ink',
  spacing: 'Padding and gaps',
  effects: 'Shadows, opacity, blending',
}
/** The copied one among those that can be put on. */
const COPIED = ''
/** Most properties that are named as changed. */
const MOST_NAMED = 8

/** `first`: what has to be there before; `left`: tokens that are none here. */
type Choice = { id: string; name: string; props: LookOf; first?: Edit[]; left?: string[] }

/** The copied look as this project can have it. */
function copiedHere({ doc, look }: Editor): (Choice & { first: Edit[] }) | undefined {
  const settled = look && settleLook(doc, look)
  if (!settled) return undefined
  const first = settled.assets.map((asset): Edit => ({ op: 'asset', id: asset.id, asset }))
  return { id: COPIED, name: look.name, props: lookOf(settled.props), first, left: settled.left }
}

/** What goes onto a block where changes are made now, and what it has there. */
function onto(editor: Editor, node: Node, look: LookOf, parts: ReadonlySet<LookPart>) {
  const view = editor.scopedView
  const own = view === undefined ? node.props : (node.overrides[view] ?? {})
  const under = view === undefined ? {} : editor.underView(node)
  const props = lookFor(look, node, parts, own, under)
  return { node, props, changed: changedBy(props, { ...under, ...own }) }
}

export function LookDialog() {
  const editor = useEditor()
  const { doc } = editor
  const copied = copiedHere(editor)
  const all: Choice[] = [
    ...(copied ? [{ ...copied, name: `${copied.name}, copied` }] : []),
    ...doc.looks.map(({ id, name, props }) => ({ id, name, props: lookOf(props) })),
  ]
  const [chosen, setChosen] = useState(all[0]?.id)
  const [parts, setParts] = useState<ReadonlySet<LookPart>>(new Set(LOOK_PARTS))
  const now = all.find(({ id }) => id === chosen) ?? all[0]
  const close = () => editor.set({ dialog: undefined })
  const put = now ? editor.meant.map((id) => onto(editor, doc.node(id), now.props, parts)) : []
  const putOn = () => {
    const edits = [...(now?.first ?? []), ...put.map(({ node, props }) => editor.setEdit(node, props))]
    if (now && editor.commit(edits, `Look of ${now.name}`)) editor.announce(`Look of ${now.name} put on`)
    close()
  }
  return (
    <Dialog title="Put a look on" onClose={close} width={420}>
      {all.length === 0 && (
        <p className="soft">
          No look is copied or kept yet. Copy one with Ctrl Shift C, or keep it from the palette.
        </p>
      )}
      <ul aria-label="Looks" className="mb-3 grid max-h-56 gap-0.5 overflow-y-auto">
        {all.map((each) => (
          <li key={each.id} className="flex items-center gap-2">
            <button
              type="button"
              className="plain-button flex-1 justify-start gap-3 aria-pressed:bg-secondary aria-pressed:text-secondary-content"
              aria-pressed={each === now}
              onClick={() => setChosen(each.id)}
            >
              <LookSwatch props={each.props} />
              <span className="truncate">{each.name}</span>
            </button>
            {each.id === COPIED ? (
              <button
                type="button"
                className="chip"
                onClick={() => copied && keepLook(editor, copied, copied.first)}
              >
                Keep it
              </button>
            ) : (
              <button
                type="button"
                className="plain-button text-small"
                aria-label={`Keep ${each.name} no longer`}
                onClick={() =>
                  editor.commit([{ op: 'look', id: each.id, look: null }], `Keep ${each.name} no longer`)
                }
              >
                Remove
              </button>
            )}
          </li>
        ))}
      </ul>
      <CheckSet all={LOOK_PARTS} words={WORDS} chosen={parts} set={setParts} />
      <Changes put={put} />
      {now?.left && now.left.length > 0 && <LeftBehind names={now.left} />}
      <div className="flex justify-end gap-2 pt-2">
        <button type="button" className="plain-button" onClick={close}>
          Cancel
        </button>
        <button type="button" className="main-button" data-first disabled={!now} onClick={putOn}>
          Put it on{' '}
          {editor.selection.length === 1 ? editor.selected?.name : `${editor.selection.length} blocks`}
        </button>
      </div>
    </Dialog>
  )
}

/** Tokens that this project has not. */
function LeftBehind({ names }: { names: readonly string[] }) {
  const more = names.length - MOST_NAMED
  const said = [...names.slice(0, MOST_NAMED).map(shortName), ...(more > 0 ? [`${more} more`] : [])]
  const tokens = new Intl.ListFormat('en').format(said)
  return (
    <p className="text-small leading-4 soft">
      {names.length === 1
        ? `${tokens} is no token of this project: its value is put on.`
        : `${tokens} are no tokens of this project: their values are put on.`}
    </p>
  )
}

/** What would be another, before it is. */
function Changes({ put }: { put: ReturnType<typeof onto>[] }) {
  const names = [...new Set(put.flatMap(({ changed }) => changed.map((key) => PROPERTIES[key].words)))]
  const count = put.filter(({ changed }) => changed.length > 0).length
  const more = names.length - MOST_NAMED
  return (
    <p className="pt-2 text-small leading-4 soft" data-look-changes>
      {names.length === 0
        ? 'It changes nothing: all of it is so already.'
        : `Changes ${names.slice(0, MOST_NAMED).join(', ')}${more > 0 ? ` and ${more} more` : ''}${put.length > 1 ? ` on ${count} of ${put.length} blocks` : ''}.`}
    </p>
  )
}
