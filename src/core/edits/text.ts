/**
 * Changes words by steps (`prosemirror-transform`), which name places in the text: two people in one paragraph both keep theirs,
 * since `text-rebase.ts` moves each one's steps past the other's.
 */
import type { Mark, Node } from 'prosemirror-model'
import { AddMarkStep, RemoveMarkStep, Step, Transform } from 'prosemirror-transform'
import * as v from 'valibot'
import { check } from '../document/check'
import type { Draft } from '../document/draft'
import type { Tree } from '../document/tree'
import { hasProperty } from '../properties/table'
import { cut } from '../properties/value-words'
import { IdSchema } from '../properties/values'
import { fromDoc, schema, toDoc } from '../words/model'
import { type Words, WordsSchema } from '../words/words'
import { withChange } from './change'
import type { Edit, TextEdit, WordsPlace } from './edit'
import { type EditModule, refuse } from './edit-module'
import { blockIn, pageIn } from './need'
import { needsOf, rebound } from './references'
import { nameOf, placeOf, quoted } from './words'

/** Most steps of one edit. */
const MOST_STEPS = 20_000

/** The words that lie at a place; undefined when none of its own do. */
export function wordsAt(tree: Tree, { node, view, page }: WordsPlace): Words | undefined {
  const own = page === undefined ? tree.nodes.get(node) : tree.pages.get(page)?.changes?.[node]
  return (view === undefined ? own?.props : own?.overrides?.[view])?.words
}

export function stepOf(json: Record<string, unknown>): Step {
  try {
    return Step.fromJSON(schema, json)
  } catch (error) {
    return refuse(`a step that is none: ${(error as Error).message}`)
  }
}

const othersBy = (name: string) => `the words of “${name}” are others by now`

/** @throws EditError when a step does not fit */
function stepped(doc: Node, steps: readonly Step[], name: string): Transform {
  const transform = new Transform(doc)
  for (const step of steps) {
    let failed: string | null
    try {
      failed = transform.maybeStep(step).failed
    } catch (error) {
      // A place outside of the text.
      failed = (error as Error).message
    }
    if (failed) refuse(othersBy(name))
  }
  return transform
}

/** Tells words from others, by FNV-1a over their JSON. */
function sumOf(words: Words): number {
  let sum = 0x811c9dc5
  const json = JSON.stringify(words)
  for (let i = 0; i < json.length; i++) sum = Math.imul(sum ^ json.charCodeAt(i), 0x01000193)
  return sum >>> 0
}

/** The edit, saying which words it is made on. Other edits as they are. */
export function tiedTo<E extends Edit>(tree: Tree, edit: E): E {
  const words = edit.op === 'text' ? wordsAt(tree, edit) : undefined
  return words ? { ...edit, on: sumOf(words) } : edit
}

function write(draft: Draft, { node: id, view, page }: WordsPlace, words: Words) {
  if (page !== undefined) {
    const own = pageIn(draft, page)
    const change = own.changes?.[id]
    const props = (view === undefined ? change?.props : change?.overrides?.[view]) ?? {}
    draft.replacePage(withChange(own, id, view, { ...props, words }))
    return
  }
  const node = draft.node(id)
  if (view === undefined) draft.replace({ ...node, props: { ...node.props, words } })
  else {
    const own = { ...node.overrides[view], words }
    draft.replace({ ...node, overrides: { ...node.overrides, [view]: own } })
  }
}

/** Steps that take `transform`'s back, in the order in which they do. */
function inverted({ steps, docs, doc }: Transform): Step[] {
  return steps
    .flatMap((step, i) => marksBack(step, docs[i]!, docs[i + 1] ?? doc) ?? [step.invert(docs[i]!)])
    .reverse()
}

/**
 * What puts marks back word by word, so that others' words among them stay; undefined when a step changed more than marks. (The
 * library's own inverse of two marks of one kind cannot be written as JSON.)
 */
function marksBack(step: Step, before: Node, after: Node): Step[] | undefined {
  const isMarks = step instanceof AddMarkStep || step instanceof RemoveMarkStep
  if (!isMarks) return undefined
  const back: Step[] = []
  before.nodesBetween(step.from, step.to, (node, pos) => {
    if (!node.isText) return
    const from = Math.max(pos, step.from)
    const to = Math.min(pos + node.nodeSize, step.to)
    const now = after.nodeAt(from)!.marks
    const isKind = ({ type }: Mark, marks: readonly Mark[]) => marks.some((each) => each.type === type)
    for (const mark of node.marks) if (!mark.isInSet(now)) back.push(new AddMarkStep(from, to, mark))
    for (const mark of now) if (!isKind(mark, node.marks)) back.push(new RemoveMarkStep(from, to, mark))
  })
  return back
}

const same = (one: TextEdit, other: { op: string }): other is TextEdit =>
  other.op === 'text' && placeOf(other as TextEdit) === placeOf(one)

/** Steps side by side as one, where they can be: typing is one step, not one a key. */
function joined(first: TextEdit['steps'], second: TextEdit['steps']): TextEdit['steps'] {
  const last = first.at(-1)
  const [next, ...rest] = second
  if (!last || !next || first.length + second.length > 1000) return [...first, ...second]
  const merged = stepOf(last).merge(stepOf(next))
  return merged ? [...first.slice(0, -1), merged.toJSON(), ...rest] : [...first, ...second]
}

/** What steps put in and take out, as short as it can be said. */
function changeWords(edit: TextEdit): string {
  const put = edit.steps
    .map((json) => (json.slice as { content?: Words } | undefined)?.content)
    .map((content) => (content ? textIn(content) : ''))
    .join('')
  return put.trim() ? quoted(cut(put, 40)) : 'changed'
}

const textIn = (content: unknown): string =>
  Array.isArray(content)
    ? content.map((each) => (each?.text as string | undefined) ?? textIn(each?.content)).join('')
    : ''

export const text: EditModule<TextEdit> = {
  op: 'text',
  schema: v.strictObject({
    op: v.literal('text'),
    node: IdSchema,
    view: v.optional(IdSchema),
    page: v.optional(IdSchema),
    on: v.optional(v.pipe(v.number(), v.integer())),
    steps: v.pipe(v.array(v.record(v.string(), v.unknown())), v.minLength(1), v.maxLength(MOST_STEPS)),
  }),

  apply(draft, edit) {
    const node = blockIn(draft, edit.node)
    if (!hasProperty(node.kind, 'words')) refuse(`“${node.name}” is a ${node.kind}: it has no words`)
    const words = wordsAt(draft, edit) ?? refuse(`“${node.name}” has no words of its own there any more`)
    if (edit.on !== undefined && edit.on !== sumOf(words)) refuse(othersBy(node.name))
    const transform = stepped(toDoc(words), edit.steps.map(stepOf), node.name)
    // What steps made is held to what a file may hold.
    const next = check(WordsSchema, fromDoc(transform.doc), `“${node.name}”`)
    write(draft, edit, next)
    const { on: _, ...place } = edit
    return { ...place, steps: inverted(transform).map((step) => step.toJSON()) }
  },

  merge: (first, second) =>
    same(first, second) ? { ...first, steps: joined(first.steps, second.steps) } : undefined,

  place: (edit) => `text ${placeOf(edit)}`,

  blocks: ({ node, page }) => (page === undefined ? [node] : [page]),
  touches: ({ node, page }) => (page === undefined ? [node] : [page, node]),
  within: ({ node, page }) => [page ?? node],
  needs: ({ steps }) => needsOf(steps),
  rebind: (edit, tokens) => ({ ...edit, steps: rebound(edit.steps, tokens) }),

  words: (edit, tree) => `${nameOf(tree, edit.node)}: words ${changeWords(edit)}`,
}
