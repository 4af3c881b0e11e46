/** Signs by name, put where one writes. */
import { useState } from 'react'
import { signsFor } from '../../core/words/signs'
import { FindField } from '../parts/find-field'
import { Popover } from '../parts/popover'
import type { Typing } from '../text/typing'

export function Signs({ typing }: { typing: Typing }) {
  const [sought, setSought] = useState('')
  const found = signsFor(sought)
  return (
    <Popover label="Insert a sign" className="chip" button="Insert a sign" width={264}>
      {(close) => {
        const insert = (sign: string) => {
          close()
          setSought('')
          typing.insert(sign)
        }
        return (
          <div className="grid gap-2 p-1">
            <FindField
              label="Find a sign"
              placeholder="arrow, dash, fraction, euro …"
              value={sought}
              onChange={setSought}
              onEnter={() => found[0] && insert(found[0].sign)}
            />
            {found.length === 0 ? (
              <p role="status" className="px-1 soft">
                No sign here is called that.
              </p>
            ) : (
              <div className="grid max-h-52 grid-cols-7 gap-0.5 overflow-y-auto">
                {found.map(({ sign, name, shown = sign }) => (
                  <button
                    key={name}
                    type="button"
                    data-option
                    className="plain-button px-0 text-title"
                    title={name}
                    aria-label={name}
                    onClick={() => insert(sign)}
                  >
                    {shown}
                  </button>
                ))}
              </div>
            )}
          </div>
        )
      }}
    </Popover>
  )
}
