/** A page's template: made of its sections, stood on, let go; on a template itself, which pages stand on it. */
import { useEffect, useState } from 'react'
import type { Page } from '../../core/document/document'
import { letGo, likelyShared, standOn, templateFrom } from '../../core/expand/template'
import { Dialog } from '../parts/dialog'
import { makeId } from './editor-state'
import { useEditor } from './use-editor'

export function TemplateDialog() {
  const editor = useEditor()
  const { page, doc } = editor
  const close = () => editor.set({ dialog: undefined })
  if (!page) return null
  const template = page.template ? doc.pages.get(page.template) : undefined
  const title = page.isTemplate
    ? `Pages that stand on ${page.name}`
    : template
      ? `${page.name} stands on ${template.name}`
      : `A template for ${page.name}`
  return (
    <Dialog title={title} onClose={close} width={520}>
      {page.isTemplate ? (
        <Standing template={page} />
      ) : template ? (
        <LettingGo page={page} template={template} close={close} />
      ) : (
        <Making page={page} close={close} />
      )}
    </Dialog>
  )
}

const names = (list: readonly { name: string }[]) => list.map(({ name }) => name).join(', ')

/** The page's own header and footer, which a template's would stand beside. */
function useBands(page: string): { ids: string[]; words: string } {
  const { doc } = useEditor()
  if (doc.absent.has(page)) return { ids: [], words: '' }
  const ids = likelyShared(doc, page)
  return { ids, words: names(ids.map((id) => doc.node(id))) }
}

function Standing({ template }: { template: Page }) {
  const { doc, session } = useEditor()
  const [instead, setInstead] = useState(true)
  const others = doc.allPages().filter(({ id }) => id !== template.id)
  // What a page has of its own is known when it is here.
  useEffect(() => {
    session.pages.whole().catch((error: Error) => session.showNotice(error.message))
  }, [session])
  return (
    <>
      <p className="mb-2 leading-5 soft">
        They show its sections around their own. Taken off, a page keeps a copy of what it showed.
      </p>
      {others.map((page) => (
        <StandingPage key={page.id} page={page} template={template} instead={instead} />
      ))}
      <Instead on={instead} onChange={setInstead} />
    </>
  )
}

/** Whether the template's sections take the place of a page's own header and footer. */
function Instead({ on, onChange }: { on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="mt-2 flex min-h-8 items-center gap-2.5">
      <input
        type="checkbox"
        className="checkbox checkbox-xs checkbox-primary"
        checked={on}
        onChange={() => onChange(!on)}
      />
      in place of a page’s own header and footer
    </label>
  )
}

function StandingPage({ page, template, instead }: { page: Page; template: Page; instead: boolean }) {
  const editor = useEditor()
  const { doc } = editor
  const bands = useBands(page.id)
  const on = page.template === template.id
  const other = page.template && !on ? doc.pages.get(page.template)?.name : undefined
  const toggle = () => {
    if (on) return editor.commit(letGo(doc, page.id, makeId), `Let ${page.name} go of ${template.name}`)
    const edits = standOn(page.id, template.id, instead ? bands.ids : [])
    return editor.commit(edits, `Stand ${page.name} on ${template.name}`)
  }
  return (
    <label className="rule-b flex min-h-9 items-center gap-2.5 py-1">
      <input
        type="checkbox"
        className="checkbox checkbox-xs checkbox-primary"
        checked={on}
        disabled={other !== undefined || doc.absent.has(page.id)}
        onChange={toggle}
      />
      <b className="font-semibold">{page.name}</b>
      <span className="flex-1 text-right text-small soft">
        {other
          ? `stands on ${other}`
          : !on && instead && bands.words
            ? `in place of its own ${bands.words}`
            : ''}
      </span>
    </label>
  )
}

function LettingGo({ page, template, close }: { page: Page; template: Page; close: () => void }) {
  const editor = useEditor()
  const { doc } = editor
  const changes = Object.keys(page.changes ?? {}).length
  return (
    <>
      <p className="leading-5">
        {names(
          doc
            .node(template.id)
            .children.map((id) => doc.node(id))
            .filter(({ kind }) => kind !== 'slot'),
        )}{' '}
        come from {template.name}.{' '}
        {changes > 0 &&
          `This page shows ${changes === 1 ? 'one block' : `${changes} blocks`} of it otherwise.`}
      </p>
      <div className="mt-4 flex justify-end gap-2">
        <button
          type="button"
          className="line-button"
          onClick={() => {
            if (!editor.commit(letGo(doc, page.id, makeId), `Let ${page.name} go of ${template.name}`)) return
            close()
            editor.announce(`${page.name} has sections of its own now`)
          }}
        >
          Let go, keep a copy
        </button>
        <button
          type="button"
          className="main-button"
          onClick={() => {
            close()
            editor.openPage(template.id)
          }}
        >
          Open {template.name}
        </button>
      </div>
    </>
  )
}

function Making({ page, close }: { page: Page; close: () => void }) {
  const editor = useEditor()
  const { doc } = editor
  const sections = doc.node(page.id).children.map((id) => doc.node(id))
  const bands = useBands(page.id)
  const [shared, setShared] = useState<ReadonlySet<string>>(new Set(bands.ids))
  const templates = doc.templates()
  const [name, setName] = useState(templates.length === 0 ? 'Main' : `Main ${templates.length + 1}`)
  const [problem, setProblem] = useState<string>()
  const [instead, setInstead] = useState(true)
  const make = () => {
    if (name.trim() === '') return setProblem('Give the template a name first.')
    const made = templateFrom(doc, page.id, shared, name.trim(), makeId)
    if (typeof made === 'string') return setProblem(made)
    if (!editor.commit(made.edits, `Template ${name.trim()}`)) return setProblem(editor.session.notice)
    close()
    editor.announce(`${page.name} stands on ${name.trim()}`)
  }
  return (
    <>
      {templates.length > 0 && (
        <div className="mb-4 grid gap-1.5">
          {templates.map((template) => (
            <button
              key={template.id}
              type="button"
              className="line-button justify-between"
              onClick={() => {
                const edits = standOn(page.id, template.id, instead ? bands.ids : [])
                if (editor.commit(edits, `Stand ${page.name} on ${template.name}`)) close()
              }}
            >
              Stand on {template.name}
              {instead && bands.words && (
                <span className="pl-3 text-small font-normal soft">in place of {bands.words}</span>
              )}
            </button>
          ))}
          {bands.words && <Instead on={instead} onChange={setInstead} />}
        </div>
      )}
      <form
        onSubmit={(event) => {
          event.preventDefault()
          make()
        }}
      >
        <p className="mb-2 font-semibold">Sections that every page shares</p>
        {sections.length === 0 && <p className="soft">Place a header or a footer on this page first.</p>}
        {sections.map((section) => (
          <label key={section.id} className="rule-b flex min-h-8.5 items-center gap-2.5">
            <input
              type="checkbox"
              className="checkbox checkbox-xs checkbox-primary"
              checked={shared.has(section.id)}
              onChange={() => {
                const next = new Set(shared)
                if (!next.delete(section.id)) next.add(section.id)
                setShared(next)
                setProblem(undefined)
              }}
            />
            {section.name}
          </label>
        ))}
        <label className="mt-3 flex items-center gap-2">
          <span className="font-semibold">Name</span>
          <input className="text-field w-45" value={name} onChange={(event) => setName(event.target.value)} />
        </label>
        {problem && (
          <p role="alert" className="mt-3 text-error">
            {problem}
          </p>
        )}
        <div className="mt-4 flex justify-end gap-2">
          <button type="button" className="line-button" onClick={close}>
            Cancel
          </button>
          <button type="submit" className="main-button" disabled={sections.length === 0}>
            Make {name.trim() || 'it'} of {shared.size === 1 ? '1 section' : `${shared.size} sections`}
          </button>
        </div>
      </form>
    </>
  )
}
