/** Putting a block behind a button, as menus are on the phone, and taking it out again. */

import type { Document, Node } from '../document/document'
import { cascaded } from '../document/resolve'
import type { NodeTree } from '../document/schema'
import type { Edit, PropChanges } from '../edits/edit'
import type { PageLayout } from '../layout/page'
import { shownItems } from '../properties/items'
import { blockLinked, linkToBlock } from '../properties/links'
import type { Props } from '../properties/table'
import { ordersAt, sectionOf } from './order'
import { BUTTON_LOOK, menuButtonWords, panelProps } from './panel-look'

/** What a block is on a view behind a button. */
const PANEL_KEYS = [
  'folded',
  'flow',
  'align',
  'rowGap',
  'columnGap',
  'wrap',
  'width',
  'height',
  'pinLeft',
  'pinRight',
  'pinTop',
  'pinBottom',
  'pinCenterX',
  'pinCenterY',
  'paddingTop',
  'paddingRight',
  'paddingBottom',
  'paddingLeft',
  'fills',
  'shadows',
  'lifted',
  'hidden',
] as const

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

/**
 * Puts a box behind a button on a view and those narrower that say nothing else. The button comes last beside it, where there is
 * none yet, and is seen where the box is not.
 * @param layout of that view: of the widest, it is so on all
 * @returns the edits, and the button's id
 */
export function behindButtonEdits(
  doc: Document,
  layout: PageLayout,
  node: Node,
  makeId: () => string,
): { edits: Edit[]; button: string } {
  const isWidest = layout.viewId === doc.views[0]!.id
  const at = isWidest ? {} : { view: layout.viewId }
  const section = sectionOf(doc, node.id)
  const rect = section && layout.rect(section.id)
  const below = rect ? Math.round(rect.y + rect.height) : 0
  const own = cascaded(doc, node, layout.viewId)
  const fills = shownItems(own.fills).length > 0 ? undefined : groundOf(doc, node, layout.viewId)
  // One of a band further down would open out of sight.
  const top = below <= layout.view.fold / 2 ? below : 0
  const props = {
    ...panelProps(fills, top, Math.round(layout.used.left)),
    ...(own.hidden ? { hidden: false } : {}),
  }
  const edits: Edit[] = [{ op: 'set', node: node.id, ...at, props }]
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
      ...(isWidest ? {} : { hidden: true }),
    },
    ...(isWidest ? {} : { overrides: { [layout.viewId]: { hidden: false } } }),
  }
  return { edits: [...edits, { op: 'insert', parent, tree }], button }
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

/** Puts a box back to where it stands on the wider view; its buttons are not seen there. */
export function inFrontEdits(doc: Document, page: string, node: Node, view: string): Edit[] {
  const isWidest = view === doc.views[0]!.id
  const at = isWidest ? {} : { view }
  const own: Props = (isWidest ? node.props : node.overrides[view]) ?? {}
  const back: PropChanges = Object.fromEntries(
    PANEL_KEYS.filter((key) => own[key] !== undefined && key !== 'hidden').map((key) => [key, null]),
  )
  const wider = doc.cascade(view).slice(0, -1).at(-1)
  const staysFolded = wider !== undefined && cascaded(doc, node, wider.id).folded === true
  return [
    { op: 'set', node: node.id, ...at, props: { ...back, ...(staysFolded ? { folded: false } : {}) } },
    ...openersOf(doc, page, node.id).map(
      (button): Edit => ({ op: 'set', node: button.id, ...at, props: { hidden: true } }),
    ),
  ]
}
