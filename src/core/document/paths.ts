/** Page paths: where a page lies on the site. */

/** One slash in front, one between folders, none at the end: `//a//b/` → `/a/b`. */
export const tidyPath = (path: string) => `/${path.split('/').filter(Boolean).join('/')}`

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
