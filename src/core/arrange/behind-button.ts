/** Putting a block behind a button, as menus are on the phone, and taking it out again. */

import type { Document, Node } from '../document/document'
import { cascaded } from '../document/resolve'
import type { NodeTree } from '../document/schema'
import type { Edit, PropChanges } from '../edits/edit'
import { isPanel } from '../handoff/panels'
import type { PageLayout } from '../layout/page'
import { shownItems } from '../properties/items'
import { blockLinked, linkToBlock } from '../properties/links'
import { deepEqual } from '../properties/plain-equal'
import { defaultsOf, LISTS, type PropKey, type Props } from '../properties/table'
import { ordersAt, sectionOf } from './order'
import { BUTTON_LOOK, menuButtonWords, panelProps } from './panel-look'

function* within(doc: Document, id: string): Generator<Node> {
  for (const child of doc.node(id).children) {
    yield doc.node(child)
    yield* within(doc, child)
  }
}

/** Buttons of a page that open a block. */
export const openersOf = (doc: Document, page: string, id: string): Node[] =>
  [...within(doc, page)].filter(
    ({ kind, props }) => kind === 'button' && blockLinked(props.link ?? '') === id,
  )

/** Boxes of a page that are behind a button in some view. */
export const panelsOn = (doc: Document, page: string): Node[] =>
  [...within(doc, page)].filter((node) => isPanel(doc, node))

/**
 * Puts a box behind a button: on a view and those narrower that say nothing else, or on all. What is said there already stays as it is.
 * The button comes last beside it, where there is none yet, and is seen where the box is not.
 * @param layout of the view, of the widest for all @param scope the view; undefined: all
 * @returns the edits, and the button's id
 */
export function behindButtonEdits(
  doc: Document,
  layout: PageLayout,
  node: Node,
  scope: string | undefined,
  makeId: () => string,
): { edits: Edit[]; button: string } {
  const at = scope === undefined ? {} : { view: scope }
  const said = saidIn(node, scope)
  const begins = Object.entries(beginning(doc, layout, node)).filter(
    ([key]) => said[key as PropKey] === undefined,
  )
  const shows = cascaded(doc, node, layout.viewId).hidden ? { hidden: false } : {}
  const edits: Edit[] = [
    { op: 'set', node: node.id, ...at, props: { ...Object.fromEntries(begins), folded: true, ...shows } },
  ]
  const known = openersOf(doc, layout.page, node.id)
  if (known.length > 0) {
    for (const button of known)
      if (cascaded(doc, button, layout.viewId).hidden)
        edits.push({ op: 'set', node: button.id, ...at, props: { hidden: false } })
    return { edits, button: known[0]!.id }
  }
  const parent = node.parent!
  const [order] = ordersAt(doc, parent, doc.node(parent).children.length, 1)
  const button = makeId()
  const tree: NodeTree = {
    id: button,
    kind: 'button',
    name: `${node.name} button`,
    order: order!,
    props: {
      ...buttonLook(doc, node, layout.viewId),
      words: menuButtonWords(),
      link: linkToBlock(node.id),
      ...(scope === undefined ? {} : { hidden: true }),
    },
    ...(scope === undefined ? {} : { overrides: { [scope]: { hidden: false } } }),
  }
  return { edits: [...edits, { op: 'insert', parent, tree }], button }
}

const saidIn = ({ props, overrides }: Node, scope: string | undefined): Props =>
  (scope === undefined ? props : overrides[scope]) ?? {}

/** What a box behind a button begins with on a view. */
function beginning(doc: Document, layout: PageLayout, node: Node): Props {
  const section = sectionOf(doc, node.id)
  const rect = section && layout.rect(section.id)
  const below = rect ? Math.round(rect.y + rect.height) : 0
  const { fills } = cascaded(doc, node, layout.viewId)
  // One of a band further down would open out of sight.
  const top = below <= layout.view.fold / 2 ? below : 0
  const isFilled = shownItems(fills).length > 0
  const ground = isFilled ? undefined : groundOf(doc, node, layout.viewId)
  return panelProps(ground, top, Math.round(layout.used.left))
}

/** What is behind a block: the fills of the nearest around it that has some. */
function groundOf(doc: Document, node: Node, view: string): Props['fills'] {
  for (const around of doc.ancestors(node.id)) {
    const { fills } = cascaded(doc, around, view)
    if (around.kind !== 'page' && shownItems(fills).length > 0) return fills
  }
  return undefined
}

/** Words like those in the box, and room to press them. */
function buttonLook(doc: Document, node: Node, view: string): Props {
  const like = [...within(doc, node.id)].find(({ kind }) => kind === 'text' || kind === 'button')
  const { type = '{type.label}', color = '{color.ink}' } = like ? cascaded(doc, like, view) : {}
  return { ...BUTTON_LOOK, type, color }
}

/** Whatever they were pulled to, in the flow they mean nothing. */
const PINS: ReadonlySet<string> = new Set([
  'pinLeft',
  'pinRight',
  'pinTop',
  'pinBottom',
  'pinCenterX',
  'pinCenterY',
])

/** Takes a box out from behind its buttons, with what it began with there; they are not seen there then. */
export function inFrontEdits(
  doc: Document,
  layout: PageLayout,
  node: Node,
  scope: string | undefined,
): Edit[] {
  const at = scope === undefined ? {} : { view: scope }
  const said = saidIn(node, scope)
  const begins: Props = { ...beginning(doc, layout, node), fills: groundOf(doc, node, layout.viewId) }
  const isBegun = (key: PropKey) =>
    PINS.has(key) ? !said.lifted : key !== 'folded' && deepEqual(said[key], begins[key])
  const back = (Object.keys(said) as PropKey[]).filter(isBegun).map((key) => [key, null])
  const props: PropChanges = { ...Object.fromEntries(back), folded: null, ...standing(doc, node, scope) }
  return [
    { op: 'set', node: node.id, ...at, props },
    ...openersOf(doc, layout.page, node.id).map(
      (button): Edit => ({ op: 'set', node: button.id, ...at, props: { hidden: true } }),
    ),
  ]
}

/** Where a wider view has a box behind a button: what it is on the nearest that has not. */
function standing(doc: Document, node: Node, scope: string | undefined): PropChanges {
  const wider = scope === undefined ? [] : doc.cascade(scope).slice(0, -1).reverse()
  if (wider.length === 0 || !cascaded(doc, node, wider[0]!.id).folded) return {}
  const behind = cascaded(doc, node, wider[0]!.id)
  const model = wider.find(({ id }) => !cascaded(doc, node, id).folded)
  const stood: Props = { ...defaultsOf(node.kind), ...(model ? cascaded(doc, node, model.id) : {}) }
  const own: PropChanges = { folded: false }
  for (const key of Object.keys(panelProps(undefined, 0, 0)) as PropKey[]) {
    if (key === 'folded' || PINS.has(key) || deepEqual(behind[key], stood[key])) continue
    if (stood[key] !== undefined && !LISTS.includes(key)) Object.assign(own, { [key]: stood[key] })
  }
  for (const key of ['fills', 'shadows'] as const) {
    const gone = Object.entries(behind[key] ?? {}).filter(([id]) => stood[key]?.[id] === undefined)
    if (gone.length > 0)
      Object.assign(own, {
        [key]: Object.fromEntries(gone.map(([id, item]) => [id, { ...item, hidden: true }])),
      })
  }
  return own
}
