/** A lattice as a small strip: margins, container, numbered columns. */
import { formatPx } from '../../core/lattice/solve'
import { columnLeft, type UsedLattice } from '../../core/lattice/used'

export function LatticePicture({
  used,
  width = 266,
  height = 44,
}: {
  used: UsedLattice
  width?: number
  height?: number
}) {
  const scale = width / used.width
  return (
    <div>
      <svg
        width={width}
        height={height}
        aria-hidden="true"
        className="block border border-base-300 bg-(--card)"
      >
        {Array.from({ length: used.columns }, (_, i) => {
          const x = columnLeft(used, i + 1) * scale
          const w = Math.max(0.5, used.columnWidth * scale)
          return (
            <g key={i}>
              <rect x={x} y={0} width={w} height={height} fill="var(--color-secondary)" />
              {w >= 12 && (
                <text
                  x={x + w / 2}
                  y={height / 2 + 3.5}
                  textAnchor="middle"
                  fontSize="10"
                  fontWeight="600"
                  fill="var(--color-secondary-content)"
                >
                  {i + 1}
                </text>
              )}
            </g>
          )
        })}
      </svg>
      <div className="mt-1 flex justify-between text-small soft tabular-nums">
        <span>{formatPx(used.left)}</span>
        <span>{formatPx(used.container)}</span>
        <span>{formatPx(used.right)}</span>
      </div>
    </div>
  )
}
