/** A text turned into the outlines of its letters: a shape in its place, and no longer text. */
import type { Document, Node } from '../document/document'
import { cascaded, resolve } from '../document/resolve'
import type { NodeTree } from '../document/schema'
import type { Edit } from '../edits/edit'
import { withoutOverlaps } from '../forms/combine'
import { MOST_DATA } from '../forms/form'
import { mapPath, type Path, pathFrom } from '../forms/path'
import type { LayoutBox } from '../layout/box'
import type { PageLayout } from '../layout/page'
import { LineGlyphs, type SetGlyph, SLANT } from '../paint/glyphs'
import { placedLines } from '../paint/lines'
import { hasProperty } from '../properties/table'
import { hasIcons } from '../words/words'
import { keptIn, sized } from './outline'

/** A glyph as one outline without overlaps: in font units, y up. Parts of letters in variable fonts lie over one another. */
function glyphPath(set: SetGlyph, known: Map<string, Path>): Path {
  const { run, index } = set
  const key = `${run.face.id} ${run.glyphs[index]}`
  let path = known.get(key)
  if (!path) {
    const drawn = pathFrom(run.face.path(run.glyphs[index]!))
    path = drawn ? withoutOverlaps(drawn) : []
    known.set(key, path)
  }
  return path
}

/** The letters of a text, px from its border edge. */
export function lettersOf(box: LayoutBox): Path {
  const known = new Map<string, Path>()
  return placedLines(box).flatMap((placed) => {
    const set = new LineGlyphs(placed, 0)
    const drawn = (glyphs: readonly SetGlyph[], italic = false, raise = 0) =>
      glyphs.flatMap((each) => {
        const { run, index, x } = each
        const scale = run.size / run.face.upem
        const slant = italic && !run.face.file.italic ? SLANT : 0
        return mapPath(glyphPath(each, known), ([a, b]) => [
          x + (a + b * slant) * scale,
          placed.baseline - raise - b * scale + run.y[index]!,
        ])
      })
    return [
      ...drawn(set.marker, placed.marker?.style.italic),
      ...set.pieces.flatMap(({ piece, part }) => drawn(set.of(part), piece.style.italic, piece.style.raise)),
      ...drawn(set.ending),
    ]
  })
}

/** What a shape has of what the text had; its size is its own. */
const shared = (props: Record<string, unknown>) =>
  Object.fromEntries(
    Object.entries(props).filter(
      ([key]) =>
        hasProperty('shape', key) &&
        !/^(width|height|minWidth|maxWidth|minHeight|maxHeight|ratio|alt)$/.test(key),
    ),
  )

/**
 * A shape that lies exactly where the text did and is as large; in views with other type in proportion to that. Its words are what is said of it.
 * @returns a reason when it cannot be
 */
export function outlineEdits(
  doc: Document,
  layout: PageLayout,
  node: Node,
  name: string,
  makeId: () => string,
): { edits: Edit[]; made: string } | string {
  const box = layout.boxes.get(node.id)
  if (!box?.typeset || node.parent === null) return 'it is no text'
  if (hasIcons(box.resolved.words)) return 'an icon stands among its words: take that out of it first'
  const path = lettersOf(box)
  if (path.length === 0) return 'there are no letters in it'
  const data = keptIn(path, { x: 0, y: 0, width: box.width, height: box.height })
  if (data.length > MOST_DATA)
    return 'these are too many letters for one shape: a logo, or a heading, is turned into outlines'
  const size = box.resolved.fontSize
  // The widest view's is that of all; every other says its own size, since they cascade.
  const [widest, ...narrower] = doc.views
  const sidesIn = (view: string) => {
    const there = resolve(doc, node, view).fontSize / size
    return sized({ width: box.width * there, height: box.height * there })
  }
  const overrides = narrower.map(({ id }) => {
    const own = node.overrides?.[id] ?? {}
    const paint = own.color === undefined ? {} : { paint: own.color }
    return [id, { ...shared(own), ...paint, ...sidesIn(id) }]
  })
  const id = makeId()
  const tree: NodeTree = {
    id,
    kind: 'shape',
    name,
    order: node.order,
    props: {
      ...shared(node.props),
      form: { form: 'path', data },
      // As it is said: a token stays one.
      paint: cascaded(doc, node, widest!.id).color ?? box.resolved.color ?? '#000000',
      alt: box.typeset.said,
      ...sidesIn(widest!.id),
    } as NodeTree['props'],
    overrides: Object.fromEntries(overrides) as NodeTree['overrides'],
  }
  return {
    edits: [
      { op: 'insert', parent: node.parent, tree },
      { op: 'remove', node: node.id },
    ],
    made: id,
  }
}
