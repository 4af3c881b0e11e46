/** The tip of what is pointed at, or has the focus by keys. */
import { Tooltip } from '@base-ui/react/tooltip'
import { useEffect, useMemo, useState } from 'react'
import { ROOM } from '../floating-props'
import { TIP, type Tip, watchTips } from '../tips'

export function Tips() {
  const [tip, setTip] = useState<Tip>()
  useEffect(() => watchTips(setTip), [])
  const { point } = tip ?? {}
  const anchor = useMemo(
    () => point && { getBoundingClientRect: () => new DOMRect(point.x, point.y, 0, 16) },
    [point],
  )
  if (!tip) return null
  return (
    <Tooltip.Root open>
      <Tooltip.Portal>
        <Tooltip.Positioner
          anchor={anchor ?? tip.at}
          side="bottom"
          sideOffset={6}
          collisionPadding={ROOM}
          className="pointer-events-none z-60"
        >
          <Tooltip.Popup
            id={TIP}
            role="tooltip"
            className="max-w-75 rounded-field bg-neutral px-2 py-1 text-small leading-4 text-neutral-content"
          >
            {tip.words}
          </Tooltip.Popup>
        </Tooltip.Positioner>
      </Tooltip.Portal>
    </Tooltip.Root>
  )
}
