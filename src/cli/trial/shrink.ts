/** The shortest steps that still lead to a fault of the same kind. */
import type { Step } from './acts'

/**
 * Leaves out what it can: halves first, then ever fewer, down to single steps (Zeller, “delta debugging”).
 * @param fails whether steps still lead there
 * @param isOver no more tries
 */
export async function shrunk(
  steps: readonly Step[],
  fails: (steps: readonly Step[]) => Promise<boolean>,
  isOver: () => boolean,
): Promise<readonly Step[]> {
  let left = steps
  for (let size = Math.ceil(left.length / 2); size >= 1 && !isOver(); ) {
    let found = false
    for (let from = 0; from < left.length && !isOver(); ) {
      const without = [...left.slice(0, from), ...left.slice(from + size)]
      if (without.length > 0 && (await fails(without))) {
        left = without
        found = true
      } else from += size
    }
    if (size === 1 && !found) break
    size = size === 1 ? 1 : Math.ceil(size / 2)
  }
  return left
}
