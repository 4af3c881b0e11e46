/** Spaces and other lengths, as bars of their length; a whole scale from a base and a ratio. */
import { useState } from 'react'
import { dimensionValue, shortName } from '../../core/document/tokens'
import { setEdit } from '../../core/tokens/elsewhere'
import { scaleOf } from '../../core/tokens/scale'
import { useEditor } from '../editor/use-editor'
import { NumberChip } from '../parts/number-chip'
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
      <div className="mt-3">
        {names.length > 0 && (
          <Scale
            count={names.length}
            onTake={(lengths) =>
              editor.commit(
                names.map((name, i) => edit(name, lengths[i]!)),
                'Spaces by a scale',
              )
            }
          />
        )}
      </div>
    </>
  )
}

/** Gives all of them the steps of a scale, seen before it is taken. */
function Scale({ count, onTake }: { count: number; onTake: (lengths: number[]) => void }) {
  const [base, setBase] = useState(8)
  const [ratio, setRatio] = useState(2)
  const lengths = scaleOf(base, ratio, count)
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      As a scale: from
      <NumberChip
        label="Base of the scale"
        value={base}
        unit=" px"
        context={{ min: 1, max: 200 }}
        onChange={setBase}
      />
      each
      <NumberChip
        label="Ratio of the scale"
        value={ratio}
        shown={`× ${ratio}`}
        step={0.05}
        context={{ min: 1.05, max: 4 }}
        onChange={setRatio}
      />
      <span className="tabular-nums soft">{lengths.join(', ')}</span>
      <button type="button" className="line-button" onClick={() => onTake(lengths)}>
        Take it
      </button>
    </span>
  )
}
