/** Words written anew as plain text, as a field gives it. */
import { Fragment, type Node } from 'prosemirror-model'
import { Transform } from 'prosemirror-transform'
import { fromDoc, schema, toDoc } from './model'
import { plainText, type Words } from './words'

/** For each character of the plain text, and its end, where it is in the document. */
function placesIn(doc: Node): number[] {
  const places: number[] = []
  doc.descendants((node, pos) => {
    if (!node.isTextblock) return
    node.forEach((piece, offset) => {
      // An icon is no character: what is written there stands behind it.
      if (piece.type !== schema.nodes.icon)
        for (let i = 0; i < piece.nodeSize; i++) places.push(pos + 1 + offset + i)
    })
    places.push(pos + 1 + node.content.size)
  })
  return places
}

/** The words with another plain text: what is the same at both ends stays as it is, marks and all; new words look like those before them. */
export function retyped(words: Words, text: string): Words {
  const before = plainText(words)
  if (before === text) return words
  let start = 0
  while (start < before.length && before[start] === text[start]) start++
  let end = 0
  while (end < Math.min(before.length, text.length) - start && before.at(-1 - end) === text.at(-1 - end))
    end++
  const doc = toDoc(words)
  const places = placesIn(doc)
  const [from, to] = [places[start], places[before.length - end]]
  const marks = start > 0 ? doc.resolve(from!).marks() : (doc.nodeAt(from!)?.marks ?? [])
  const nodes = text
    .slice(start, text.length - end)
    .split(/(\n)/)
    .flatMap((part) =>
      part === '' ? [] : part === '\n' ? schema.nodes.break.create() : schema.text(part, marks),
    )
  return fromDoc(new Transform(doc).replaceWith(from!, to!, Fragment.from(nodes)).doc)
}
