/** Colours: changed where they stand, and all that has them follows; below, those that meet on the open page. */
import { nearestThatReads } from '../../core/color/contrast'
import { writeColor } from '../../core/color/formats'
import { colorValue, shortName } from '../../core/document/tokens'
import { storedToken } from '../../core/tokens/instead'
import { type Pair, pairsOn } from '../../core/tokens/pairs'
import { useEditor } from '../editor/use-editor'
import { ColorChip } from '../spec/color-chip'
import { Sample } from '../spec/swatch'
import { freeName, TokenList, type Uses } from './token-row'

export function Colors({ uses }: { uses: Uses }) {
  const editor = useEditor()
  const { doc } = editor
  const names = doc.tokenTable.names('color')
  const set = (name: string, value: string, gesture?: string) => {
    // Another token's name makes it an alias.
    const $value = value.startsWith('{') ? value : colorValue(value)
    const token = { ...(storedToken(doc.tokens, name) ?? { $type: 'color' }), $value }
    editor.commit([{ op: 'token', name, token }], `Colour ${shortName(name)}`, gesture)
  }
  const hexOf = (name: string) => doc.tokenTable.lookup(name)!.value as string
  return (
    <>
      <TokenList
        names={names}
        uses={uses}
        picture={(name) => (
          <span
            aria-hidden
            className="h-8 w-14 flex-none rounded-field border border-base-content/15"
            style={{ background: hexOf(name) }}
          />
        )}
        values={(name) => {
          const alias = storedToken(doc.tokens, name)?.$value
          return (
            <>
              <ColorChip
                label={`Colour ${shortName(name)}`}
                value={typeof alias === 'string' ? alias : hexOf(name)}
                none={false}
                onChange={(value, gesture) => value && value !== `{${name}}` && set(name, value, gesture)}
              />
              <span className="text-small soft tabular-nums">{writeColor(hexOf(name), 'oklch')}</span>
            </>
          )
        }}
        empty="No colours yet. Make one here, or from any colour where it stands."
        more="New colour"
        onMore={() => set(freeName(doc.tokenTable.names(), 'color', 'new'), '#808080')}
      />
      <Pairs />
    </>
  )
}

/** Which words stand on which colours here, those that read badly first. */
function Pairs() {
  const editor = useEditor()
  const { doc, layout, page } = editor
  if (!layout || !page) return null
  const pairs = pairsOn(doc.tokenTable, layout)
  if (pairs.length === 0) return null
  const short = pairs.filter(({ ratio, needed }) => ratio < needed).length
  return (
    <section className="mt-5" aria-label="How words read">
      <h3 className="mb-1 font-bold">
        Words on {page.name}, {editor.view.name}
        <span className="ml-2 font-normal soft">
          {short === 0 ? 'all read well' : `${short} of ${pairs.length} pairs read badly`}
        </span>
      </h3>
      <ul>
        {pairs.map((pair) => (
          <PairRow key={`${pair.ink} ${pair.ground} ${pair.needed}`} pair={pair} />
        ))}
      </ul>
    </section>
  )
}

function PairRow({ pair: { ink, ground, ratio, needed, nodes } }: { pair: Pair }) {
  const editor = useEditor()
  const reads = ratio >= needed
  // What is the template's is changed there, where all pages that stand on it are seen.
  const own = nodes.filter((id) => editor.doc.nodes.has(id))
  const better = reads ? undefined : nearestThatReads(ink, [ground], needed)
  const many = nodes.length === 1 ? 'one text' : `${nodes.length} texts`
  return (
    <li className="rule-b flex min-h-10 items-center gap-3 py-1">
      <Sample ink={ink} ground={ground} />
      <span className="flex-1 tabular-nums">
        <b className={reads ? '' : 'text-error'}>{ratio.toFixed(1)} : 1</b>{' '}
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
