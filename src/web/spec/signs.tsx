/** Signs and icons by name, put where one writes. */
import { type ReactNode, useState } from 'react'
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
  const drawn = iconsFor(icons, sought)
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
        <Grid title="Signs">
          {signs.map(({ sign, name, shown = sign }) => (
            <Cell key={name} name={name} onTake={() => write(sign)}>
              {shown}
            </Cell>
          ))}
        </Grid>
        <Grid title="Icons, as large as the words">
          {drawn.map(({ icon, words }) => (
            <Cell key={icon.name} name={words} onTake={() => draw(icon)}>
              <Drawing icon={icon} />
            </Cell>
          ))}
        </Grid>
      </div>
    </div>
  )
}

function Grid({ title, children }: { title: string; children: readonly ReactNode[] }) {
  if (children.length === 0) return null
  return (
    <section aria-label={title}>
      <h4 className="px-1 pb-0.5 text-small soft">{title}</h4>
      <div className="grid grid-cols-8 gap-0.5">{children}</div>
    </section>
  )
}

const Cell = ({ name, onTake, children }: { name: string; onTake: () => void; children: ReactNode }) => (
  <button
    type="button"
    data-option
    className="plain-button grid size-7.5 place-items-center p-0 text-title"
    title={name}
    aria-label={name}
    onClick={onTake}
  >
    {children}
  </button>
)

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

const iconsFor = (icons: Icons | undefined, sought: string) =>
  (icons?.find(sought) ?? [])
    .slice(0, MOST_ICONS)
    .map(({ name, drawing }) => ({ icon: icons!.inWords(name, drawing), words: icons!.words(name) }))
