/** Page paths: where a page lies on the site. */

/** The path of the first page of a site. */
export const ROOT = '/'

/** `/seeds/beans` → `/seeds`; `/seeds` → `/`. */
export const folderOf = (path: string) => path.slice(0, path.lastIndexOf('/')) || ROOT

/** One slash in front, one between folders, none at the end: `//a//b/` → `/a/b`. */
export const tidyPath = (path: string) => `/${path.split('/').filter(Boolean).join('/')}`

/** Why a page cannot have a path, as a sentence; undefined: it can. @param own the id of the page itself */
export function pathProblem(
  pages: Iterable<{ id: string; name: string; path: string }>,
  path: string,
  own?: string,
): string | undefined {
  if (!/^\/[a-z0-9/_-]*$/.test(path))
    return 'The path is made of small letters, digits, - and /, and begins with /.'
  const taken = [...pages].find((page) => page.path === path && page.id !== own)
  return taken && `${path} is already the path of “${taken.name}”.`
}

/** A path that can be a page's, whatever was stored as one. */
export const safePath = (path: string) =>
  tidyPath(path.toLowerCase().replace(/[^a-z0-9/_-]+/g, '-')).slice(0, 400)

/** `path`, or when a page has it the first of `path-2`, `path-3` … that none has. */
export function freePath(taken: Iterable<{ path: string }>, path: string): string {
  const used = new Set([...taken].map((page) => page.path))
  let free = path
  for (let n = 2; used.has(free); n++) free = `${path === '/' ? '/home' : path}-${n}`
  return free
}
