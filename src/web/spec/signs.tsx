/** Signs and icons by name, put where one writes. */
import { useState } from 'react'
import { iconPath } from '../../core/handoff/inline-icon'
import { signsFor } from '../../core/words/signs'
import type { Icon } from '../../core/words/words'
import { FindField } from '../parts/find-field'
import { Popover } from '../parts/popover'
import type { Icons } from '../shelf/icons'
import { useIcons } from '../shelf/use-icons'
import type { Typing } from '../text/typing'

/** Icons that are shown at once. */
const MOST_ICONS = 56
const GRID = 'grid grid-cols-8 gap-0.5'
const CELL = 'plain-button grid size-7.5 place-items-center p-0 text-title'

export function Signs({ typing }: { typing: Typing }) {
  return (
    <Popover label="Insert a sign or an icon" className="chip" button="Insert a sign or an icon" width={280}>
      {(close) => <Found typing={typing} close={close} />}
    </Popover>
  )
}

function Found({ typing, close }: { typing: Typing; close: () => void }) {
  const [sought, setSought] = useState('')
  const icons = useIcons(true)
  const signs = signsFor(sought)
  const drawn = foundIcons(icons, sought)
  const write = (sign: string) => {
    close()
    typing.insert(sign)
  }
  const draw = (icon: Icon) => {
    close()
    typing.insertIcon(icon)
  }
  const takeFirst = () => {
    if (signs[0]) write(signs[0].sign)
    else if (drawn[0]) draw(drawn[0].icon)
  }
  return (
    <div className="grid gap-2 p-1">
      <FindField
        label="Find a sign or an icon"
        placeholder="arrow, dash, fraction, phone …"
        value={sought}
        onChange={setSought}
        onEnter={takeFirst}
      />
      {signs.length + drawn.length === 0 && (
        <p role="status" className="px-1 soft">
          {icons
            ? 'No sign and no icon here is called that.'
            : 'No sign here is called that; fetching the icons …'}
        </p>
      )}
      <div className="grid max-h-64 gap-2 overflow-y-auto">
        {signs.length > 0 && (
          <section aria-label="Signs">
            <h4 className="px-1 pb-0.5 text-small soft">Signs</h4>
            <div className={GRID}>
              {signs.map(({ sign, name, shown = sign }) => (
                <button
                  key={name}
                  type="button"
                  data-option
                  className={CELL}
                  title={name}
                  aria-label={name}
                  onClick={() => write(sign)}
                >
                  {shown}
                </button>
              ))}
            </div>
          </section>
        )}
        {drawn.length > 0 && (
          <section aria-label="Icons">
            <h4 className="px-1 pb-0.5 text-small soft">Icons, as large as the words</h4>
            <div className={GRID}>
              {drawn.map(({ icon, words }) => (
                <button
                  key={icon.name}
                  type="button"
                  data-option
                  className={CELL}
                  title={words}
                  aria-label={words}
                  onClick={() => draw(icon)}
                >
                  <Drawing icon={icon} />
                </button>
              ))}
            </div>
          </section>
        )}
      </div>
    </div>
  )
}

const Drawing = ({ icon }: { icon: Icon }) => (
  <svg
    aria-hidden
    viewBox="0 0 100 100"
    width={18}
    height={18}
    fill="none"
    stroke="currentColor"
    strokeLinecap="round"
    strokeLinejoin="round"
    // biome-ignore lint/security/noDangerouslySetInnerHtml: a path of the shipped set, as it is handed off
    dangerouslySetInnerHTML={{ __html: iconPath(icon) }}
  />
)

const foundIcons = (icons: Icons | undefined, sought: string) =>
  (icons?.find(sought) ?? [])
    .slice(0, MOST_ICONS)
    .map(({ name, drawing }) => ({ icon: icons!.inWords(name, drawing), words: icons!.words(name) }))
