/** The language that a text is in, where it is not the page's: for who hears it, and for letters that a language draws in its own way. */
import { useMemo } from 'react'
import type { Node } from '../../core/document/document'
import { DEFAULT_LANG, langOf } from '../../core/document/language'
import { hasProperty } from '../../core/properties/table'
import { useEditor } from '../editor/use-editor'
import { Choice, type Option } from '../parts/choice'

const OFFERED =
  'az bg ca cs cy da de el en es et eu fi fr ga gl hr hu is it lt lv nb nl pl pt ro ru sk sl sr sv tr uk vi'.split(
    ' ',
  )

const names = new Intl.DisplayNames(['en'], { type: 'language' })

/** A tag that the browser has no name for stands for itself. */
function languageName(tag: string): string {
  try {
    return names.of(tag) ?? tag
  } catch {
    return tag
  }
}

export function LanguageLine({ node }: { node: Node }) {
  const editor = useEditor()
  const { doc, page } = editor
  const around = page ? langOf(doc, page.id) : DEFAULT_LANG
  const { lang } = node.props
  const options = useMemo(() => {
    const all = [...new Set([...OFFERED, ...(lang === undefined ? [] : [lang])])]
    const named = all.map(
      (tag): Option<string | undefined> => ({
        value: tag,
        label: languageName(tag),
        hint: tag,
      }),
    )
    named.sort((a, b) => (a.label < b.label ? -1 : 1))
    return [
      { value: undefined, label: `as the page: ${languageName(around)}`, hint: around },
      ...named,
    ] satisfies Option<string | undefined>[]
  }, [around, lang])
  if (!hasProperty(node.kind, 'lang')) return null
  return (
    <div className="flex min-h-7.5 flex-wrap items-center gap-1.5">
      <span>Written in</span>
      <Choice
        label="Language"
        width={240}
        options={options}
        value={lang}
        onChoose={(chosen) =>
          editor.commit(
            editor.meant
              .filter((id) => hasProperty(doc.node(id).kind, 'lang'))
              .map((id) => ({ op: 'set', node: id, props: { lang: chosen ?? null } })),
            chosen === undefined
              ? `${node.name} in the page’s language`
              : `${node.name} in ${languageName(chosen)}`,
          )
        }
      />
    </div>
  )
}
