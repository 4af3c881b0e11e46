/** What search engines, previews and screen readers are told of a page; and what holds for the whole site. */

import * as v from 'valibot'
import { DEFAULT_LANG } from '../../core/document/language'
import { pathProblem, tidyPath } from '../../core/document/paths'
import { AboutSchema } from '../../core/document/schema'
import type { ProjectEdit } from '../../core/edits/edit'
import { MOST_FAMILIES } from '../../core/proof/page-marks'
import { LangSchema } from '../../core/properties/values'
import { Dialog } from '../parts/dialog'
import { pictureUrl } from '../session/pictures'
import { useTyped } from '../spec/typed'
import { useEditor } from './use-editor'

export function AboutDialog() {
  const editor = useEditor()
  const { page, doc } = editor
  if (!page) return null
  const ofPage = (
    set: { description?: string | null; lang?: string | null; preview?: string | null },
    label: string,
  ) => void editor.commit([{ op: 'page-meta', id: page.id, set }], label)
  const ofSite = (about: NonNullable<ProjectEdit['about']>, label: string) =>
    void editor.commit([{ op: 'project', about }], label)
  return (
    <Dialog title={`About ${page.name}`} onClose={() => editor.set({ dialog: undefined })} width={560}>
      {!page.isTemplate && (
        <PathField
          value={page.path}
          problemWith={(path) => pathProblem(doc.pages.values(), path, page.id)}
          onChange={(path) =>
            void editor.commit([{ op: 'page-meta', id: page.id, set: { path } }], `Path of ${page.name}`)
          }
        />
      )}
      <Description
        value={page.description ?? ''}
        onChange={(text) => ofPage({ description: text || null }, `Description of ${page.name}`)}
      />
      <div className="mt-4 grid grid-cols-2 gap-4">
        <Language
          label="Language of this page"
          value={page.lang ?? ''}
          placeholder={`as the site: ${doc.about.lang ?? DEFAULT_LANG}`}
          onChange={(lang) => ofPage({ lang: lang || null }, `Language of ${page.name}`)}
        />
        <Language
          label="Language of the site"
          value={doc.about.lang ?? ''}
          placeholder="en"
          onChange={(lang) => ofSite({ lang: lang || null }, 'Language of the site')}
        />
        <Families
          value={doc.about.families}
          onChange={(families) => ofSite({ families }, 'Most families on a page')}
        />
      </div>
      <PictureRow
        label="Preview of this page"
        hint="shown where somebody sends a link to it"
        value={page.preview}
        onChange={(preview) => ofPage({ preview }, `Preview of ${page.name}`)}
      />
      <PictureRow
        label="Icon of the site"
        hint="beside its name in a browser’s tab"
        value={doc.about.icon}
        onChange={(icon) => ofSite({ icon }, 'Icon of the site')}
      />
    </Dialog>
  )
}

/** Where a page lies on the site; slashes make folders. Links to it lead there all the same. */
function PathField({
  value,
  problemWith,
  onChange,
}: {
  value: string
  problemWith: (path: string) => string | undefined
  onChange: (path: string) => void
}) {
  const { field, problem } = useTyped(value, (typed) => {
    const path = tidyPath(typed.trim())
    const wrong = problemWith(path)
    if (!wrong) onChange(path)
    return wrong
  })
  return (
    <label className="mb-4 grid gap-1">
      <span className="font-semibold">Path</span>
      <input className="text-field" {...field} />
      <span
        role={problem ? 'alert' : undefined}
        className={`text-small leading-4 ${problem ? 'text-error' : 'soft'}`}
      >
        {problem ?? 'Slashes make folders. Links to this page lead here, wherever it goes.'}
      </span>
    </label>
  )
}

/** What search engines show of one. */
const USUAL = 160

function Description({ value, onChange }: { value: string; onChange: (text: string) => void }) {
  const { field, problem } = useTyped(value, (typed) => {
    if (typed.length > 1000) return 'A description has at most 1,000 characters.'
    onChange(typed.trim())
    return undefined
  })
  const { length } = field.value
  return (
    <label className="grid gap-1">
      <span className="font-semibold">Description</span>
      <textarea data-first rows={3} className="text-field resize-none py-1.5 leading-5" {...field} />
      <span className="text-small leading-4 soft">
        {problem ?? `${length} of about ${USUAL} characters that search engines show`}
      </span>
    </label>
  )
}

function Language({
  label,
  value,
  placeholder,
  onChange,
}: {
  label: string
  value: string
  placeholder: string
  onChange: (lang: string) => void
}) {
  const { field, problem } = useTyped(value, (typed) => {
    const lang = typed.trim()
    if (lang !== '' && !v.is(LangSchema, lang)) return 'A language such as en, cy or pt-BR.'
    onChange(lang)
    return undefined
  })
  return (
    <label className="grid content-start gap-1">
      <span className="font-semibold">{label}</span>
      <input className="text-field" placeholder={placeholder} {...field} />
      {problem && (
        <span role="alert" className="text-small text-error">
          {problem}
        </span>
      )}
    </label>
  )
}

/** How many families a page is set in before more are marked on its sheets. */
function Families({
  value,
  onChange,
}: {
  value: number | undefined
  onChange: (most: number | null) => void
}) {
  const { field, problem } = useTyped(value === undefined ? '' : String(value), (typed) => {
    const most = typed.trim() === '' ? null : Number(typed)
    if (most !== null && !v.is(AboutSchema.entries.families, most)) return 'A whole number from 1 to 50.'
    onChange(most)
    return undefined
  })
  return (
    <label className="grid content-start gap-1">
      <span className="font-semibold">Families on a page, at most</span>
      <input className="text-field" inputMode="numeric" placeholder={String(MOST_FAMILIES)} {...field} />
      <span role={problem ? 'alert' : undefined} className={`text-small ${problem ? 'text-error' : 'soft'}`}>
        {problem ?? 'Texts in more are marked on the sheets.'}
      </span>
    </label>
  )
}

function PictureRow({
  label,
  hint,
  value,
  onChange,
}: {
  label: string
  hint: string
  value: string | undefined
  onChange: (asset: string | null) => void
}) {
  const { doc } = useEditor()
  const assets = [...doc.assets.values()]
  return (
    <fieldset className="mt-4">
      <legend className="mb-1.5">
        <span className="font-semibold">{label}</span> <span className="text-small soft">{hint}</span>
      </legend>
      {assets.length === 0 ? (
        <p className="text-small soft">
          No pictures in this project yet. Add one from the shelf, under Pictures.
        </p>
      ) : (
        <div className="flex flex-wrap gap-1.5">
          <button
            type="button"
            aria-pressed={value === undefined}
            className="line-button h-11 aria-pressed:border-primary aria-pressed:text-primary"
            onClick={() => onChange(null)}
          >
            None
          </button>
          {assets.map((asset) => (
            <button
              key={asset.id}
              type="button"
              aria-pressed={asset.id === value}
              aria-label={asset.name}
              title={asset.name}
              className="rounded-box border border-base-300 p-0.5 aria-pressed:border-primary aria-pressed:outline aria-pressed:outline-primary"
              onClick={() => onChange(asset.id)}
            >
              <img alt="" src={pictureUrl(asset)} className="h-9.5 w-12.5 rounded-xs object-cover" />
            </button>
          ))}
        </div>
      )}
    </fieldset>
  )
}
