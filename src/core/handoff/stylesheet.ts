/** The stylesheet of a whole site: tokens, lattice, one class a block, media queries for the views. */
import type { Document, Node, Page } from '../document/document'
import { cascaded } from '../document/resolve'
import type { View } from '../document/schema'
import { Instances } from '../expand/instances'
import { Carrying } from '../lattice/carrying'
import { flowOf } from '../layout/style'
import { areReordered } from '../paint/layers'
import { px, unit } from '../properties/css-text'
import { type Declarations, rulesOf } from '../properties/declarations'
import { isText } from '../properties/kinds'
import { keysOf, PROPERTIES } from '../properties/table'
import { declaredOrder, type FontFile } from '../text/families'
import { holdsLinks } from '../words/parts'
import { plainText } from '../words/words'
import { INITIAL } from './css'
import { declarationsOf, type Place, resolvedIn } from './declarations'
import { cssComment, cssString } from './escape'
import { fontNeeds, handedOffFor } from './font-needs'
import { latticeProperties } from './lattice-properties'
import { ClassNames, madeClass, typeClass } from './names'
import { pageBackgrounds } from './page-backgrounds'
import { isPanel } from './panels'
import { PLAIN_BORDERS, plainRule, withPlainBorders } from './plain-borders'
import { PANELS, RESET, WHOLE_SIGNS } from './reset'
import { rulesText } from './rules'
import { changedInView, rootTokens, themeRules } from './token-rules'
import { versionsOf } from './versions'
import { rulesForWords } from './words'
import { type Outside, type Writing, writingFor } from './written'

export type StyledSite = {
  css: string
  /** Classes of everything that is shown, by key, of each version of what it says. */
  classes: Map<string, string[]>
  /** What `data-page` says on a page, by id, where that has to be told from others. */
  marks: ReadonlyMap<string, string>
  fonts: FontFile[]
  /**
   * The file that is handed off for one that is drawn with here: of a family that no text has in other axes the lighter one, which
   * draws the same then.
   */
  fontOf: (id: string) => FontFile
}

/** `plain`: where a browser does not fill borders; `closed`: until its button is pressed. */
type Cascade = { base: Declarations; changes: Map<string, Declarations> }
type Rule = Cascade & { className: string; plain?: Cascade | undefined; closed?: Cascade | undefined }

/** Declarations of everything that a page shows in a view, parents first. */
function eachBlock(
  doc: Document,
  instances: Instances,
  view: string,
  outside: Outside,
  visit: (node: Node, declarations: Declarations, place: Place) => void,
) {
  const carrying = new Carrying(doc, instances)
  const walk = (node: Node, place: Place) => {
    visit(node, declarationsOf(place, node), place)
    if (node.children.length === 0) return
    const resolved = resolvedIn(place, node)
    const parent = {
      node,
      resolved,
      flow: flowOf(node.kind, resolved.flow),
      columns: carrying.columnsIn(node, view),
    }
    for (const child of node.children)
      walk(instances.node(child), { doc, instances, carrying, view, outside, parent })
  }
  for (const section of instances.node(instances.page).children)
    walk(instances.node(section), { doc, instances, carrying, view, outside, parent: undefined })
}

function difference(wide: Declarations, narrow: Declarations): Declarations {
  const changes: Declarations = new Map()
  // What goes comes first: a shorthand that is put back must not undo what is set after it.
  // A hidden block keeps its other declarations; they do no harm.
  if (narrow.get('display') !== 'none') {
    for (const property of wide.keys())
      if (!narrow.has(property)) changes.set(property, INITIAL[property] ?? 'unset')
  }
  for (const [property, value] of narrow) if (wide.get(property) !== value) changes.set(property, value)
  return changes
}

const HIDDEN: Declarations = new Map([['display', 'none']])
const NOT_SHOWN = { declared: HIDDEN, plain: HIDDEN }

/** What a block is at the widest view, and what each narrower one changes. @param declared by view, widest first */
function cascadeOf(views: readonly View[], declared: readonly Declarations[]): Cascade {
  const changes = new Map<string, Declarations>()
  const base = declared[0]!
  let wide = base
  let shown = base
  declared.slice(1).forEach((narrow, i) => {
    // Shown again below a view that hides it: compare with what it last looked like.
    const change = difference(
      wide.get('display') === 'none' ? new Map([...shown, ['display', 'none']]) : wide,
      narrow,
    )
    if (change.size > 0) changes.set(views[i + 1]!.id, change)
    wide = narrow
    if (narrow.get('display') !== 'none') shown = narrow
  })
  return { base, changes }
}

/** What a rule of a block behind a button is for where that is not open. */
const CLOSED = ':not(:popover-open)'

/**
 * What a block behind a button is in views where that is not pressed: as it is, or not there.
 * @returns undefined: it is behind a button in no view
 */
function closedCascade(doc: Document, node: Node, declared: readonly Declarations[]): Cascade | undefined {
  const isFolded = ({ id }: View) => cascaded(doc, node, id).folded === true
  if (!isPanel(doc, node)) return undefined
  const closed = cascadeOf(
    doc.views,
    doc.views.map((view, i) => {
      const display = isFolded(view) ? 'none' : (declared[i]!.get('display') ?? INITIAL.display!)
      return new Map([['display', display]])
    }),
  )
  // What its own class says.
  return isFolded(doc.views[0]!) ? closed : { ...closed, base: new Map() }
}

/** Class of a page's body whose sections stand in another order in some view. */
export const ORDERED_CLASS = madeClass('ordered')
export const isReordered = (instances: Instances) =>
  areReordered(instances.node(instances.page).children.map((id) => instances.node(id)))

/** The declarations of a type style, which every block in it wears as one class. */
function typeRule(style: string, write: Writing): { className: string; declarations: Declarations } {
  const declarations: Declarations = new Map()
  for (const key of keysOf('type'))
    for (const { name, style: part } of rulesOf(PROPERTIES[key].css)) {
      const value = part && write.style(style, part)
      if (value) declarations.set(name, value)
    }
  return { className: typeClass(style), declarations }
}

/** What blocks may be called: by their name, what they lie in, what they say. */
function namesOf(doc: Document, instances: Instances, node: Node): string[] {
  const { name, parent, props } = node
  const around: string[] = []
  for (let at = parent; at !== null && at !== instances.page; at = instances.node(at).parent)
    around.push(instances.node(at).name)
  const says = plainText(props.words) || doc.assets.get(props.asset ?? '')?.name
  const words = says ? [`${name} ${says.split(/\s+/).slice(0, 3).join(' ')}`.slice(0, 40)] : []
  const inner = around[0]
  const outer = around.at(-1)
  return [
    name,
    ...(outer ? [`${outer} ${name}`] : []),
    ...(inner && inner !== outer ? [`${inner} ${name}`] : []),
    ...words,
  ]
}

/** Collects the rules of a site. */
class SiteStyler {
  readonly classes = new Map<string, string[]>()
  readonly rules = new Map<string, Rule>()
  /** Of words, by selector. */
  readonly marks = new Map<string, string>()
  /** Of type styles, by class. */
  readonly types = new Map<string, Declarations>()
  private readonly names: ClassNames

  constructor(
    private readonly doc: Document,
    private readonly outside: Outside,
  ) {
    this.names = new ClassNames(doc.tokenTable.names('typography').map(typeClass))
  }

  page(instances: Instances) {
    const { doc } = this
    const byView = doc.views.map((view) => {
      const own = new Map<string, { declared: Declarations; plain: Declarations }>()
      eachBlock(doc, instances, view.id, this.outside, (node, declared, place) => {
        own.set(node.id, { declared, plain: withPlainBorders(place, node, declared) })
        this.marksOf(node, view)
      })
      return own
    })
    for (const id of byView[0]!.keys()) {
      const node = instances.node(id)
      const own = versionsOf(doc, node).map((version) => {
        const shown = doc.views.map((view, i) =>
          version && !version.views.has(view.id) ? NOT_SHOWN : byView[i]!.get(id)!,
        )
        return this.block(
          instances,
          node,
          shown.map(({ declared }) => declared),
          shown.map(({ plain }) => plain),
        )
      })
      this.classes.set(id, own)
    }
  }

  /** Rules of the marks in a text's words. */
  private marksOf(node: Node, view: View) {
    if (!isText(node.kind)) return
    const { words } = cascaded(this.doc, node, view.id)
    rulesForWords(words, holdsLinks(node.kind, node.props.tag), this.write, this.marks)
  }

  private get write(): Writing {
    return writingFor(this.doc.tokenTable, this.outside)
  }

  /** @returns its classes, as an attribute has them */
  private block(
    instances: Instances,
    node: Node,
    declared: readonly Declarations[],
    plainly: readonly Declarations[],
  ): string {
    const { base, changes } = cascadeOf(this.doc.views, declared)
    const plain = plainRule(this.doc.views, declared, plainly)
    const closed = closedCascade(this.doc, node, declared)
    const { type } = cascaded(this.doc, node, this.doc.views[0]!.id)
    const style = type === undefined ? undefined : typeRule(type, this.write)
    const own = new Map([...base].filter(([name, value]) => style?.declarations.get(name) !== value))
    const isStyled = style !== undefined && own.size < base.size
    const signature = JSON.stringify([
      isStyled ? style.className : '',
      [...own],
      [...changes].map(([view, change]) => [view, [...change]]),
      plain && [...plain.base],
      closed && [[...closed.base], [...closed.changes].map(([view, change]) => [view, [...change]])],
    ])
    const className = this.names.pick(namesOf(this.doc, instances, node), signature, node.kind)
    if (!this.rules.has(className))
      this.rules.set(className, { className, base: own, changes, plain, closed })
    if (!isStyled) return className
    this.types.set(style.className, style.declarations)
    return `${style.className} ${className}`
  }
}

/** @param picture where the style sheet finds pictures */
export function styleSite(doc: Document, pages: Page[], picture: Outside['picture']): StyledSite {
  const shown = pages.map((page) => new Instances(doc, page.id))
  const needs = fontNeeds(doc, shown)
  const fontOf = (id: string) => handedOffFor(id, needs.varied)
  const fonts = declaredOrder([...needs.ids].map(fontOf))
  const there = new Set(fonts.map(({ family }) => family))
  const styler = new SiteStyler(doc, { picture, families: there })
  for (const instances of shown) styler.page(instances)
  const { classes, marks } = styler
  const rules = [...styler.rules.values()].flatMap(({ closed, ...rule }) =>
    closed ? [rule, { ...closed, className: `${rule.className}${CLOSED}` }] : [rule],
  )
  const backgrounds = pageBackgrounds(doc, pages)
  const parts = [
    fonts.map(fontFace).join('\n'),
    rootRule(doc, there),
    ...themeRules(doc, backgrounds.isSomeWhite, there),
    backgrounds.css,
    RESET,
    ...(fonts.some(({ isEastAsian }) => isEastAsian) ? [WHOLE_SIGNS] : []),
    ...(rules.some(({ className }) => className.endsWith(CLOSED)) ? [PANELS] : []),
    rulesText([...styler.types].map(([name, declarations]) => [`.${name}`, declarations])),
    rulesText(rules.map(({ className, base }) => [`.${className}`, base])),
    [...marks].map(([selector, declaration]) => `${selector} {\n  ${declaration};\n}`).join('\n\n'),
    ...doc.views.slice(1).map((view, i) => mediaText(doc, doc.views[i]!, view, rules, there)),
    plainBordersText(doc, rules),
  ]
  if (shown.some(isReordered))
    parts.push(
      `.${ORDERED_CLASS} {\n  display: flex;\n  flex-direction: column;\n}\n\n.${ORDERED_CLASS} > main {\n  display: contents;\n}`,
    )
  return { css: `${parts.filter(Boolean).join('\n\n')}\n`, classes, marks: backgrounds.marks, fonts, fontOf }
}

function fontFace(file: FontFile): string {
  return `@font-face {
  font-family: ${cssString(file.family)};
  font-style: ${file.italic ? 'italic' : 'normal'};
  font-weight: ${[...new Set(file.weights)].join(' ')};
  font-display: swap;
  src: url("fonts/${file.id}.woff2") format("woff2");${file.ranges ? `\n  unicode-range: ${file.ranges};` : ''}
}`
}

const viewProperties = ({ lattice }: View): [string, string][] => [
  ...latticeProperties(lattice),
  ['--baseline', unit(lattice.baseline)],
]

function rootRule(doc: Document, there: ReadonlySet<string>): string {
  const lines = rootTokens(doc, there)
  for (const [property, value] of viewProperties(doc.views[0]!)) lines.push(`${property}: ${value}`)
  return `:root {\n${lines.map((line) => `  ${line};`).join('\n')}\n}`
}

function mediaText(
  doc: Document,
  wider: View,
  view: View,
  rules: readonly Rule[],
  there: ReadonlySet<string>,
): string {
  const root: Declarations = new Map([...viewProperties(view), ...changedInView(doc, wider, view, there)])
  const inner = rulesText([[':root', root], ...changesIn(view, rules)], '  ')
  return `/* ${cssComment(view.name)} */\n${mediaOf(view)} {\n${inner}\n}`
}

const mediaOf = (view: View) => `@media (max-width: ${px(view.breakpoint!)})`

const changesIn = (view: View, rules: readonly (Cascade & { className: string })[]) =>
  rules.flatMap(({ className, changes }) => {
    const change = changes.get(view.id)
    return change ? [[`.${className}`, change] as const] : []
  })

/** For browsers that do not fill borders; it comes last, and says all views once more. */
function plainBordersText({ views }: Document, rules: readonly Rule[]): string {
  const plain = rules.flatMap(({ className, plain }) => (plain ? [{ className, ...plain }] : []))
  if (plain.length === 0) return ''
  const base = rulesText(
    plain.map(({ className, base }) => [`.${className}`, base]),
    '  ',
  )
  const narrower = views.slice(1).flatMap((view) => {
    const changed = changesIn(view, plain)
    return changed.length > 0 ? [`  ${mediaOf(view)} {\n${rulesText(changed, '    ')}\n  }`] : []
  })
  return `${PLAIN_BORDERS} {\n${[base, ...narrower].join('\n\n')}\n}`
}
