/** A colour, small; undefined: none. */
export const Swatch = ({ color }: { color: string | undefined }) => (
  <i
    aria-hidden
    className="size-3.25 flex-none rounded-xs border border-base-content/20"
    style={{ background: color ?? 'repeating-conic-gradient(#bbb 0 25%, #fff 0 50%) 0 0/6px 6px' }}
  />
)

/** Words of one colour on another, as they read: what is shown is the user's. */
export const Sample = ({ ink, ground }: { ink: string; ground: string }) => (
  <span
    aria-hidden
    data-sample
    className="grid h-7 w-11 flex-none place-items-center rounded-field border border-base-content/15 text-plain font-semibold"
    style={{ background: ground, color: ink }}
  >
    Ag
  </span>
)
