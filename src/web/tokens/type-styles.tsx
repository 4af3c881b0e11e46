/** Type styles: each in itself, its values changed where they stand. */
import type { Typography } from '../../core/document/tokens'
import { FAMILIES } from '../../core/text/fonts'
import { storedToken } from '../../core/tokens/instead'
import { useEditor } from '../editor/use-editor'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { freeName, shortName, TokenRow, type Uses } from './token-row'

const px = (value: number) => ({ value, unit: 'px' })
/** As it is stored. */
const written = ({ fontSize, letterSpacing, ...same }: Typography) => ({
  ...same,
  fontSize: px(fontSize),
  letterSpacing: px(letterSpacing),
})

const BEGINNING: Typography = {
  fontFamily: 'Hanken Grotesk',
  fontSize: 16,
  fontWeight: 400,
  lineHeight: 1.5,
  letterSpacing: 0,
}
const WEIGHTS = [300, 400, 500, 600, 700, 800]
/** A specimen is never larger, px. */
const TALLEST = 30

export function TypeStyles({ uses }: { uses: Uses }) {
  const { doc, ...editor } = useTokens()
  const names = doc.tokenTable.names('typography')
  return (
    <>
      <ul>
        {names.map((name) => {
          const now = doc.tokenTable.lookup(name)!.value as Typography
          const short = shortName(name)
          const set = (part: Partial<Typography>) => editor.set(name, { ...now, ...part })
          return (
            <TokenRow
              key={name}
              name={name}
              uses={uses.get(name)}
              others={names}
              picture={
                <span
                  aria-hidden
                  className="w-20 flex-none overflow-hidden leading-none whitespace-nowrap"
                  style={{
                    fontFamily: now.fontFamily,
                    fontWeight: now.fontWeight,
                    fontSize: Math.min(TALLEST, now.fontSize),
                  }}
                >
                  Seeds
                </span>
              }
            >
              <Choice
                label={`Family of ${short}`}
                width={220}
                options={FAMILIES.map(({ family, category }) => ({
                  value: family,
                  label: family,
                  hint: category,
                }))}
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
                options={[...new Set([...WEIGHTS, now.fontWeight])]
                  .sort((a, b) => a - b)
                  .map((weight) => ({ value: weight, label: `${weight}` }))}
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
            </TokenRow>
          )
        })}
      </ul>
      {names.length === 0 && (
        <p className="soft">No type styles yet. Make one, then give it to texts in the spec.</p>
      )}
      <button
        type="button"
        className="line-button mt-3"
        onClick={() => editor.set(freeName(doc.tokenTable.names(), 'type', 'new'), BEGINNING)}
      >
        New type style
      </button>
    </>
  )
}

function useTokens() {
  const editor = useEditor()
  const { doc } = editor
  return {
    doc,
    set: (name: string, type: Typography) => {
      const token = { ...(storedToken(doc.tokens, name) ?? { $type: 'typography' }), $value: written(type) }
      editor.commit([{ op: 'token', name, token }], `Type style ${shortName(name)}`)
    },
  }
}
