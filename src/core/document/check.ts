/** What a project may be: the schema, and what no schema can say. A message names the place and the reason. */
import * as v from 'valibot'
import { type Kind, mayHoldKind } from '../properties/kinds'
import { linkFrom } from '../properties/links'
import { inOrder } from '../properties/order-keys'
import { FormatError } from './format-error'
import { problemOfFamily } from './own-families'
import { tidyPath } from './paths'
import { picturesOf } from './picture-uses'
import { checkPlain } from './plain'
import {
  AssetSchema,
  FORMAT,
  MAX_DEPTH,
  NodeOwnSchema,
  type NodeTree,
  type PageFile,
  PageOwnSchema,
  type ProjectFile,
  ProjectSchema,
  VERSION,
} from './schema'
import { problemOf } from './tokens'
import type { Tree } from './tree'
import { treeWithLinks } from './tree-links'

function pathOf(prefix: string, issue: v.BaseIssue<unknown>): string {
  let path = prefix
  for (const step of issue.path ?? []) {
    const key = step.key
    path += typeof key === 'number' ? `[${key}]` : path ? `.${String(key)}` : String(key)
  }
  return path
}

export function shown(value: unknown): string {
  if (value === undefined) return 'nothing'
  const text = JSON.stringify(value) ?? String(value)
  return text.length > 60 ? `${text.slice(0, 57)}…` : text
}

/** Checks `value` and turns the first issue into a FormatError at `prefix`. */
export function check<S extends v.GenericSchema>(schema: S, value: unknown, prefix = ''): v.InferOutput<S> {
  const result = v.safeParse(schema, value, { abortPipeEarly: true })
  if (result.success) return result.output
  const deepest = (issue: v.BaseIssue<unknown>): v.BaseIssue<unknown> => {
    // In a union, the branch that got furthest says most; a plain type mismatch says least.
    const inner = issue.issues?.filter((candidate) => candidate.path && candidate.path.length > 0)
    return inner && inner.length > 0 ? inner[0]! : issue
  }
  const issue = result.issues[0]
  const at = issue.type === 'variant' ? issue : deepest(issue)
  const own = at.type === 'strict_object' && at.expected === 'never'
  const expected = own
    ? 'no such property'
    : /^[A-Z]/.test(at.message)
      ? `expected ${at.expected ?? at.message}`
      : `expected ${at.message}`
  const found = own ? '' : `, found ${shown(at.input)}`
  throw new FormatError(
    pathOf(at === issue ? prefix : pathOf(prefix, issue), at),
    own ? `${shown(lastKey(at))} is not a property known here` : expected + found,
  )
}

const lastKey = (issue: v.BaseIssue<unknown>) => issue.path?.at(-1)?.key

class TreeReader {
  readonly ids = new Map<string, string>()
  constructor(
    private readonly assets: ReadonlySet<string>,
    private readonly views: ReadonlySet<string>,
  ) {}

  claim(id: string, path: string) {
    const first = this.ids.get(id)
    if (first !== undefined)
      throw new FormatError(`${path}.id`, `the id ${shown(id)} stands twice, first at ${first}`)
    this.ids.set(id, path)
  }

  read(value: unknown, path: string, parent: Kind, depth: number): NodeTree {
    if (depth > MAX_DEPTH) throw new FormatError(path, `blocks nest deeper than ${MAX_DEPTH} levels`)
    const own = check(NodeOwnSchema, value, path)
    const { children, ...rest } = own
    if (!mayHoldKind(parent, own.kind))
      throw new FormatError(`${path}.kind`, `a ${parent} cannot hold a ${own.kind}`)
    this.claim(own.id, path)
    for (const [view, props] of [['', own.props] as const, ...Object.entries(own.overrides ?? {})]) {
      const where = view ? `${path}.overrides.${view}` : `${path}.props`
      if (view && !this.views.has(view)) throw new FormatError(where, `there is no view ${shown(view)}`)
      for (const picture of picturesOf(props))
        if (!this.assets.has(picture))
          throw new FormatError(
            picture === props.asset ? `${where}.asset` : `${where}.fills`,
            `there is no asset ${shown(picture)} in this file`,
          )
    }
    if (!children) return rest as NodeTree
    return {
      ...rest,
      children: children.map((child, i) => this.read(child, `${path}.children[${i}]`, own.kind, depth + 1)),
    } as NodeTree
  }
}

/** Checks trees that are to be put together under a node of kind `parent`, `depth` levels down. @throws FormatError */
export function checkTrees(values: readonly unknown[], parent: Kind, depth: number, doc: Tree): NodeTree[] {
  const reader = new TreeReader(new Set(doc.assets.keys()), new Set(doc.views.map((view) => view.id)))
  const trees = values.map((value) => reader.read(value, 'tree', parent, depth))
  for (const id of reader.ids.keys()) {
    if (doc.nodes.has(id)) throw new FormatError('tree', `the id ${shown(id)} is already taken`)
  }
  return trees
}

/** Checks parsed JSON of today's version. @throws FormatError naming the place and the reason. */
export function checkProject(value: unknown): ProjectFile {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    throw new FormatError('', `expected a project object, found ${shown(value)}`)
  }
  const { format, version } = value as { format?: unknown; version?: unknown }
  if (format !== FORMAT) throw new FormatError('format', `expected ${shown(FORMAT)}, found ${shown(format)}`)
  if (typeof version === 'number' && version > VERSION) {
    throw new FormatError(
      'version',
      `this file is of version ${version}, newer than the ${VERSION} this program reads; update the program`,
    )
  }
  checkPlain(value)
  const project = check(ProjectSchema, withTidyPaths(value))
  const once = (list: { id: string }[], path: string) => {
    const seen = new Set<string>()
    list.forEach((item, i) => {
      if (seen.has(item.id))
        throw new FormatError(`${path}[${i}].id`, `the id ${shown(item.id)} stands twice`)
      seen.add(item.id)
    })
    return seen
  }
  const views = once(project.views, 'views')
  checkViews(project.views)
  project.assets.forEach((asset, i) => {
    check(AssetSchema, asset, `assets[${i}]`)
  })
  const assets = once(project.assets, 'assets')
  const shownBy = (id: string | undefined, path: string) => {
    if (id !== undefined && !assets.has(id))
      throw new FormatError(path, `there is no asset ${shown(id)} in this file`)
  }
  shownBy(project.about?.icon, 'about.icon')
  project.pages.forEach(({ preview }, i) => {
    shownBy(preview, `pages[${i}].preview`)
  })
  once(project.themes ?? [], 'themes')
  once(project.fonts ?? [], 'fonts')
  once(project.looks ?? [], 'looks')
  project.fonts?.forEach((own, i) => {
    const problem = problemOfFamily(own, project.fonts!.slice(0, i))
    if (problem) throw new FormatError(`fonts[${i}]`, problem)
  })
  const tokens = problemOfTokens(project.tokens)
  if (tokens) throw tokens
  const reader = new TreeReader(assets, views)
  const paths = new Map<string, number>()
  const pages = project.pages.map((page, i) => {
    const path = `pages[${i}]`
    const own = check(PageOwnSchema, page, path)
    reader.claim(own.id, path)
    if (paths.has(own.path))
      throw new FormatError(
        `${path}.path`,
        `${shown(own.path)} is already the path of pages[${paths.get(own.path)}]`,
      )
    paths.set(own.path, i)
    for (const view of own.views)
      if (!views.has(view)) throw new FormatError(`${path}.views`, `there is no view ${shown(view)}`)
    own.aids?.forEach((aid, k) => {
      reader.claim(aid.id, `${path}.aids[${k}]`)
      if (aid.kind === 'tracing' && !assets.has(aid.asset))
        throw new FormatError(
          `${path}.aids[${k}].asset`,
          `there is no asset ${shown(aid.asset)} in this file`,
        )
    })
    const { sections, ...rest } = own
    for (const view of Object.values(own.changes ?? {}).flatMap((each) => Object.keys(each.overrides ?? {})))
      if (!views.has(view)) throw new FormatError(`${path}.changes`, `there is no view ${shown(view)}`)
    for (const { props, overrides = {} } of Object.values(own.changes ?? {}))
      for (const { asset } of [props, ...Object.values(overrides)])
        if (asset !== undefined && !assets.has(asset))
          throw new FormatError(`${path}.changes`, `there is no asset ${shown(asset)} in this file`)
    return {
      ...rest,
      sections: (sections ?? []).map((section, k) =>
        reader.read(section, `${path}.sections[${k}]`, 'page', 1),
      ),
    }
  })
  checkTemplates(pages)
  // Files of before name pages by their paths.
  const named = (tree: NodeTree) => treeWithLinks(tree, (link) => linkFrom(pages, link))
  return {
    ...project,
    pages: inOrder(pages.map((page) => ({ ...page, sections: page.sections.map(named) }))),
  }
}

/** Slots are templates', one in each; what a page stands on is a template, and in the end stands on nothing. @throws FormatError */
export function checkTemplates(pages: readonly PageFile[]) {
  const byId = new Map(pages.map((page) => [page.id, page]))
  pages.forEach((page, i) => {
    const path = `pages[${i}]`
    const slots = page.sections.filter(({ kind }) => kind === 'slot').length
    if (slots > (page.isTemplate ? 1 : 0))
      throw new FormatError(`${path}.sections`, 'a template has one slot, a page none')
    const problem = templateProblem(byId, page, page.template)
    if (problem) throw new FormatError(`${path}.template`, problem)
  })
}

/** Why a page cannot stand on a template, or undefined. */
export function templateProblem(
  pages: ReadonlyMap<string, Pick<PageFile, 'name' | 'isTemplate' | 'template'>>,
  page: { id: string; name: string },
  wanted: string | undefined,
): string | undefined {
  for (let id = wanted, steps = 0; id !== undefined; id = pages.get(id)?.template, steps++) {
    const template = pages.get(id)
    if (!template?.isTemplate) return `there is no template ${shown(id)}`
    if (id === page.id || steps > pages.size) return `“${page.name}” would stand on itself`
  }
  return undefined
}

/** Files of before may end a path with a slash, or have two in a row. */
function withTidyPaths(value: object): unknown {
  const { pages } = value as { pages?: unknown }
  if (!Array.isArray(pages)) return value
  const tidy = (page: unknown) => {
    const path = (page as { path?: unknown } | null)?.path
    return typeof path === 'string' && path.startsWith('/')
      ? { ...(page as object), path: tidyPath(path) }
      : page
  }
  return { ...value, pages: pages.map(tidy) }
}

function problemOfTokens(tree: Record<string, unknown>): FormatError | undefined {
  const message = problemOf(tree)
  if (!message) return undefined
  const at = message.indexOf(': ')
  return new FormatError(message.slice(0, at), message.slice(at + 2))
}

/** Views stand widest first; each but the first has a breakpoint, falling. @throws FormatError */
export function checkViews(views: ProjectFile['views']) {
  views.forEach((view, i) => {
    const path = `views[${i}]`
    if (i === 0) {
      if (view.breakpoint !== null)
        throw new FormatError(`${path}.breakpoint`, 'the widest view has none, expected null')
      return
    }
    const wider = views[i - 1]!
    if (view.width >= wider.width)
      throw new FormatError(
        `${path}.width`,
        `views stand widest first, but ${view.width} is not below ${wider.width}`,
      )
    if (view.breakpoint === null)
      throw new FormatError(`${path}.breakpoint`, 'expected the largest width at which this view applies')
    if (view.breakpoint < view.width)
      throw new FormatError(
        `${path}.breakpoint`,
        `expected at least the view's own width ${view.width}, found ${view.breakpoint}`,
      )
    if (view.breakpoint >= wider.width)
      throw new FormatError(
        `${path}.breakpoint`,
        `expected less than the wider view's width ${wider.width}, found ${view.breakpoint}`,
      )
  })
}

/**
 * A project from a source that keeps only what was checked before it was kept, as the server does: the frame is checked again, the
 * blocks in it are not. @throws FormatError
 */
export function checkedBefore(value: unknown): ProjectFile {
  return check(ProjectSchema, value) as ProjectFile
}
