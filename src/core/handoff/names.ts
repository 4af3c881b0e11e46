/** File, class and custom property names for the handoff. */

import { pathPart } from './escape'

/** `Hero words` → `hero-words`; always a valid CSS identifier. */
export function slug(name: string, fallback = 'block'): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[̀-ͯ]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
  if (plain === '') return fallback
  return /^[0-9]/.test(plain) ? `${fallback}-${plain}` : plain
}

/** Custom property of a token: `{space.m}` → `--space-m`. */
export const customProperty = (reference: string) =>
  `--${reference
    .replace(/^\{|\}$/g, '')
    .split('.')
    .map((part) => slug(part, 'token'))
    .join('-')}`

/** Page path → file: `/` → `index.html`, `/catalogue` → `catalogue/index.html`. Always below the site's own folder. */
export const pageFileName = (path: string) =>
  [
    ...path
      .split('/')
      .filter((part) => /^[a-z0-9_-]+$/.test(part))
      .map(pathPart),
    'index.html',
  ].join('/')

/** `../` as often as a page's file lies deep. */
export const rootOf = (path: string) => '../'.repeat(pageFileName(path).split('/').length - 1)

/** What classes that are made by rule begin with, and those of blocks and type styles never. */
const MADE = 'is-'

/** The class of something that has no name of its own: `weight-450` → `is-weight-450`. */
export const madeClass = (name: string) => `${MADE}${name}`

/** Whether a name is of those. */
export const isMade = (name: string) => name.startsWith(MADE) || name === MADE.slice(0, -1)

/** The class that texts in a type style wear: `{type.heading}` → `type-heading`. */
export function typeClass(style: string): string {
  const name = customProperty(style).slice(2)
  return isMade(name) ? `type-${name}` : name
}

/** Classes by name and content: blocks that look the same and are named the same share one. */
export class ClassNames {
  private readonly bySignature = new Map<string, string>()
  private readonly used: Set<string>

  /** @param kept names that mean something else */
  constructor(kept: readonly string[] = []) {
    this.used = new Set(kept)
  }

  /** @param names what it may be called, the first that is free is taken @param kind for names without a letter */
  pick(names: readonly string[], signature: string, kind: string): string {
    const slugs = names
      .map((name) => slug(name, kind))
      .map((each) => (isMade(each) ? `${kind}-${each}` : each))
    const [base] = slugs
    const key = `${base} ${signature}`
    const known = this.bySignature.get(key)
    if (known) return known
    let candidate = slugs.find((each) => !this.used.has(each)) ?? base
    for (let n = 2; this.used.has(candidate!); n++) candidate = `${base}-${n}`
    this.used.add(candidate!)
    this.bySignature.set(key, candidate!)
    return candidate!
  }
}
