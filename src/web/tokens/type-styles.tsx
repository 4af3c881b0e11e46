/** Type styles: each in itself, its values changed where they stand. */
import { isFluid, withFluid } from '../../core/document/token-variants'
import { shortName, type Typography, typographyValue } from '../../core/document/tokens'
import { fontStack } from '../../core/handoff/css'
import { setEdit } from '../../core/tokens/elsewhere'
import { storedToken } from '../../core/tokens/instead'
import { PAIRINGS, pairingEdits } from '../../core/tokens/pairings'
import { bodyStyle, typeScale } from '../../core/tokens/scale'
import { useEditor } from '../editor/use-editor'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { FontChoice, weightsOf } from '../spec/font-choice'
import { Scale } from './scale'
import { freeName, PutBack, TokenList, type Uses } from './token-row'
import { useViewChoice } from './view-choice'

const BEGINNING: Typography = {
  fontFamily: 'Hanken Grotesk',
  fontSize: 16,
  fontWeight: 400,
  lineHeight: 1.5,
  letterSpacing: 0,
}
/** A specimen is never larger, px. */
const TALLEST = 30

export function TypeStyles({ uses }: { uses: Uses }) {
  const editor = useEditor()
  const { doc } = editor
  const names = doc.tokenTable.names('typography')
  const { where, choice, tokens } = useViewChoice(names)
  const of = (name: string) => tokens.lookup(name)!.value as Typography
  const more = freeName(doc.tokenTable.names(), 'type', 'new')
  const set = (name: string, type: Typography) =>
    editor.commit([setEdit(doc, name, where, typographyValue(type))], `Type style ${shortName(name)}`)
  return (
    <>
      {names.length > 0 && <PairingLine />}
      {choice}
      <TokenList
        names={names}
        uses={uses}
        picture={(name) => <Specimen {...of(name)} />}
        values={(name) => (
          <>
            <Values
              short={shortName(name)}
              now={of(name)}
              set={(part) => set(name, { ...of(name), ...part })}
            />
            {doc.views.length > 1 && <FluidButton name={name} />}
            <PutBack name={name} where={where} />
          </>
        )}
        empty="No type styles yet. Make one, then give it to texts in the spec."
        more="New type style"
        onMore={() =>
          editor.commit(
            [{ op: 'token', name: more, token: { $type: 'typography', $value: typographyValue(BEGINNING) } }],
            `Type style ${shortName(more)}`,
          )
        }
      />
      {names.length > 1 && (
        <Scale
          begin={{ base: bodyStyle(names.map((name) => ({ name, ...of(name) }))).fontSize, ratio: 1.25 }}
          of={(base, ratio) =>
            typeScale(
              names.map((name) => of(name).fontSize),
              base,
              ratio,
            )
          }
          edits={(sizes) =>
            names.map((name, i) =>
              setEdit(doc, name, where, typographyValue({ ...of(name), fontSize: sizes[i]! })),
            )
          }
          label="Sizes by a scale"
          viewId={where && 'view' in where ? where.view : doc.views[0]!.id}
        />
      )}
    </>
  )
}

/** All of them in two families that go together. */
function PairingLine() {
  const editor = useEditor()
  return (
    <div className="mb-2 flex items-center gap-2">
      <span className="soft">All of them in a pair</span>
      <Choice
        label="Pair of families"
        width={380}
        shown="choose one …"
        options={PAIRINGS.map((pairing) => ({
          value: pairing,
          label: `${pairing.heading} and ${pairing.body}`,
          hint: pairing.mood,
        }))}
        value={undefined}
        onChoose={(pairing) =>
          editor.commit(pairingEdits(editor.doc, pairing), `${pairing.heading} and ${pairing.body}`)
        }
      />
    </div>
  )
}

/** Whether its size goes evenly from view to view, or in steps. */
function FluidButton({ name }: { name: string }) {
  const editor = useEditor()
  const token = storedToken(editor.doc.tokens, name)!
  const on = isFluid(token)
  const short = shortName(name)
  return (
    <button
      type="button"
      className={`chip ${on ? 'bg-secondary text-secondary-content' : 'soft'}`}
      aria-pressed={on}
      aria-label={`${short} is fluid`}
      title={
        on
          ? 'Its size goes evenly from one view to the next: press for steps'
          : 'Its size changes at each view: press to let it go evenly with the window'
      }
      onClick={() =>
        editor.commit(
          [{ op: 'token', name, token: withFluid(token, !on) }],
          on ? `${short} in steps` : `${short} fluid`,
        )
      }
    >
      fluid
    </button>
  )
}

function Specimen({ fontFamily, fontWeight, fontSize }: Typography) {
  return (
    <span
      aria-hidden
      className="w-20 flex-none overflow-hidden leading-none whitespace-nowrap"
      style={{ fontFamily: fontStack(fontFamily), fontWeight, fontSize: Math.min(TALLEST, fontSize) }}
    >
      Seeds
    </span>
  )
}

function Values({
  short,
  now,
  set,
}: {
  short: string
  now: Typography
  set: (part: Partial<Typography>) => void
}) {
  return (
    <>
      <FontChoice
        label={`Family of ${short}`}
        value={now.fontFamily}
        onChoose={(fontFamily) => set({ fontFamily })}
      />
      <NumberChip
        label={`Size of ${short}`}
        value={now.fontSize}
        context={{ min: 1, max: 400 }}
        onChange={(fontSize) => set({ fontSize })}
      />
      <Choice
        label={`Weight of ${short}`}
        width={120}
        options={weightsOf(now.fontFamily, now.fontWeight)}
        value={now.fontWeight}
        onChoose={(fontWeight) => set({ fontWeight })}
      />
      <NumberChip
        label={`Line height of ${short}, times its size`}
        value={now.lineHeight}
        shown={`× ${Math.round(now.lineHeight * 1000) / 1000}`}
        step={0.05}
        context={{ min: 0.5, max: 5 }}
        onChange={(lineHeight) => set({ lineHeight })}
      />
      <NumberChip
        label={`Letter spacing of ${short}`}
        value={now.letterSpacing}
        unit=" px"
        step={0.1}
        context={{ min: -50, max: 100 }}
        onChange={(letterSpacing) => set({ letterSpacing })}
      />
    </>
  )
}
