/** `lattice conformance`: random documents, core against Chromium, box for box and line for line. */
import fc from 'fast-check'
import type { NodeTree, ProjectFile } from '../../core/document/schema'
import { documents } from '../../core/samples/documents'
import { FEATURES, type Feature } from '../../core/samples/features'
import { SiteViewer } from '../browser'
import { photographs } from '../photographs'
import { countCauses } from './causes'
import { type Comparison, compareDocument } from './compare'

export type ConformanceOptions = {
  documents: number
  seed: number
  widths: number[]
  only?: Feature[]
  /** Shrink and print the first failing document. */
  explain?: boolean
}

export const DEFAULT_WIDTHS = [1440, 1180, 834, 600, 390]

const sum = (list: Comparison[], pick: (one: Comparison) => number) =>
  list.reduce((total, one) => total + pick(one), 0)
const share = (bad: number, all: number) => (all === 0 ? 100 : (100 * (all - bad)) / all)

/** The bar: without text every box, with text 99.9 % of boxes and of paragraphs. */
export async function runConformance(
  options: ConformanceOptions,
  print: (line: string) => void,
): Promise<boolean> {
  const features = new Set<Feature>(options.only ?? FEATURES)
  const { assets, blobs } = await photographs()
  const arbitrary = documents(features, assets)
  const compared = (viewer: SiteViewer, file: ProjectFile) =>
    compareDocument(viewer, { file, blobs }, options.widths)
  const samples = fc.sample(arbitrary, { numRuns: options.documents, seed: options.seed })
  const viewer = await SiteViewer.open()
  const results: Comparison[] = []
  const causes = new Map<Feature, number>()
  let failing: ProjectFile | undefined
  try {
    for (const [i, file] of samples.entries()) {
      const result = await compared(viewer, file)
      results.push(result)
      countCauses(file, result, causes)
      if (!failing && (result.boxesOff.length > 0 || result.linesOff.length > 0)) failing = file
      if ((i + 1) % 25 === 0) print(`… ${i + 1} of ${samples.length} documents`)
    }
    const boxes = sum(results, (one) => one.boxes)
    const boxesOff = sum(results, (one) => one.boxesOff.length)
    const paragraphs = sum(results, (one) => one.paragraphs)
    const linesOff = sum(results, (one) => one.linesOff.length)
    const exact = sum(results, (one) => one.exact)
    const largest = Math.max(0, ...results.map((one) => one.largest))
    const clean = results.filter((one) => one.boxesOff.length === 0 && one.linesOff.length === 0).length
    print(
      `documents ${samples.length} (${clean} without any difference), widths ${options.widths.join(' ')}, seed ${options.seed}`,
    )
    print(`features  ${[...features].join(' ')}`)
    print(
      `boxes     ${boxes} compared, ${share(boxesOff, boxes).toFixed(3)} % within 0.5 px, ${share(boxes - exact, boxes).toFixed(3)} % to 1/64 px, largest difference ${largest.toFixed(3)} px`,
    )
    print(
      `lines     ${paragraphs} paragraphs compared, ${share(linesOff, paragraphs).toFixed(3)} % with the same line breaks`,
    )
    if (causes.size > 0)
      print(
        `by feature  ${[...causes]
          .sort((a, b) => b[1] - a[1])
          .map(([feature, count]) => `${feature} ${count}`)
          .join(', ')}`,
      )
    if (failing && options.explain) await explain(viewer, arbitrary, compared, options, print)
    const text = features.has('text')
    return text ? share(boxesOff, boxes) >= 99.9 && share(linesOff, paragraphs) >= 99.9 : boxesOff === 0
  } finally {
    await viewer.close()
  }
}

/** Shrinks to the smallest failing document and prints it with both sets of boxes. */
async function explain(
  viewer: SiteViewer,
  arbitrary: fc.Arbitrary<ProjectFile>,
  compared: (viewer: SiteViewer, file: ProjectFile) => Promise<Comparison>,
  options: ConformanceOptions,
  print: (line: string) => void,
) {
  const property = fc.asyncProperty(arbitrary, async (file) => {
    const result = await compared(viewer, file)
    return result.boxesOff.length === 0 && result.linesOff.length === 0
  })
  const outcome = await fc.check(property, { numRuns: options.documents, seed: options.seed })
  const smallest = outcome.counterexample?.[0]
  if (!smallest) return
  const result = await compared(viewer, smallest)
  print('smallest failing document:')
  for (const section of smallest.pages[0]!.sections) printTree(section, '  ', print)
  for (const off of result.boxesOff.slice(0, 12)) {
    print(
      `  box ${off.node} at ${off.width}: core ${JSON.stringify(off.core)} browser ${JSON.stringify(off.browser)}`,
    )
  }
  for (const off of result.linesOff.slice(0, 6)) {
    print(
      `  lines ${off.node} at ${off.width}: core ${JSON.stringify(off.core)} browser ${JSON.stringify(off.browser)}`,
    )
  }
}

function printTree(node: NodeTree, indent: string, print: (line: string) => void) {
  const words = (props: object) =>
    Object.entries(props)
      .map(([key, value]) => `${key}=${JSON.stringify(value)}`)
      .join(' ')
  const overrides = Object.entries(node.overrides ?? {})
    .map(([view, props]) => ` | ${view}: ${words(props)}`)
    .join('')
  print(`${indent}${node.id} ${node.kind} ${words(node.props)}${overrides}`)
  for (const child of node.children ?? []) printTree(child, `${indent}  `, print)
}
