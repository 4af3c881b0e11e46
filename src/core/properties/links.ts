/**
 * Where links may lead. A link is a URI reference (RFC 3986): `https:`, `http:`, `mailto:`, `tel:`, relative to the page, or
 * `page:` and a page's id, so that a page can be renamed and moved without a link noticing.
 */
const SCHEMES = new Set(['http', 'https', 'mailto', 'tel'])
const PAGE = /^page:([A-Za-z0-9_-]{1,64})(#.*)?$/

/** What is wrong with a link, or undefined. Browsers drop control characters before they read a scheme: none are let in. */
export function linkProblem(link: string): string | undefined {
  // biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is looked for
  if (/[\u0000-\u001f\u007f-\u009f\u2028\u2029]/.test(link))
    return 'a link without line breaks or control characters'
  if (link.trim() !== link) return 'a link without spaces round it'
  if (PAGE.test(link)) return undefined
  const scheme = /^([a-z][a-z0-9+.-]*):/i.exec(link)?.[1]?.toLowerCase()
  if (scheme !== undefined && !SCHEMES.has(scheme))
    return `a link that begins with https:, http:, mailto:, tel:, / or #; “${scheme}:” is not handed off`
  if (/^[/\\]{2}|^\/?\\/.test(link)) return 'an address with https:// in front'
  return undefined
}

/** Whether a whole text is a link. */
export const isLinkText = (kind: string, { link, tag }: { link?: string; tag?: string }) =>
  kind === 'text' && (link !== undefined || tag === 'a')

/** The page that a link names by id, and what follows: `#part` or nothing. */
export function pageLinked(link: string): { page: string; rest: string } | undefined {
  const match = PAGE.exec(link)
  return match ? { page: match[1]!, rest: match[2] ?? '' } : undefined
}

export const linkToPage = (id: string, rest = '') => `page:${id}${rest}`

/** A link to a block by its id: that of a button opens it, where it is behind one. */
export const linkToBlock = (id: string) => `#${id}`
/** The id of such a link, of a block that may not be there. */
export const blockLinked = (link: string) => (link.startsWith('#') ? link.slice(1) : undefined)

/** A link as typed: a path that is a page's becomes that page's id. */
export function linkFrom(pages: Iterable<{ id: string; path: string }>, typed: string): string {
  const [, path, rest = ''] = /^(\/[^#]*)(#.*)?$/.exec(typed) ?? []
  if (path === undefined) return typed
  for (const page of pages) if (page.path === path) return linkToPage(page.id, rest)
  return typed
}

/** A link as people read it: a page by its path. */
export function linkShown(pages: ReadonlyMap<string, { path: string }>, link: string): string {
  const linked = pageLinked(link)
  if (!linked) return link
  const page = pages.get(linked.page)
  return page ? `${page.path}${linked.rest}` : ''
}
