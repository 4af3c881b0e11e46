import { describe, expect, test } from 'vitest'
import { besides } from './beside'
import { at, box, exactly, lay } from './test-page'

const drawn = (id: string, x: number, y: number, width: number, height: number) => ({
  ...at(id, x, y, width, height),
  kind: 'picture' as const,
})
const TAG = { width: 80, height: 20 }

describe('a tag beside a block', () => {
  test('stands below it, at its left, where nothing is drawn', () => {
    const { layout, rect } = lay({ flow: 'free' }, [at('a', 100, 100)])
    expect(besides(layout, rect('a'), TAG, 6, 1440)[0]).toEqual({
      side: 'below',
      rect: { x: 100, y: 146, ...TAG },
    })
  })
  test('elsewhere, where something is drawn below; boxes cover nothing, what is in them does', () => {
    const { layout, rect } = lay({ flow: 'free' }, [
      at('a', 100, 100),
      drawn('b', 100, 150, 400, 40),
      box('c', { ...exactly(600, 95), flow: 'free', pinLeft: { px: 0 }, pinTop: { px: 0 } }, [
        drawn('d', 90, 70, 20, 20),
      ]),
    ])
    // Above, the picture in the box lies at the left; at the right only the box itself does.
    const [best] = besides(layout, rect('a'), TAG, 6, 1440)
    expect(best).toEqual({ side: 'above right', rect: { x: 120, y: 74, ...TAG } })
  })
  test('in the block itself, where it takes the whole sheet and words follow it', () => {
    const { layout, rect } = lay({ flow: 'free' }, [
      drawn('a', 0, 0, 1440, 200),
      drawn('b', 0, 200, 1440, 200),
    ])
    const inSection = besides(layout, rect('s'), TAG, 6, 1440)
    expect(inSection[0]!.rect.y).toBe(406)
    const [best] = besides(layout, { x: 0, y: 200, width: 1440, height: 200 }, TAG, 6, 1440)
    expect(best!.rect).toEqual({ x: 0, y: 406, ...TAG })
    expect(besides(layout, rect('a'), TAG, 6, 1440).every(({ rect: { x, y } }) => x >= 0 && y >= 0)).toBe(
      true,
    )
  })
})
