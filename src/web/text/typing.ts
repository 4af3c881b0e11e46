/** A text being written in place: a ProseMirror view on words that lie in the project, where others may write too. */
import { baseKeymap, chainCommands } from 'prosemirror-commands'
import { ellipsis, emDash, inputRules, smartQuotes, undoInputRule } from 'prosemirror-inputrules'
import { keymap } from 'prosemirror-keymap'
import type { Node } from 'prosemirror-model'
import { liftListItem, sinkListItem, splitListItem } from 'prosemirror-schema-list'
import { type Command, EditorState, Plugin, TextSelection, type Transaction } from 'prosemirror-state'
import { ReplaceStep } from 'prosemirror-transform'
import { Decoration, DecorationSet, EditorView } from 'prosemirror-view'
import { SOFT_HYPHEN } from '../../core/text/breaks'
import { noLetters, partingsIn } from '../../core/text/hyphenation'
import type { Script } from '../../core/text/script-box'
import { schema, toDoc } from '../../core/words/model'
import {
  inList,
  type ListKind,
  liftAtStart,
  listAround,
  MIXED,
  mark,
  type SelectedLook,
  selectedLook,
} from '../../core/words/selection'
import type { Icon, Look, MarkName, Words } from '../../core/words/words'
import { selectionBehind } from './caret-keys'
import { markViews, nodeViews, parser, serializer } from './rendering'
import type { Kept } from './waiting'

/** Where the words lie, and what of the program the writing needs. */
export type TextHost = {
  /** As they are now; undefined when they are gone. */
  words(): Words | undefined
  /** @returns whether the project took the steps */
  commit(steps: Record<string, unknown>[], gesture: string): boolean
  undo(): void
  redo(): void
  finish(): void
  /** Goes to where a link is typed. */
  askLink(): void
  ink(color: string): string | undefined
  makeId(): string
  /** Whether the text holds paragraphs and lists, or lines alone. */
  flowing: boolean
  label: string
  /** The language whose words are parted at line ends; undefined: none are. */
  parted(): string | undefined
  /** What the whole text is set in. */
  weight: number
  italic: boolean
}

/** Quotes, dashes and dots as they are set rather than typed, but in code. */
const typography = inputRules({ rules: [...smartQuotes, emDash, ellipsis] })

/** What is typed without a rest of so long is one step of the history, ms. */
const REST = 700
const OUTSIDE = 'outside'

export class Typing {
  readonly view: EditorView
  private gesture: string
  private typedAt = 0
  private seen: Words | undefined
  private isOver = false
  /** While the project takes what was typed: it is not in the view yet. */
  private isCommitting = false
  private readonly listeners = new Set<() => void>()
  /** Rises with everything that is seen of it. */
  version = 0

  constructor(
    place: HTMLElement,
    readonly host: TextHost,
  ) {
    this.gesture = host.makeId()
    this.seen = host.words()
    const doc = toDoc(this.seen!)
    this.view = new EditorView(
      { mount: place },
      {
        state: EditorState.create({
          doc,
          selection: everythingIn(doc),
          plugins: [
            keymap(this.keys()),
            keymap(baseKeymap),
            shownWhenLeft(),
            partsWords(() => host.parted()),
            startsList(() => host.flowing),
            typography,
          ],
        }),
        dispatchTransaction: (transaction) => this.dispatch(transaction),
        nodeViews,
        markViews: markViews(host.ink),
        domParser: parser,
        clipboardParser: parser,
        clipboardSerializer: serializer,
        handleDOMEvents: {
          keydown: () => {
            this.readSelection()
            return false
          },
        },
        attributes: {
          role: 'textbox',
          'aria-multiline': 'true',
          'aria-label': host.label,
          spellcheck: 'false',
        },
      },
    )
    this.view.focus()
  }

  /** The browser tells of a selection later than it makes it: what is pressed right behind an arrow key is about the new one. */
  private readSelection() {
    const { view } = this
    const { selection, doc } = view.state
    const seen = getSelection()
    if (!seen?.anchorNode || !seen.focusNode || view.composing) return
    if (!view.dom.contains(seen.anchorNode) || !view.dom.contains(seen.focusNode)) return
    const anchor = view.posAtDOM(seen.anchorNode, seen.anchorOffset)
    const head = view.posAtDOM(seen.focusNode, seen.focusOffset)
    if (anchor === selection.anchor && head === selection.head) return
    view.dispatch(view.state.tr.setSelection(TextSelection.between(doc.resolve(anchor), doc.resolve(head))))
  }

  /** What was pressed or pasted before the view was here. */
  take(kept: Kept) {
    const { view } = this
    if (typeof kept === 'string') return void view.pasteText(kept)
    if (view.someProp('handleKeyDown', (handle) => handle(view, kept))) return
    const { $from, from, to, empty } = view.state.selection
    const insert = () => view.state.tr.insertText(kept.key, from, to)
    const moved = selectionBehind(kept, view.state)
    if (moved) view.dispatch(view.state.tr.setSelection(moved))
    else if (kept.key === 'Backspace' && empty && $from.parentOffset > 0)
      view.dispatch(view.state.tr.delete(from - 1, from))
    else if (kept.key === 'Delete' && empty && $from.parentOffset < $from.parent.content.size)
      view.dispatch(view.state.tr.delete(from, from + 1))
    else if (kept.key.length > 1 || kept.ctrlKey || kept.metaKey || kept.altKey) return
    else if (!view.someProp('handleTextInput', (handle) => handle(view, from, to, kept.key, insert)))
      view.dispatch(insert())
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  private changed() {
    this.version++
    for (const listener of this.listeners) listener()
  }

  private dispatch(transaction: Transaction) {
    const { view, host } = this
    const isOutside = transaction.getMeta(OUTSIDE) === true
    if (transaction.docChanged && !isOutside) {
      const now = performance.now()
      // A mark, a list, a jump elsewhere: each a step of its own.
      if (now - this.typedAt > REST || !isTyped(transaction)) this.gesture = host.makeId()
      this.typedAt = isTyped(transaction) ? now : 0
      this.isCommitting = true
      const steps = transaction.steps.map((step) => step.toJSON())
      const taken = host.commit(steps, this.gesture)
      this.isCommitting = false
      if (!taken) return
    }
    view.updateState(view.state.apply(transaction))
    this.changed()
    if (!isOutside) this.follow()
  }

  /**
   * Brings in what became of the words otherwise: by others, by undo, by the spec. The caret stays where it is in them. Called as soon
   * as anything changed, so that what is typed next is typed into the words as they are.
   */
  follow() {
    if (this.isCommitting) return
    const words = this.host.words()
    if (!words) {
      if (!this.isOver) {
        this.isOver = true
        this.host.finish()
      }
      return
    }
    if (words === this.seen) return
    this.seen = words
    const doc = toDoc(words)
    const { state } = this.view
    if (doc.eq(state.doc)) return
    const start = state.doc.content.findDiffStart(doc.content)!
    let { a, b } = state.doc.content.findDiffEnd(doc.content)!
    const overlap = start - Math.min(a, b)
    if (overlap > 0) {
      a += overlap
      b += overlap
    }
    const transaction = state.tr.setMeta(OUTSIDE, true)
    transaction.replace(start, a, doc.slice(start, b))
    if (!transaction.doc.eq(doc)) {
      const whole = state.tr.setMeta(OUTSIDE, true).replaceWith(0, state.doc.content.size, doc.content)
      return this.view.dispatch(whole)
    }
    this.view.dispatch(transaction)
  }

  get look(): SelectedLook {
    return selectedLook(this.view.state)
  }

  get list(): ListKind | undefined {
    return listAround(this.view.state)
  }

  /** The selected words; '' when there are none. */
  get selected(): string {
    const { from, to } = this.view.state.selection
    return this.view.state.doc.textBetween(from, to, ' ', ' ')
  }

  /** Puts a sign in the place of what is selected, and goes on writing. */
  insert(sign: string) {
    const { view } = this
    view.dispatch(view.state.tr.insertText(sign))
    requestAnimationFrame(() => view.focus())
  }

  /** An icon in the place of what is selected, in the look of the words before it. */
  insertIcon(icon: Icon) {
    const { view } = this
    const { $from } = view.state.selection
    const node = schema.nodes.icon.create(icon, null, view.state.storedMarks ?? $from.marks())
    view.dispatch(view.state.tr.replaceSelectionWith(node, false))
    requestAnimationFrame(() => view.focus())
  }

  run(command: Command) {
    command(this.view.state, this.view.dispatch, this.view)
  }

  mark<K extends MarkName>(name: K, value: Look[K] | undefined) {
    this.run(mark(name, value))
  }

  setList(kind: ListKind | undefined) {
    this.run(inList(kind))
  }

  /** Bold where not all is, or as the text is. */
  toggleBold = () => {
    const weight = this.look.weight ?? this.host.weight
    const isBold = weight !== MIXED && weight >= 600
    const own = this.host.weight >= 600
    this.mark('weight', isBold ? (own ? 400 : undefined) : own ? undefined : 700)
  }

  toggleItalic = () => {
    const { italic = this.host.italic } = this.look
    const next = italic === MIXED ? true : !italic
    this.mark('italic', next === this.host.italic ? undefined : next)
  }

  toggle(name: 'underline' | 'strike' | 'code') {
    this.mark(name, this.look[name] === true ? undefined : true)
  }

  toggleScript(script: Script) {
    this.mark('script', this.look.script === script ? undefined : script)
  }

  private keys(): Record<string, Command> {
    const { host } = this
    const item = schema.nodes.item
    const done = (work: () => void) => () => {
      work()
      return true
    }
    const line: Command = (state, dispatch) => {
      dispatch?.(state.tr.replaceSelectionWith(schema.nodes.break.create(), false))
      return true
    }
    const shift: Command = (state, dispatch) => {
      if (listAround(state) === undefined) return false
      sinkListItem(item)(state, dispatch)
      return true
    }
    return {
      Escape: done(() => host.finish()),
      'Mod-Enter': done(() => host.finish()),
      // In a heading or a label there is nothing to begin a paragraph of.
      Enter: (state, dispatch, view) =>
        host.flowing
          ? chainCommands(splitListItem(item), liftListItem(item))(state, dispatch, view)
          : done(() => host.finish())(),
      'Shift-Enter': line,
      // What typing made of quotes, dashes and dots is undone by it first.
      Backspace: chainCommands(undoInputRule, liftAtStart),
      Tab: shift,
      'Shift-Tab': (state, dispatch) =>
        listAround(state) !== undefined && liftListItem(item)(state, dispatch),
      'Mod-a': (state, dispatch) => {
        dispatch?.(state.tr.setSelection(everythingIn(state.doc)))
        return true
      },
      'Mod-z': done(() => host.undo()),
      'Mod-Shift-z': done(() => host.redo()),
      'Mod-y': done(() => host.redo()),
      'Mod-b': done(this.toggleBold),
      'Mod-i': done(this.toggleItalic),
      'Mod-u': done(() => this.toggle('underline')),
      'Mod-k': done(() => host.askLink()),
    }
  }

  destroy() {
    this.view.destroy()
  }
}

/** All words, not the paragraphs that they are in: what others put among them meanwhile stays when they are written anew. */
const everythingIn = (doc: Node) => TextSelection.between(doc.resolve(0), doc.resolve(doc.content.size))

/** Whether a transaction is a person's typing: words put in or taken out at one place. */
const isTyped = ({ steps }: Transaction) => steps.length === 1 && steps[0] instanceof ReplaceStep

/** Soft hyphens where the language parts words: seen, but not in the text. */
function partsWords(lang: () => string | undefined): Plugin {
  return new Plugin({
    props: {
      decorations({ doc }) {
        const own = lang()
        if (own === undefined) return DecorationSet.empty
        const hyphens: Decoration[] = []
        doc.descendants((block, at) => {
          if (!block.isTextblock) return true
          let text = ''
          block.forEach((piece) => {
            const said = piece.text ?? '\n'
            text += piece.marks.some(({ type }) => type.name === 'code') ? noLetters(said) : said
          })
          for (const place of partingsIn(text, own))
            hyphens.push(Decoration.widget(at + 1 + place, softHyphen, { key: 'hyphen', side: -1 }))
          return false
        })
        return DecorationSet.create(doc, hyphens)
      },
    },
  })
}

function softHyphen(): HTMLElement {
  const hyphen = document.createElement('span')
  hyphen.textContent = SOFT_HYPHEN
  hyphen.ariaHidden = 'true'
  return hyphen
}

/** What is selected stays to be seen while the spec has the focus. */
function shownWhenLeft(): Plugin {
  return new Plugin({
    props: {
      decorations({ doc, selection }) {
        if (selection.empty) return DecorationSet.empty
        return DecorationSet.create(doc, [
          Decoration.inline(selection.from, selection.to, { class: 'kept-selection' }),
        ])
      },
    },
  })
}

/** “- ” begins a list, “1. ” one with numbers. */
function startsList(may: () => boolean): Plugin {
  return new Plugin({
    props: {
      handleTextInput(view, from, _to, text) {
        if (text !== ' ' || !may()) return false
        const $from = view.state.doc.resolve(from)
        const before = $from.parent.textBetween(0, $from.parentOffset)
        const kind = /^[-*•]$/.test(before) ? 'bullets' : /^1[.)]$/.test(before) ? 'numbers' : undefined
        if (!kind || listAround(view.state)) return false
        view.dispatch(view.state.tr.delete($from.start(), from))
        return inList(kind)(view.state, view.dispatch)
      },
    },
  })
}
