/** `lattice conformance --hostile N`: what is handed off of hostile projects is opened in Chromium; it runs and fetches nothing. */

import type { BrowserContext } from '@playwright/test'
import fc from 'fast-check'
import { pageSvg } from '../../core/handoff/svg/page'
import { layoutPage } from '../../server/pictures'
import { launch } from '../browser'
import { handOff } from '../hand-off'
import { hostileProjects, openHostile } from './hostile-projects'

const SITE = 'http://site.test/'
const TYPES: Record<string, string> = {
  html: 'text/html; charset=utf-8',
  css: 'text/css',
  svg: 'image/svg+xml',
  woff2: 'font/woff2',
  json: 'application/json',
  txt: 'text/plain',
}
const SCHEMES = ['http:', 'https:', 'mailto:', 'tel:']

export type HostileResult = {
  documents: number
  refused: number
  pages: number
  pictures: number
  links: number
}

class Harm extends Error {
  override name = 'Harm'
}

/** A browser on one handed-off site, that sees everything it asks for. */
class Guard {
  asked: string[] = []
  files = new Map<string, Uint8Array>()
  private constructor(readonly context: BrowserContext) {}

  static async open(): Promise<{ guard: Guard; close: () => Promise<void> }> {
    const browser = await launch()
    const context = await browser.newContext()
    const guard = new Guard(context)
    await context.route('**', (route) => {
      const { url } = { url: route.request().url() }
      guard.asked.push(url)
      const path = url.startsWith(SITE) ? decodeURIComponent(new URL(url).pathname.slice(1)) : undefined
      const body = path === undefined ? undefined : guard.files.get(path)
      if (!body) return route.abort()
      return route.fulfill({ body: Buffer.from(body), contentType: TYPES[path!.split('.').pop()!] })
    })
    return { guard, close: () => browser.close() }
  }

  /** Opens one file and whatever could begin to run in it. @throws Harm @returns how many links it has */
  async visit(path: string, script: boolean): Promise<number> {
    this.asked = []
    const page = await this.context.newPage()
    page.on('dialog', (dialog) => void dialog.dismiss())
    try {
      await page.goto(SITE + encodeURI(path), { waitUntil: 'load' })
      const { harmed, schemes, handlers } = await page.evaluate(() => {
        for (const element of document.querySelectorAll('*')) {
          element.dispatchEvent(new Event('click', { bubbles: true }))
          ;(element as HTMLElement).focus?.()
        }
        return {
          harmed: (window as unknown as { harmed?: number }).harmed,
          schemes: [...document.links].map((link) => (link as HTMLAnchorElement).protocol),
          handlers: [...document.querySelectorAll('*')].flatMap((element) =>
            element.getAttributeNames().filter((name) => name.startsWith('on')),
          ),
        }
      })
      if (harmed) throw new Harm(`${path}: a script ran${script ? ' with the policy taken out' : ''}`)
      if (handlers.length > 0) throw new Harm(`${path}: has ${handlers.join(', ')}`)
      const wrong = schemes.find((scheme) => !SCHEMES.includes(scheme))
      if (wrong) throw new Harm(`${path}: a link leads to ${wrong}`)
      const out = this.asked.find((url) => !url.startsWith(SITE))
      if (out) throw new Harm(`${path}: asked for ${out}`)
      const missing = this.asked.find(
        (url) => !this.files.has(decodeURIComponent(new URL(url).pathname.slice(1))),
      )
      if (missing) throw new Harm(`${path}: asked for ${missing}, which is not handed off`)
      return schemes.length
    } finally {
      await page.close()
    }
  }
}

/** Without the policy, so that it is the writing itself that is tested. */
const withoutPolicy = (html: Uint8Array) =>
  Buffer.from(
    Buffer.from(html)
      .toString('utf8')
      .replace(/ *<meta http-equiv="Content-Security-Policy"[^>]*>\n/, ''),
  )

function checkPaths(files: ReadonlyMap<string, Uint8Array>) {
  for (const path of files.keys()) {
    const parts = path.split('/')
    if (
      parts.some(
        (part) => !/^[A-Za-z0-9_-][A-Za-z0-9._-]*~?(\.[a-z0-9]+)?$/.test(part) || part.includes('..'),
      )
    )
      throw new Harm(`the path ${JSON.stringify(path)}`)
  }
  if (new Set([...files.keys()].map((path) => path.toLowerCase())).size < files.size)
    throw new Harm('two files of one path')
}

/** Opens every page and picture of hostile projects. @throws Error with the project's number when anything of it does harm */
export async function hostile(
  count: number,
  seed: number,
  progress: (done: number) => void,
): Promise<HostileResult> {
  const result: HostileResult = { documents: 0, refused: 0, pages: 0, pictures: 0, links: 0 }
  const { guard, close } = await Guard.open()
  try {
    for (const { file, blobs } of fc.sample(hostileProjects, { numRuns: count, seed })) {
      try {
        const { doc, refused } = openHostile(file)
        if (refused) result.refused++
        const files = await handOff(doc, blobs)
        checkPaths(files)
        const open = result.documents % 2 === 0
        guard.files = open
          ? new Map(
              [...files].map(([path, body]) => [path, path.endsWith('.html') ? withoutPolicy(body) : body]),
            )
          : files
        const picture = pageSvg(doc, await layoutPage({ doc, blobs }, doc.pagesInOrder()[0]!.id), blobs)
        guard.files.set('page.svg', Buffer.from(picture))
        for (const path of guard.files.keys()) {
          if (!/\.(html|svg)$/.test(path)) continue
          result.links += await guard.visit(path, open)
          result[path.endsWith('.html') ? 'pages' : 'pictures']++
        }
      } catch (error) {
        throw new Error(`document ${result.documents} of seed ${seed}: ${(error as Error).message}`, {
          cause: error,
        })
      }
      if (++result.documents % 20 === 0) progress(result.documents)
    }
  } finally {
    await close()
  }
  return result
}
