/** What keeps a block out of the flow in its place: insets from its pins (CSS Positioned Layout 3 §4). */
import type { Held, Kept } from '../lattice/held'
import { percent, px } from '../properties/css-text'
import type { Pin } from '../properties/values'
import type { Writer } from './writer'

const pinText = (pin: Pin) => ('px' in pin ? px(pin.px) : percent(pin.percent))

/** An inset that leaves room for what is kept behind it. */
const insetText = (pin: Pin, kept: Kept | undefined) =>
  kept
    ? `max(0px, min(${pinText(pin)}, 100% - ${'px' in kept ? px(kept.px) : percent(kept.percent)}))`
    : pinText(pin)

export function writePins(writer: Writer, held: Held | undefined) {
  const { resolved } = writer
  const axis = (start: string, end: string, from?: Pin, to?: Pin, center?: number, fills?: boolean) => {
    if (center !== undefined) {
      writer.set(start, px(center))
      writer.set(end, px(-center))
      writer.set(start === 'left' ? 'margin-inline' : 'margin-block', 'auto')
      return
    }
    const across = start === 'left'
    if (from || !to || fills) writer.set(start, from ? insetText(from, across ? held?.left : undefined) : '0')
    if (to || fills) writer.set(end, to ? insetText(to, across ? held?.right : undefined) : '0')
  }
  axis(
    'left',
    'right',
    resolved.pinLeft,
    resolved.pinRight,
    resolved.pinCenterX,
    resolved.width.kind === 'stretch',
  )
  axis(
    'top',
    'bottom',
    resolved.pinTop,
    resolved.pinBottom,
    resolved.pinCenterY,
    resolved.height.kind === 'stretch',
  )
}

/** Open, it lies in the top layer (HTML §6.12): over the window, and scrolled in itself where that is not as high. */
export function writePanel({ resolved, raw, out }: Writer) {
  out.set('position', 'fixed')
  out.delete('z-index')
  out.set('overflow', 'auto')
  if (raw.maxHeight !== undefined) return
  const { pinTop: top = { px: 0 } } = resolved
  out.set(
    'max-height',
    'px' in top ? (top.px === 0 ? '100%' : `calc(100% - ${px(top.px)})`) : percent(100 - top.percent),
  )
}

/** What is left between two pins; all of it for what is centred. */
export function remainder(from: Pin | undefined, to: Pin | undefined, centred: boolean): string {
  let share = 100
  let length = 0
  for (const pin of centred ? [] : [from, to]) {
    if (!pin) continue
    if ('px' in pin) length -= pin.px
    else share -= pin.percent
  }
  if (length === 0 && share >= 0) return percent(share)
  return `calc(${percent(share)} ${length < 0 ? '-' : '+'} ${px(Math.abs(length))})`
}
