/** Spaces and other lengths, as bars of their length; a whole scale from a base and a ratio. */
import { dimensionValue, shortName } from '../../core/document/tokens'
import { setEdit } from '../../core/tokens/elsewhere'
import { scaleOf } from '../../core/tokens/scale'
import { useEditor } from '../editor/use-editor'
import { NumberChip } from '../parts/number-chip'
import { Scale } from './scale'
import { freeName, PutBack, TokenList, type Uses } from './token-row'
import { useViewChoice } from './view-choice'

/** A bar is never longer, px. */
const LONGEST = 140

export function Spaces({ uses }: { uses: Uses }) {
  const editor = useEditor()
  const { doc } = editor
  const names = doc.tokenTable.names('dimension')
  const { where, choice, tokens } = useViewChoice(names)
  const edit = (name: string, px: number) => setEdit(doc, name, where, dimensionValue(px))
  const lengthOf = (name: string) => tokens.lookup(name)!.value as number
  const more = freeName(doc.tokenTable.names(), 'space', 'new')
  return (
    <>
      {choice}
      <TokenList
        names={names}
        uses={uses}
        picture={(name) => (
          <span aria-hidden className="flex w-36 flex-none">
            <i
              className="h-3 rounded-xs bg-primary/60"
              style={{ width: Math.min(LONGEST, lengthOf(name)) }}
            />
          </span>
        )}
        values={(name) => (
          <>
            <NumberChip
              label={`Length of ${shortName(name)}`}
              value={lengthOf(name)}
              unit=" px"
              context={{ min: 0, max: 10_000 }}
              onChange={(next) => editor.commit([edit(name, next)], `Length of ${shortName(name)}`)}
            />
            <PutBack name={name} where={where} />
          </>
        )}
        empty="No spaces yet. Make one, or a whole scale."
        more="New space"
        onMore={() =>
          editor.commit(
            [{ op: 'token', name: more, token: { $type: 'dimension', $value: dimensionValue(16) } }],
            'New space',
          )
        }
      />
      {names.length > 0 && (
        <Scale
          begin={{ base: 8, ratio: 2 }}
          of={(base, ratio) => scaleOf(base, ratio, names.length)}
          edits={(lengths) => names.map((name, i) => edit(name, lengths[i]!))}
          label="Spaces by a scale"
          viewId={where && 'view' in where ? where.view : doc.views[0]!.id}
        />
      )}
    </>
  )
}
