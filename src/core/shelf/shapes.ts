/** Shapes that the shelf offers. */
import type { Form } from '../forms/form'
import type { Props } from '../properties/table'
import type { ShelfItem } from './build'

const LINE: Props = { stroke: { width: 2, color: '{color.ink}', cap: 'round', join: 'round' } }

function shape(
  id: string,
  name: string,
  words: string,
  form: Form,
  [width, height]: readonly [number, number] = [160, 160],
  look: Props = { paint: '{color.pine}' },
): ShelfItem {
  const size: Props = { width: { kind: 'exact', px: width }, height: { kind: 'exact', px: height } }
  return {
    id: `shape-${id}`,
    shelf: 'blocks',
    category: 'Shapes',
    name,
    words: `shape ${words}`,
    build: (b) => b.make('shape', name, { form, ...size, ...look }),
  }
}

export const SHAPES: ShelfItem[] = [
  shape('ellipse', 'Ellipse', 'circle round oval', { form: 'ellipse' }),
  shape('triangle', 'Triangle', 'polygon', { form: 'polygon', sides: 3 }),
  shape('polygon', 'Polygon', 'hexagon sides', { form: 'polygon', sides: 6 }),
  shape('star', 'Star', 'points', { form: 'star', points: 5, depth: 50 }),
  shape('ring', 'Ring', 'arc circle hole', { form: 'arc', from: 0, sweep: 360, hole: 60 }),
  shape('arch', 'Arch', 'window door', { form: 'arch' }),
  shape('blob', 'Blob', 'soft organic', { form: 'blob', seed: 7, points: 6, swing: 35 }),
  shape('wave', 'Wave', 'edge divider', { form: 'wave', crests: 3, depth: 20 }, [480, 120]),
  shape('line', 'Line', 'rule stroke', { form: 'line', slope: 'level' }, [240, 16], LINE),
  shape('arrow', 'Arrow', 'pointer line', { form: 'line', slope: 'level', end: 'arrow' }, [120, 16], LINE),
]
