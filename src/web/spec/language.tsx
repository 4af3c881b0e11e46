/** The language that a text is in, where it is not the page's: for who hears it, for letters that a language draws in its own way, for hyphens. */
import { useMemo } from 'react'
import type { Node } from '../../core/document/document'
import { DEFAULT_LANG, langOf } from '../../core/document/language'
import { hasProperty } from '../../core/properties/table'
import { rulesFor } from '../../core/text/hyphenation'
import { useEditor } from '../editor/use-editor'
import { Choice, type Option } from '../parts/choice'

const OFFERED =
  'ar az bg ca cs cy da de el en es et eu fa fi fr ga gl he hr hu is it ja ko lt lv nb nl pl pt ro ru sk sl sr sv tr uk ur vi yi zh'.split(
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

/** Whether words are parted where lines end. */
export function HyphensLine({ node }: { node: Node }) {
  const editor = useEditor()
  const { doc, page } = editor
  const lang = node.props.lang ?? (page ? langOf(doc, page.id) : DEFAULT_LANG)
  if (!hasProperty(node.kind, 'hyphens')) return null
  const isParted = node.props.hyphens === 'auto'
  const has = rulesFor(lang) !== undefined
  return (
    <div className="flex min-h-7.5 flex-wrap items-center gap-1.5">
      <span>At line ends words</span>
      <Choice
        label="Hyphens"
        width={240}
        options={[
          { value: false, label: 'stay whole', hint: 'but at soft hyphens' },
          {
            value: true,
            label: 'are parted',
            hint: has
              ? `as in ${languageName(lang)}`
              : `${languageName(lang)} has no rules here: they stay whole`,
          },
        ]}
        value={isParted}
        onChoose={(parted) =>
          editor.commit(
            editor.meant
              .filter((id) => hasProperty(doc.node(id).kind, 'hyphens'))
              .map((id) => ({ op: 'set', node: id, props: { hyphens: parted ? 'auto' : null } })),
            parted ? `Hyphens in ${node.name}` : `No hyphens in ${node.name}`,
          )
        }
      />
      {isParted && !has && <span className="text-muted">not in {languageName(lang)}: no rules</span>}
    </div>
  )
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
      <DirectionChoice node={node} />
    </div>
  )
}

/** Which way the words of a text run: mostly their first letter says it. */
function DirectionChoice({ node }: { node: Node }) {
  const editor = useEditor()
  const { doc } = editor
  const { direction } = node.props
  const own = WAYS[editor.layout?.boxes.get(node.id)?.typeset?.direction ?? 'ltr']
  return (
    <Choice
      label="Direction"
      width={240}
      options={[
        {
          value: undefined,
          label: direction === undefined ? own : 'as the words run',
          hint: 'as its first letter does',
        },
        { value: 'ltr' as const, label: 'always left to right' },
        { value: 'rtl' as const, label: 'always right to left' },
      ]}
      value={direction}
      onChoose={(chosen) =>
        editor.commit(
          editor.meant
            .filter((id) => hasProperty(doc.node(id).kind, 'direction'))
            .map((id) => ({ op: 'set', node: id, props: { direction: chosen ?? null } })),
          chosen === undefined ? `${node.name} runs as its words` : `${node.name} runs ${WAYS[chosen]}`,
        )
      }
    />
  )
}

const WAYS = { ltr: 'left to right', rtl: 'right to left' }
