/** Files of earlier versions, brought up to date one version after the other. */
import { fromBase64 } from '../blobs/base64'
import { nameOf } from '../blobs/blobs'
import { type Looked, looksOfBefore } from '../properties/earlier'
import { FormatError } from './format-error'

type Taken = Map<string, Uint8Array>

/** @param value a file of version n @param taken gets the bytes that were in it @returns a file of version n + 1 */
type Step = (value: Record<string, unknown>, taken: Taken) => Record<string, unknown>

/** By the version that they bring on. */
const STEPS: Readonly<Record<number, Step>> = {
  /** Pictures lay in the file as text. */
  1: (value, taken) => ({
    ...value,
    assets: Array.isArray(value.assets)
      ? value.assets.map((asset, i) => pictureApart(asset, taken, `assets[${i}].data`))
      : value.assets,
  }),
  /** There were no templates, and looks were written otherwise. */
  2: (value) => {
    const views = Array.isArray(value.views) ? (value.views as { id: string }[]) : []
    const pages = Array.isArray(value.pages) ? value.pages : []
    return { ...value, pages: pages.map((page) => withSections(page, views)) }
  },
}

type Blocks = { props?: unknown; overrides?: unknown; children?: unknown; sections?: unknown }

const isBlock = (value: unknown): value is Blocks => typeof value === 'object' && value !== null

function withSections(page: unknown, views: readonly { id: string }[]): unknown {
  if (!isBlock(page) || !Array.isArray(page.sections)) return page
  return { ...page, sections: page.sections.map((section) => treeOfBefore(section, views)) }
}

/** A tree with its looks as they are now. What is none is left for who checks it. @param views widest first */
export function treeOfBefore(tree: unknown, views: readonly { id: string }[]): unknown {
  if (!isBlock(tree) || !isBlock(tree.props)) return tree
  const overrides = isBlock(tree.overrides) && Object.values(tree.overrides).every(isBlock)
  const looks = { ...tree, ...(overrides ? {} : { overrides: undefined }) } as unknown as Looked
  const { overrides: changed, ...own } = looksOfBefore(looks, views)
  const children = Array.isArray(tree.children)
    ? { children: tree.children.map((child) => treeOfBefore(child, views)) }
    : {}
  const given = tree.overrides === undefined ? {} : { overrides: overrides ? changed : tree.overrides }
  return { ...own, ...given, ...children }
}

/** A picture that holds its bytes, as files and edits did, made one that names them. What is none is left as it is. */
export function pictureApart(asset: unknown, taken: Taken, path = 'data'): unknown {
  if (typeof asset !== 'object' || asset === null || !('data' in asset)) return asset
  const { data, ...rest } = asset
  const bytes = typeof data === 'string' ? fromBase64(data) : undefined
  if (!bytes) throw new FormatError(path, 'expected base64')
  const name = nameOf(bytes)
  taken.set(name.hash, bytes)
  return { ...rest, ...name }
}

/** @returns the value as a file of today's version; what is no file is left for who checks it @throws FormatError */
export function upToDate(value: unknown, taken: Taken): unknown {
  if (typeof value !== 'object' || value === null) return value
  let file = value as Record<string, unknown>
  for (let step = STEPS[file.version as number]; step; step = STEPS[file.version as number])
    file = { ...step(file, taken), version: (file.version as number) + 1 }
  return file
}
