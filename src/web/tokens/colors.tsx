/** Colours: changed where they stand, one for each theme, and all that has them follows; below, those that meet on the open page. */
import { useMemo, useState } from 'react'
import { nearestThatReads, ratioWords } from '../../core/color/contrast'
import { writeColor } from '../../core/color/formats'
import type { Theme } from '../../core/document/schema'
import { valueAt } from '../../core/document/token-variants'
import { colorValue, shortName } from '../../core/document/tokens'
import { PageLayout } from '../../core/layout/page'
import { setEdit } from '../../core/tokens/elsewhere'
import { storedToken } from '../../core/tokens/instead'
import { type Pair, pairsOn } from '../../core/tokens/pairs'
import { useEditor } from '../editor/use-editor'
import { Pick } from '../parts/pick'
import { useRested } from '../parts/use-rested'
import { library, paragraphs } from '../session/fonts'
import { ColorChip } from '../spec/color-chip'
import { Sample } from '../spec/swatch'
import { FromPicture } from './from-picture'
import { OnPictures } from './on-pictures'
import { COLUMN, ThemeColumns } from './theme-columns'
import { freeName, PutBack, TokenList, type Uses } from './token-row'

export function Colors({ uses }: { uses: Uses }) {
  const editor = useEditor()
  const { doc } = editor
  const names = doc.tokenTable.names('color')
  const more = freeName(doc.tokenTable.names(), 'color', 'new')
  return (
    <>
      <ThemeColumns />
      <TokenList
        names={names}
        uses={uses}
        picture={(name) => (doc.themes.length < 2 ? <ColorOf name={name} theme={undefined} /> : null)}
        values={(name) =>
          doc.themes.length < 2 ? (
            <ColorValue name={name} theme={undefined} />
          ) : (
            doc.themes.map((theme, i) => (
              <span key={theme.id} className={COLUMN}>
                <ColorValue name={name} theme={i === 0 ? undefined : theme} of={theme} />
              </span>
            ))
          )
        }
        empty="No colours yet. Make one here, or from any colour where it stands."
        more="New colour"
        onMore={() =>
          editor.commit(
            [{ op: 'token', name: more, token: { $type: 'color', $value: colorValue('#808080') } }],
            `Colour ${shortName(more)}`,
          )
        }
      />
      <FromPicture />
      <Pairs />
      <OnPictures />
    </>
  )
}

function ColorOf({ name, theme }: { name: string; theme: string | undefined }) {
  const { doc, view } = useEditor()
  return (
    <span
      aria-hidden
      className="h-8 w-14 flex-none rounded-field border border-base-content/15"
      style={{ background: doc.tokensAt(view.id, theme).lookup(name)!.value as string }}
    />
  )
}

/** @param theme undefined: the first, whose colours the others have until they say otherwise */
function ColorValue({ name, theme, of }: { name: string; theme: Theme | undefined; of?: Theme }) {
  const editor = useEditor()
  const { doc, view } = editor
  const token = storedToken(doc.tokens, name)!
  const own = theme ? valueAt(token, { theme: theme.id }) : token.$value
  const hex = doc.tokensAt(view.id, theme?.id).lookup(name)!.value as string
  const label = `Colour ${shortName(name)}${of ? ` in ${of.name}` : ''}`
  const set = (value: string, gesture?: string) => {
    if (value === `{${name}}`) return
    // Another token's name makes it an alias.
    const $value = value.startsWith('{') ? value : colorValue(value)
    editor.commit([setEdit(doc, name, theme && { theme: theme.id }, $value)], label, gesture)
  }
  return (
    <span className="flex items-center gap-1">
      <ColorChip
        label={label}
        value={typeof own === 'string' ? own : hex}
        none={false}
        onChange={(value, gesture) => value && set(value, gesture)}
      />
      {!of && <span className="text-small soft tabular-nums">{writeColor(hex, 'oklch')}</span>}
      <PutBack name={name} where={theme && { theme: theme.id }} />
    </span>
  )
}

/** Which words stand on which colours here, those that read badly first; in each theme. */
function Pairs() {
  const editor = useEditor()
  const { doc, view, page } = editor
  const [chosen, setChosen] = useState<string>()
  const theme = doc.themes.find(({ id }) => id === chosen) ?? doc.themes[0]
  // What changed is painted before it is read.
  const version = useRested(editor.session.documentVersion)
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when the document changed
  const pairs = useMemo(() => {
    const { layout } = editor
    if (!page) return []
    const isShown = layout?.theme === theme?.id || (theme === doc.themes[0] && !layout?.theme)
    return pairsOn(
      isShown && layout
        ? layout
        : new PageLayout(doc, page.id, view.id, view.width, paragraphs, () => library.version, theme?.id),
    )
  }, [doc, page?.id, view, theme?.id, version])
  if (!page || pairs.length === 0) return null
  const short = pairs.filter(({ ratio, needed }) => ratio < needed).length
  return (
    <section className="mt-5" aria-label="How words read">
      <div className="mb-1 flex items-center gap-3">
        <h3 className="font-bold">
          Words on {page.name}, {view.name}
          <span className="ml-2 font-normal soft">
            {short === 0 ? 'all read well' : `${short} of ${pairs.length} pairs read badly`}
          </span>
        </h3>
        {doc.themes.length > 1 && (
          <span className="flex gap-1" role="radiogroup" aria-label="In the theme">
            {doc.themes.map(({ id, name }) => (
              <Pick
                key={id}
                name="theme-of-pairs"
                on={id === theme?.id}
                onPick={() => setChosen(id)}
                className={id === theme?.id ? 'bg-base-300 font-semibold' : ''}
              >
                {name}
              </Pick>
            ))}
          </span>
        )}
      </div>
      <ul>
        {pairs.map((pair) => (
          <PairRow
            key={`${pair.ink} ${pair.ground} ${pair.needed}`}
            pair={pair}
            mends={theme === doc.themes[0]}
          />
        ))}
      </ul>
    </section>
  )
}

/** @param mends whether an ink can be set on the blocks: it would be the same in every theme */
function PairRow({ pair: { ink, ground, ratio, needed, nodes }, mends }: { pair: Pair; mends: boolean }) {
  const editor = useEditor()
  const reads = ratio >= needed
  // What is the template's is changed there, where all pages that stand on it are seen.
  const own = nodes.filter((id) => editor.doc.nodes.has(id))
  const better = useMemo(
    () => (reads || !mends ? undefined : nearestThatReads(ink, [ground], needed)),
    [ink, ground, needed, reads, mends],
  )
  const many = nodes.length === 1 ? 'one text' : `${nodes.length} texts`
  return (
    <li className="rule-b flex min-h-10 items-center gap-3 py-1">
      <Sample ink={ink} ground={ground} />
      <span className="flex-1 tabular-nums">
        <b className={reads ? '' : 'text-error'}>{ratioWords(ratio)}</b>{' '}
        <span className="soft">
          {ink} on {ground}, {reads ? `${needed} is enough` : `${needed} is needed`}
        </span>
      </span>
      {better && own.length > 0 && (
        <button
          type="button"
          className="line-button text-small"
          onClick={() =>
            editor.setProps(
              { color: better },
              'Ink that reads',
              undefined,
              own.map((id) => editor.doc.node(id)),
            )
          }
        >
          Make it {better}
        </button>
      )}
      {own.length === 0 ? (
        <span className="px-2.5 text-small soft">on the template</span>
      ) : (
        <button
          type="button"
          className="plain-button text-small"
          aria-label={`Select ${many} of ${ink} on ${ground}`}
          onClick={() => editor.set({ selection: own, dialog: undefined })}
        >
          {many}
        </button>
      )}
    </li>
  )
}
