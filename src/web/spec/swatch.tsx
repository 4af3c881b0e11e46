/** A colour, small; undefined: none. */
export const Swatch = ({ color }: { color: string | undefined }) => (
  <i
    aria-hidden
    className="size-3.25 flex-none rounded-xs border border-base-content/20"
    style={{ background: color ?? 'repeating-conic-gradient(#bbb 0 25%, #fff 0 50%) 0 0/6px 6px' }}
  />
)
