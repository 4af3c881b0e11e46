/** Projects whose names, texts, links, tokens, paths and pictures mean harm to whoever opens what is made of them. */

import fc from 'fast-check'
import { type Blobs, nameOf } from '../../core/blobs/blobs'
import { checkProject } from '../../core/document/check'
import { Document } from '../../core/document/document'
import { FormatError } from '../../core/document/format-error'
import { safePath } from '../../core/document/paths'
import type { Asset, NodeTree, ProjectFile } from '../../core/document/schema'
import { allBorders, oneFill } from '../../core/properties/items'
import { linkProblem } from '../../core/properties/links'
import { said } from '../../core/words/words'
import { shelfProject } from './shelf-project'

/** Where what gets out would be seen to go. */
export const OUTSIDE = 'http://outside.test'
/** What a script that runs would leave behind. */
const RUN = 'window.harmed=1'

/** Ends whatever it stands in and begins something that runs or fetches. */
const TEXTS = [
  `<script>${RUN}</script>`,
  `"><script>${RUN}</script>`,
  `</title></style><script>${RUN}</script>`,
  `" onload="${RUN}" onerror="${RUN}" x="`,
  `' autofocus onfocus='${RUN}`,
  `<img src=x onerror="${RUN}">`,
  `<svg onload="${RUN}"></svg>`,
  `<iframe srcdoc="<script>parent.${RUN}</script>"></iframe>`,
  `<base href="${OUTSIDE}/"><link rel="stylesheet" href="${OUTSIDE}/x.css">`,
  `<meta http-equiv="refresh" content="0;url=${OUTSIDE}/">`,
  `**//*{background:url(${OUTSIDE}/a)}/*`,
  `*/ body{background:url(${OUTSIDE}/b)} /*`,
  `";}*{background:url(${OUTSIDE}/c)}a{b:"`,
  `\\22;}*{background:url(${OUTSIDE}/d)}`,
  `x;background:url(${OUTSIDE}/e);y`,
  `}@import url(${OUTSIDE}/f);{`,
  `\u0000\u0001<b>\u2028`,
  '../../../../etc/passwd',
  '..\\..\\windows',
  'con',
  '&lt;script&gt;&#0;',
  '-->]]><![CDATA[',
  '{{constructor.constructor("x")()}}',
]
const LINKS = [
  `javascript:${RUN}`,
  ` java\nscript:${RUN}`,
  `\u0001javascript:${RUN}`,
  `JAVASCRIPT:${RUN}//https://`,
  `data:text/html,<script>opener.${RUN}</script>`,
  `vbscript:${RUN}`,
  `#" onclick="${RUN}`,
  `https://ok.test/"onmouseover="${RUN}`,
  `page:nowhere" onclick="${RUN}`,
  '//outside.test/x',
  '/\\outside.test/x',
]
const SVG = [
  `<script>${RUN}</script>`,
  `<rect width="9" height="9" onclick="${RUN}" onload="${RUN}"/>`,
  `<foreignObject width="9" height="9"><body xmlns="http://www.w3.org/1999/xhtml" onload="${RUN}"><img src="${OUTSIDE}/g"/></body></foreignObject>`,
  `<image href="${OUTSIDE}/h" width="9" height="9"/>`,
  `<use href="${OUTSIDE}/i#x"/><use xlink:href="data:image/svg+xml,%3Csvg/%3E#x"/>`,
  `<a href="javascript:${RUN}"><text y="9">x</text></a>`,
  `<style>@import url(${OUTSIDE}/j); rect{fill:url(${OUTSIDE}/k)}</style><rect width="9" height="9"/>`,
  `<rect width="9" height="9" fill="url(${OUTSIDE}/l)" style="background:u\\72l(${OUTSIDE}/m)"/>`,
  `<animate attributeName="href" values="javascript:${RUN}"/><set attributeName="onload" to="${RUN}"/>`,
  `<filter id="f"><feImage href="${OUTSIDE}/n"/></filter><rect width="9" height="9" filter="url(#f)"/>`,
  `<handler type="application/ecmascript">${RUN}</handler><iframe src="${OUTSIDE}/o"/>`,
]
const text = fc.oneof(fc.constantFrom(...TEXTS), fc.string({ unit: 'binary', maxLength: 20 }))
const link = fc.oneof(fc.constantFrom(...LINKS), text)

/** A picture, and its bytes. */
function picture(id: string, name: string, inside: string, head: string): [Asset, Uint8Array] {
  const svg = `${head}<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="40" height="30" onload="${RUN}">${inside}<circle r="4"/></svg>`
  const bytes = Buffer.from(svg)
  return [{ id, name, type: 'image/svg+xml', width: 40, height: 30, ...nameOf(bytes) }, bytes]
}
const HEADS = [
  '',
  '<?xml version="1.0"?>',
  `<?xml-stylesheet href="${OUTSIDE}/p.css"?>`,
  `<!DOCTYPE svg [<!ENTITY x SYSTEM "${OUTSIDE}/q"><!ENTITY y "${'z'.repeat(40)}">]>`,
]

const attack = fc.record({
  at: fc.nat(9999),
  where: fc.constantFrom(
    'name',
    'text',
    'link',
    'span link',
    'alt',
    'font',
    'tag',
    'color',
    'override',
    'asset',
  ) as fc.Arbitrary<string>,
  text,
  link,
})

/** Links of the shelf's, which lead nowhere until somebody says where to, lead home. */
function leading(nodes: readonly NodeTree[]) {
  for (const node of nodes) {
    if (node.props.link === '#') node.props = { ...node.props, link: '/' }
    leading(node.children ?? [])
  }
}

/** As a store could hold it that was filled before edits were checked as they are now: read without being checked. */
export const hostileProjects: fc.Arbitrary<{ file: ProjectFile; blobs: Blobs }> = fc
  .record({
    attacks: fc.array(attack, { minLength: 8, maxLength: 40 }),
    names: fc.array(text, { minLength: 6, maxLength: 6 }),
    paths: fc.array(
      fc.oneof(
        fc.constantFrom(
          '//evil',
          '/../../up',
          '/a/',
          '/a',
          '/con',
          '/x/../../y',
          '/"onload=',
          '/<b>',
          '/%2e%2e/z',
        ),
        text,
      ),
      { minLength: 3, maxLength: 3 },
    ),
    inside: fc.array(fc.constantFrom(...SVG), { minLength: 1, maxLength: 4 }),
    head: fc.constantFrom(...HEADS),
    /** Whether it is one that opening a file takes. */
    opens: fc.boolean(),
  })
  .map(({ attacks, names: given, paths, inside, head, opens }) => {
    const names = opens ? given.map((name) => name || 'x') : given
    const file = shelfProject()
    const [home] = file.pages
    // What leads nowhere has no address: these lead somewhere.
    leading(home!.sections)
    file.name = names[0]!
    home!.name = names[1]!
    file.views.forEach((view, i) => {
      view.name = names[i % names.length]!
    })
    const pictures = [
      picture('bad', names[2]!, inside.join(''), head),
      picture('worse', names[3]!, inside[0]!, ''),
    ]
    file.assets = pictures.map(([asset]) => asset)
    const asName = (name: string) => name.replace(/[.{}$]/g, '').slice(0, 60) || 'x'
    Object.assign(file.tokens, {
      [asName(names[4]!)]: {
        $type: 'fontFamily',
        [asName(names[5]!)]: { $value: names[0] },
      },
    })
    paths.forEach((given, i) => {
      const path = opens ? `${safePath(given)}${i}`.replace('/0', '/con') : given
      file.pages.push({ id: `extra${i}`, name: names[i]!, path, order: `a${i + 1}`, views: [], sections: [] })
    })
    const blocks: NodeTree[] = []
    const walk = (node: NodeTree) => {
      blocks.push(node)
      node.children?.forEach(walk)
    }
    home!.sections.forEach(walk)
    for (const { at, where, text, link } of attacks) {
      if (opens && ['tag', 'color', 'override'].includes(where)) continue
      strike(blocks[at % blocks.length]!, where, text, opens && linkProblem(link) ? '#' : link, opens)
    }
    return { file, blobs: new Map(pictures.map(([{ hash }, bytes]) => [hash, bytes])) }
  })

function strike(block: NodeTree, where: string, text: string, link: string, opens: boolean) {
  const props = block.props as Record<string, unknown>
  if (where === 'name') block.name = text
  else if (where === 'link') Object.assign(props, { link, tag: 'a' })
  else if (where === 'alt') props.alt = text
  else if (where === 'font') props.fontFamily = text
  else if (where === 'tag') props.tag = text
  else if (where === 'color')
    Object.assign(props, { fills: oneFill(text), ...allBorders(2, text), blend: text })
  else if (where === 'override')
    block.overrides = { mobile: { fills: oneFill(text), justify: text } as never }
  else if (where === 'asset' && block.kind === 'picture') props.asset = text.length % 2 ? 'bad' : 'worse'
  else if (block.kind === 'text' || block.kind === 'button')
    props.words = said([
      { text, ...(opens ? {} : { color: text }), ...(where === 'span link' ? { link } : {}) },
    ])
}

/** The project as it would be if everything that opening a file refuses were harmless already. */
export function openHostile(file: ProjectFile): { doc: Document; refused: boolean } {
  const doc = Document.fromFile(structuredClone(file))
  try {
    checkProject(structuredClone(file))
    return { doc, refused: false }
  } catch (error) {
    if (!(error instanceof FormatError)) throw error
    return { doc, refused: true }
  }
}
