/** Shapes put together: united, cut out of one another, kept where they overlap or where they do not. */
import { FillRule, PathBoolean, PathBooleanOperation, pathFromPathData } from 'path-bool'
import type { Combination } from './form'
import { type Chain, near, type Path, type Point, pathData, type Step } from './path'

const OPERATIONS: Record<Combination, PathBooleanOperation> = {
  unite: PathBooleanOperation.Union,
  subtract: PathBooleanOperation.Difference,
  intersect: PathBooleanOperation.Intersection,
  exclude: PathBooleanOperation.Exclusion,
}

type Segment = ReturnType<typeof pathFromPathData>[number]

function stepOf(segment: Segment): { from: Point; step: Step } {
  const [kind, ...points] = segment as unknown as [string, Point, ...Point[]]
  const [from] = points
  if (kind === 'C') return { from, step: { by: [points[1]!, points[2]!], to: points[3]! } }
  if (kind === 'L') return { from, step: { to: points[1]! } }
  throw new Error(`a segment of kind ${kind} was not put in`)
}

function chainsOf(segments: readonly Segment[]): Chain[] {
  const chains: { from: Point; steps: Step[]; closed: boolean }[] = []
  let at: Point | undefined
  for (const segment of segments) {
    const { from, step } = stepOf(segment)
    if (at === undefined || !near(at, from)) chains.push({ from, steps: [], closed: true })
    chains.at(-1)!.steps.push(step)
    at = step.to
  }
  return chains
}

/** @param paths closed, the lowest first: what is subtracted is subtracted from that @returns empty when nothing is left */
export function combined(paths: readonly Path[], how: Combination): Path {
  const input = (path: Path) => ({ path: pathFromPathData(pathData(path)), fillRule: FillRule.EvenOdd })
  return paths
    .slice(1)
    .reduce<Path>(
      (sum, path) =>
        sum.length === 0
          ? how === 'unite' || how === 'exclude'
            ? path
            : sum
          : new PathBoolean([input(sum), input(path)]).get(OPERATIONS[how]).flatMap(chainsOf),
      paths[0]!,
    )
}

/** A path whose outlines may lie over one another, as those of letters do (its inside is where they do not undo each other), as one without. */
export const withoutOverlaps = (path: Path): Path =>
  new PathBoolean([{ path: pathFromPathData(pathData(path)), fillRule: FillRule.NonZero }])
    .get(PathBooleanOperation.Union)
    .flatMap(chainsOf)
