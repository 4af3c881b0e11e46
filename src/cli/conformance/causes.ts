/** Which features the blocks that differ use, to see where to look. */

import type { NodeTree, ProjectFile } from '../../core/document/schema'
import type { Props } from '../../core/properties/table'
import type { Feature } from '../../core/samples/features'
import { looksIn } from '../../core/words/words'
import type { Comparison } from './compare'

function featuresOf(props: Props, kind: NodeTree['kind']): Feature[] {
  const found: Feature[] = []
  const sizes = [props.width?.kind, props.height?.kind]
  if (props.flow === 'lattice') found.push('lattice')
  if (props.flow === 'row' && props.wrap) found.push('wrap')
  if (props.lifted || props.flow === 'free') found.push('lifted')
  if (props.align === 'baseline' || props.alignSelf === 'baseline') found.push('baseline')
  if (sizes.includes('percent')) found.push('percent')
  if (props.ratio !== undefined) found.push('ratio')
  if (kind === 'picture') found.push('picture')
  if (kind === 'text' || kind === 'button') found.push('text')
  if ([...looksIn(props.words)].length > 1) found.push('spans')
  if (props.overflowWrap === 'anywhere') found.push('breaks')
  return found
}

/** Differences by the features that the block itself and the one around it use; `flex` alone when neither uses any. */
export function countCauses(file: ProjectFile, result: Comparison, into: Map<Feature, number>) {
  const features = new Map<string, Set<Feature>>()
  const walk = (node: NodeTree, around: Feature[]) => {
    const own = featuresOf(node.props, node.kind)
    if (node.overrides && Object.keys(node.overrides).length > 0) own.push('override')
    features.set(node.id, new Set([...own, ...around]))
    for (const child of node.children ?? []) walk(child, own)
  }
  for (const page of file.pages) for (const section of page.sections) walk(section, [])
  for (const { node } of [...result.boxesOff, ...result.linesOff]) {
    const found = features.get(node) ?? new Set<Feature>()
    for (const feature of found.size > 0 ? found : ['flex' as const])
      into.set(feature, (into.get(feature) ?? 0) + 1)
  }
}
