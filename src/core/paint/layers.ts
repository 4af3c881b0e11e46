/**
 * What is drawn of a page, and in which order (CSS 2.2 appendix E). Blocks in rows, columns and lattices are drawn one after the
 * other, each with what is in it (Flexbox §5.4, Grid §6.3); what is positioned, turned or see-through anywhere in them is drawn
 * after all of that. Sections are plain blocks: the fills of all of them lie under everything in them.
 */
import type { Node } from '../document/document'
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import { isContext, isRaised, stackingIn, standing } from './stacking'

/** A block's own fill, border, words or picture, or a layer; with what cuts it off, outermost first, up to its layer. */
export type Item = { clips: readonly LayoutBox[] } & ({ box: LayoutBox } | { layer: Layer })
/** A stacking context: turned, blended and made see-through as one. Items lie bottom to top. */
export type Layer = { box: LayoutBox; items: readonly Item[] }

type Clips = readonly LayoutBox[]

/** Whether sections are items of a column, since some stand in another order in some view: then they are drawn one by one, too. */
export const areReordered = (sections: readonly (Node | undefined)[]): boolean =>
  sections.some(
    (section) =>
      section && (section.props.order || Object.values(section.overrides).some((override) => override.order)),
  )

export function layersOf(layout: PageLayout): Layer {
  const page = layout.root
  const ordered = areReordered(page.node.children.map((id) => layout.boxes.get(id)?.node))
  const { panel } = layout
  const whole = layerOf(page, [], (clips, flow, raised) => {
    const fills: Item[] = []
    for (const section of standing(page)) {
      if (isRaised(section)) raise(section, clips, raised)
      else if (ordered) draw(section, clips, flow, raised)
      else {
        fills.push({ box: section, clips })
        children(section, section.clip ? [...clips, section] : clips, flow, raised)
      }
    }
    flow.unshift(...fills)
  })
  // The top layer (HTML §6.12): over everything, cut off by nothing.
  return panel && !panel.hidden
    ? { ...whole, items: [...whole.items, { layer: contextOf(panel), clips: [] }] }
    : whole
}

/** @param own fills the lists of what is merely in the flow and of what is raised */
function layerOf(
  box: LayoutBox,
  items: Item[],
  own: (clips: Clips, flow: Item[], raised: Item[]) => void,
): Layer {
  const flow: Item[] = []
  const raised: Item[] = []
  const clips = box.clip ? [box] : []
  own(clips, flow, raised)
  const held = box.lifted.filter((each) => stackingIn(each).zIndex !== undefined)
  const z = (each: LayoutBox) => stackingIn(each).zIndex!
  const layers = (some: LayoutBox[]) =>
    some.sort((a, b) => z(a) - z(b)).map((each): Item => ({ layer: contextOf(each), clips }))
  return {
    box,
    items: [
      ...items,
      ...layers(held.filter((each) => z(each) < 0)),
      ...flow,
      ...raised,
      ...layers(held.filter((each) => z(each) > 0)),
    ],
  }
}

const contextOf = (box: LayoutBox): Layer =>
  layerOf(box, [{ box, clips: [] }], (clips, flow, raised) => children(box, clips, flow, raised))

/** A block and what is in it, at its place in the flow. */
function draw(box: LayoutBox, clips: Clips, flow: Item[], raised: Item[]) {
  flow.push({ box, clips })
  if (box.kids.length > 0 || box.lifted.length > 0)
    children(box, box.clip ? [...clips, box] : clips, flow, raised)
}

function children(box: LayoutBox, clips: Clips, flow: Item[], raised: Item[]) {
  for (const kid of standing(box)) {
    if (isRaised(kid)) raise(kid, clips, raised)
    else draw(kid, clips, flow, raised)
  }
}

function raise(box: LayoutBox, clips: Clips, raised: Item[]) {
  // Those with a place in front or behind come with their box's layer.
  if (stackingIn(box).zIndex !== undefined) return
  if (isContext(box)) {
    raised.push({ layer: contextOf(box), clips })
    return
  }
  // Positioned alone: drawn as if it were a layer, but what is raised in it takes its turn with the others.
  const flow: Item[] = []
  const after: Item[] = []
  draw(box, clips, flow, after)
  raised.push(...flow, ...after)
}

function collect(layer: Layer, into: LayoutBox[]) {
  for (const item of layer.items) {
    if ('layer' in item) collect(item.layer, into)
    else into.push(item.box)
  }
}

const known = new WeakMap<PageLayout, { version: number; boxes: readonly LayoutBox[] }>()

/** Every block that is shown, bottom to top. */
export function paintedBlocks(layout: PageLayout): readonly LayoutBox[] {
  const last = known.get(layout)
  if (last?.version === layout.version) return last.boxes
  const boxes: LayoutBox[] = []
  collect(layersOf(layout), boxes)
  known.set(layout, { version: layout.version, boxes })
  return boxes
}
