/** Writing a text where it stands on its sheet, in its own font and lines. */
import { useLayoutEffect, useRef } from 'react'
import type { Node } from '../../core/document/document'
import { langOf } from '../../core/document/language'
import { cascaded, colorIn, originOf, resolve } from '../../core/document/resolve'
import { wordsAt } from '../../core/edits/text'
import { fontStack } from '../../core/handoff/css'
import { meaningsOf } from '../../core/handoff/meaning'
import { textOffset } from '../../core/layout/baseline'
import { axesText } from '../../core/properties/axes'
import { featuresText, numericText } from '../../core/properties/css-text'
import { alignmentText, lineHeightText } from '../../core/properties/type'
import { holdsParagraphs, isOneParagraph } from '../../core/words/parts'
import { said } from '../../core/words/words'
import { type Editor, makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import './text.css'
import type { TextHost, Typing } from './typing'
import { type Kept, Waiting } from './waiting'
import { writing } from './writing'

/** What stays open beside the text: the spec and what floats over it. */
const BESIDE = '[aria-label="Spec"], .floating, [data-text-editor]'

/** Where what is typed goes: a view's own words where it has some, or gets some with “Only …”. */
function placeIn(editor: Editor, node: Node, view: string) {
  const origin = originOf(editor.doc, node, view, 'words')
  const own = origin ? origin : editor.scopedView
  return own === undefined || own === '' ? { node: node.id } : { node: node.id, view: own }
}

function hostFor(editor: Editor, id: string, view: string): TextHost {
  const { doc } = editor
  const node = () => doc.nodes.get(id)!
  const { fontWeight = 400, italic = false } = resolve(doc, node(), view)
  // What is taken for a heading is written as one.
  const tag = node().props.tag ?? (editor.instances && meaningsOf(doc, editor.instances).get(id))
  return {
    words: () => (doc.nodes.has(id) ? (cascaded(doc, node(), view).words ?? said('')) : undefined),
    commit(steps, gesture) {
      const place = placeIn(editor, node(), view)
      const shown = cascaded(doc, node(), view).words ?? said('')
      // A view's own words begin as what it has shown so far.
      const first =
        wordsAt(doc, place) === undefined
          ? [
              {
                op: 'set' as const,
                node: id,
                ...('view' in place ? { view: place.view } : {}),
                props: { words: shown },
              },
            ]
          : []
      return editor.commit([...first, { op: 'text', ...place, steps }], `Words of ${node().name}`, gesture)
    },
    undo: () => editor.session.undo(),
    redo: () => editor.session.redo(),
    finish: () => editor.set({ editing: undefined }),
    askLink: () => document.querySelector<HTMLElement>('[data-word-link]')?.focus(),
    ink: (color) => colorIn(editor.tokens, color),
    makeId,
    flowing: holdsParagraphs(node().kind, tag),
    parted: () => {
      // Taken away meanwhile, it is drawn once more before the field goes.
      const { hyphens, lang } = doc.nodes.get(id)?.props ?? {}
      return hyphens === 'auto' ? (lang ?? (editor.page && langOf(doc, editor.page.id))) : undefined
    },
    label: `Text of ${node().name}`,
    weight: fontWeight,
    italic,
  }
}

/** Writes what was pressed in a text that was left before it could be written in. */
function writeLate(pressed: readonly Kept[], host: TextHost, fail: () => void) {
  if (pressed.length === 0) return
  writing().then(({ Typing }) => {
    if (host.words() === undefined) return
    const typing = new Typing(document.createElement('div'), host)
    for (const kept of pressed) typing.take(kept)
    typing.destroy()
  }, fail)
}

export function TextEditor({ id, view }: { id: string; view: string }) {
  const editor = useEditor()
  const field = useRef<HTMLDivElement>(null)
  const layout = editor.layoutOf(view)
  const rect = layout?.rect(id)
  const box = layout?.boxes.get(id)

  // Before the next key: what is pressed then is meant for the text.
  useLayoutEffect(() => {
    if (!field.current) return
    const place = field.current
    const host = hostFor(editor, id, view)
    const leave = () => editor.set({ editing: undefined })
    const waiting = new Waiting(place, host.label, leave)
    let typing: Typing | undefined
    let hasLeft = false
    const begin = ({ Typing }: Awaited<ReturnType<typeof writing>>) => {
      if (hasLeft) return
      typing = new Typing(place, host)
      editor.set({ typing })
      for (const kept of waiting.end()) typing.take(kept)
    }
    const fail = () =>
      editor.session.showNotice(
        'the text was left as it is: what it is written with cannot be fetched; try again',
      )
    writing().then(begin, () => {
      if (hasLeft) return
      leave()
      fail()
    })
    const stopFollowing = editor.subscribe(() => typing?.follow())
    const outside = (event: Event) => {
      if (event.target instanceof Element && !event.target.closest(BESIDE)) leave()
    }
    addEventListener('pointerdown', outside, true)
    addEventListener('focusin', outside, true)
    return () => {
      removeEventListener('pointerdown', outside, true)
      removeEventListener('focusin', outside, true)
      stopFollowing()
      hasLeft = true
      if (!typing) return writeLate(waiting.end(), host, fail)
      typing.destroy()
      if (editor.typing === typing) editor.set({ typing: undefined })
    }
  }, [editor, id, view])

  if (!rect || !box) return null
  const { resolved } = box
  const flowing = holdsParagraphs(box.node.kind, resolved.tag)
  const several = flowing && resolved.words && !isOneParagraph(resolved.words)
  return (
    <div
      ref={field}
      data-text-editor
      dir={box.typeset?.direction}
      lang={resolved.lang ?? (editor.page && langOf(editor.doc, editor.page.id))}
      className="typed"
      onPointerDown={(event) => event.stopPropagation()}
      onKeyDown={(event) => event.stopPropagation()}
      style={{
        position: 'absolute',
        left: rect.x + box.borL + box.padL,
        top: rect.y + box.borT + box.padT + textOffset(box, box.width, box.height),
        width: box.width - box.padX + (several ? 0 : 2),
        minHeight: 10,
        rowGap: flowing ? `${resolved.paragraphGap}em` : 0,
        fontFamily: fontStack(resolved.fontFamily),
        fontSize: resolved.fontSize,
        fontWeight: resolved.fontWeight,
        fontStyle: resolved.italic ? 'italic' : 'normal',
        lineHeight: lineHeightText(resolved.lineHeight!),
        fontVariantNumeric: numericText(resolved.figures ?? 'normal'),
        fontFeatureSettings: featuresText(resolved.features ?? 'normal'),
        fontVariationSettings: axesText(resolved.axes ?? 'normal'),
        letterSpacing: resolved.letterSpacing || 'normal',
        wordSpacing: resolved.wordSpacing ? `${resolved.wordSpacing}px` : undefined,
        textAlign: alignmentText(resolved.textAlign!),
        textWrap: resolved.textWrap,
        textTransform: resolved.textCase === 'none' ? undefined : resolved.textCase,
        textDecoration: resolved.textDecoration === 'none' ? undefined : resolved.textDecoration,
        overflowWrap: resolved.overflowWrap,
        color: resolved.color ?? '#000',
      }}
    />
  )
}
