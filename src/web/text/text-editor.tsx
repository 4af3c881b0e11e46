/** Editing a text where it stands. */

import { useEffect, useRef } from 'react'
import { fontStack } from '../../core/handoff/css'
import { textOffset } from '../../core/layout/baseline'
import { lineHeightText } from '../../core/properties/type'
import type { Span } from '../../core/properties/values'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'

/** Spans as they stand in the editable element; each keeps the look of the span it came from. */
function readSpans(root: HTMLElement, before: readonly Span[]): Span[] {
  const out: Span[] = []
  const add = (text: string, index: number) => {
    if (text === '') return
    const { text: _, ...look } = before[index] ?? before[0] ?? { text: '' }
    const last = out.at(-1)
    if (last && JSON.stringify({ ...last, text: '' }) === JSON.stringify({ ...look, text: '' }))
      last.text += text
    else out.push({ ...look, text })
  }
  const walk = (node: Node, index: number) => {
    if (node.nodeType === Node.TEXT_NODE) add((node.textContent ?? '').replace(/ /g, ' '), index)
    else if (node.nodeName === 'BR') {
      // A line feed at the very end is the browser's own, to keep the last line open.
      if (node !== root.lastChild) add('\n', index)
    } else {
      const own =
        node instanceof HTMLElement && node.dataset.span !== undefined ? Number(node.dataset.span) : index
      for (const child of node.childNodes) walk(child, own)
    }
  }
  walk(root, 0)
  const last = out.at(-1)
  if (last?.text.endsWith('\n')) last.text = last.text.slice(0, -1)
  return out.length > 0 ? out : [{ ...before[0], text: '' }]
}

export function TextEditor({ id, view }: { id: string; view: string }) {
  const editor = useEditor()
  const field = useRef<HTMLDivElement>(null)
  const gesture = useRef(makeId())
  const layout = editor.layoutOf(view)
  const rect = layout?.rect(id)
  const box = layout?.boxes.get(id)

  // biome-ignore lint/correctness/useExhaustiveDependencies: filled once per text; typing changes it itself
  useEffect(() => {
    const element = field.current
    if (!element || !box) return
    element.textContent = ''
    const spans = editor.doc.node(id).props.spans ?? [{ text: '' }]
    spans.forEach((span, i) => {
      const part = document.createElement('span')
      part.dataset.span = String(i)
      part.textContent = span.text
      if (span.weight) part.style.fontWeight = String(span.weight)
      if (span.italic) part.style.fontStyle = 'italic'
      if (span.size) part.style.fontSize = `${span.size}em`
      element.append(part)
    })
    element.focus()
    getSelection()?.selectAllChildren(element)
  }, [id])

  if (!rect || !box) return null
  const { resolved } = box
  const finish = () => editor.set({ editing: undefined })
  const input = () => {
    const node = editor.doc.node(id)
    // Words are the same on every view.
    editor.commit(
      [{ op: 'set', node: id, props: { spans: readSpans(field.current!, node.props.spans ?? []) } }],
      'Edit text',
      `text-${gesture.current}`,
    )
  }
  return (
    <div
      ref={field}
      role="textbox"
      aria-multiline="true"
      aria-label={`Text of ${box.node.name}`}
      tabIndex={0}
      contentEditable="plaintext-only"
      suppressContentEditableWarning
      spellCheck={false}
      onInput={input}
      onBlur={finish}
      onPointerDown={(event) => event.stopPropagation()}
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Escape' || (event.key === 'Enter' && !event.shiftKey)) {
          event.preventDefault()
          finish()
        }
      }}
      style={{
        position: 'absolute',
        left: rect.x + box.borL + box.padL,
        top: rect.y + box.borT + box.padT + textOffset(box, box.width, box.height),
        width: box.width - box.padX + 2,
        minHeight: 10,
        whiteSpace: 'pre-wrap',
        outline: 'none',
        userSelect: 'text',
        cursor: 'text',
        fontFamily: fontStack(resolved.fontFamily),
        fontSize: resolved.fontSize,
        fontWeight: resolved.fontWeight,
        fontStyle: resolved.italic ? 'italic' : 'normal',
        lineHeight: lineHeightText(resolved.lineHeight!),
        letterSpacing: resolved.letterSpacing || 'normal',
        textAlign: resolved.textAlign,
        textTransform: resolved.textCase === 'none' ? undefined : resolved.textCase,
        color: resolved.color ?? '#000',
        caretColor: 'var(--sheet-pine)',
        textRendering: 'geometricPrecision',
        fontFeatureSettings: 'normal',
      }}
    />
  )
}
