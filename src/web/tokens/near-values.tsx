/** Values that are nearly a token: made the token in one step, so that they follow it from then on. */
import { shortName } from '../../core/document/tokens'
import { bindEdits, type Near } from '../../core/tokens/near'
import { useEditor } from '../editor/use-editor'
import { Swatch } from '../spec/swatch'

function offWords({ value, off }: Near): string {
  if (off === 0) return ''
  return typeof value === 'number'
    ? `, ${Math.round(off * 100) / 100} px off`
    : `, a difference of ${off.toFixed(1)}`
}

export function NearValues({ near }: { near: readonly Near[] }) {
  const editor = useEditor()
  const bind = (list: readonly Near[], label: string) => {
    const edits = bindEdits(editor.doc, list)
    if (editor.commit(edits, label)) editor.announce(`${label}: ${edits.length} blocks`)
  }
  if (near.length === 0)
    return (
      <p className="leading-5 soft">
        No colour is within a just visible difference of a token, and no padding or gap within 3 px of one,
        without being it.
      </p>
    )
  return (
    <>
      <ul>
        {near.map((each) => {
          const { value, token, uses } = each
          const short = shortName(token)
          const said = typeof value === 'number' ? `${value} px` : value
          return (
            <li key={value} className="rule-b flex min-h-11 items-center gap-3 py-1">
              {typeof value === 'string' && <Swatch color={value} />}
              <span className="flex-1">
                <b className="tabular-nums">{said}</b> {each.off === 0 ? 'is what' : 'is nearly'}{' '}
                <b>{short}</b> {each.off === 0 && 'is, and does not follow it'}
                <span className="soft">
                  {offWords(each)}, {uses.length === 1 ? 'in one place' : `in ${uses.length} places`}
                </span>
              </span>
              <button
                type="button"
                className="line-button"
                aria-label={`Make ${said} ${short}`}
                onClick={() => bind([each], `${said} to ${short}`)}
              >
                Make it {short}
              </button>
            </li>
          )
        })}
      </ul>
      {near.length > 1 && (
        <button type="button" className="line-button mt-3" onClick={() => bind(near, 'Values to tokens')}>
          Make all {near.length} tokens
        </button>
      )}
    </>
  )
}
