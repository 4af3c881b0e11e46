/** What a word means, where it stands: a question mark with two lines and a picture for each. */
import type { ReactNode } from 'react'
import { Popover } from '../parts/popover'

/** The frame that pictures are drawn in, px. */
const [WIDE, HIGH] = [56, 34]

type Box = { x: number; y?: number; width: number; height?: number; own?: boolean }

/** A parent with blocks in it; one's `own` is what is spoken of. */
function Picture({ boxes, children }: { boxes: readonly Box[]; children?: ReactNode }) {
  return (
    <svg width={WIDE} height={HIGH} viewBox={`0 0 ${WIDE} ${HIGH}`} aria-hidden className="mt-0.5 flex-none">
      <rect x={0.5} y={0.5} width={WIDE - 1} height={HIGH - 1} rx={2} fill="none" stroke="var(--field)" />
      {boxes.map(({ x, y = 8, width, height = 18, own }) => (
        <rect
          key={`${x}-${y}`}
          x={x}
          y={y}
          width={width}
          height={height}
          rx={1.5}
          fill={own ? 'var(--color-primary)' : 'var(--color-base-300)'}
        />
      ))}
      {children}
    </svg>
  )
}

const line = (x: number) => (
  <line key={x} x1={x} x2={x} y1={1} y2={HIGH - 1} stroke="var(--color-primary)" strokeOpacity={0.45} />
)

type Entry = { word: string; says: string; picture: ReactNode }

const SIZES: readonly Entry[] = [
  {
    word: 'exact',
    says: 'A length in px, whatever is around it. Takes sums: 520*3+96.',
    picture: <Picture boxes={[{ x: 6, width: 22, own: true }]} />,
  },
  {
    word: 'snug',
    says: 'As small as what is in it allows. A button grows with its label.',
    picture: (
      <Picture boxes={[{ x: 6, width: 26, own: true }]}>
        <rect x={10} y={14} width={18} height={6} fill="var(--color-primary-content)" />
      </Picture>
    ),
  },
  {
    word: 'stretch',
    says: 'All the room that the others leave. Several share it by their weights.',
    picture: (
      <Picture
        boxes={[
          { x: 4, width: 12 },
          { x: 19, width: 33, own: true },
        ]}
      />
    ),
  },
  {
    word: 'percent',
    says: 'A share of what it lies in. It follows when that gets wider.',
    picture: <Picture boxes={[{ x: 4, width: 24, own: true }]} />,
  },
  {
    word: 'columns',
    says: 'A number of the lattice’s columns, with the gutters between them.',
    picture: <Picture boxes={[{ x: 14, width: 27, own: true }]}>{[14, 27.5, 41].map(line)}</Picture>,
  },
]

const PLACES: readonly Entry[] = [
  {
    word: 'in the flow',
    says: 'One after the other, by the order of the ledger. What grows moves the rest.',
    picture: (
      <Picture
        boxes={[
          { x: 4, width: 13 },
          { x: 20, width: 13, own: true },
          { x: 36, width: 13 },
        ]}
      />
    ),
  },
  {
    word: 'lifted',
    says: 'Taken out of its flow: the others close up, and it may lie over them.',
    picture: (
      <Picture
        boxes={[
          { x: 4, width: 13 },
          { x: 20, width: 13 },
          { x: 27, y: 3, width: 16, height: 14, own: true },
        ]}
      />
    ),
  },
  {
    word: 'pins',
    says: 'The edges, or middles, that a lifted block keeps its distance to, in px or %.',
    picture: (
      <Picture boxes={[{ x: 30, y: 8, width: 18, height: 14, own: true }]}>
        <path d="M48 15h7M39 1v7" stroke="var(--color-accent)" strokeWidth={1.5} />
      </Picture>
    ),
  },
]

const LATTICES: readonly Entry[] = [
  {
    word: 'lattice',
    says: 'The columns that blocks are placed on, with gutters between and margins beside them.',
    picture: <Picture boxes={[9, 20, 31, 42].map((x) => ({ x, y: 1, width: 7, height: HIGH - 2 }))} />,
  },
  {
    word: 'solve',
    says: 'Leaves this one open: it follows from the others.',
    picture: (
      <Picture
        boxes={[
          { x: 4, width: 14 },
          { x: 21, width: 14 },
          { x: 38, width: 14, own: true },
        ]}
      />
    ),
  },
  {
    word: 'keep',
    says: 'Holds this value as it is; another is solved for instead.',
    picture: (
      <Picture
        boxes={[
          { x: 4, width: 14, own: true },
          { x: 21, width: 14 },
          { x: 38, width: 14 },
        ]}
      />
    ),
  },
]

const TOPICS = { size: SIZES, place: PLACES, lattice: LATTICES }

export function Help({ topic }: { topic: keyof typeof TOPICS }) {
  const entries = TOPICS[topic]
  return (
    <Popover
      label={`What ${entries.map(({ word }) => word).join(', ')} mean`}
      className="icon-button size-6 text-small font-bold soft"
      button="?"
      width={300}
    >
      {() => (
        <dl className="grid gap-2.5 p-1.5" data-help={topic}>
          {entries.map(({ word, says, picture }) => (
            <div key={word} className="relative min-h-9 pl-17">
              <dt className="font-bold">
                <span className="absolute left-0">{picture}</span>
                {word}
              </dt>
              <dd className="text-small leading-4 soft">{says}</dd>
            </div>
          ))}
        </dl>
      )}
    </Popover>
  )
}
