/** Cleans SVG pictures on the server: DOMPurify on a DOM of its own, loaded when the first one comes. */
import type { WindowLike } from 'dompurify'
import { cleanSvg, forPictures } from '../core/handoff/svg-policy'

type Cleaner = {
  clean(svg: string): string | undefined
  /** The same, read and written the same way, with everything left in. */
  asItIs(svg: string): string | undefined
}

let cleaner: Promise<Cleaner> | undefined

async function make(): Promise<Cleaner> {
  const [{ JSDOM }, { default: createDOMPurify }] = await Promise.all([import('jsdom'), import('dompurify')])
  const { window } = new JSDOM('')
  const purify = forPictures(createDOMPurify(window as unknown as WindowLike))
  const writer = new window.XMLSerializer()
  return {
    clean: (svg) => cleanSvg(purify, (node) => writer.serializeToString(node), svg),
    asItIs: (svg) => {
      const root = new window.DOMParser().parseFromString(svg, 'text/html').querySelector('svg')
      return root ? writer.serializeToString(root) : undefined
    },
  }
}

const theCleaner = () => {
  cleaner ??= make()
  return cleaner
}

/** @returns the picture without anything that runs or reaches out; an empty one when nothing is left */
export async function cleanPicture(svg: string): Promise<string> {
  return (await theCleaner()).clean(svg) ?? '<svg xmlns="http://www.w3.org/2000/svg" width="1" height="1"/>'
}

/** Whether there is nothing in a picture that cleaning it would take out: no document type or instruction before it either. */
export async function isClean(svg: string): Promise<boolean> {
  if (!/^<svg[\s>]/.test(svg)) return false
  const { clean, asItIs } = await theCleaner()
  const cleaned = clean(svg)
  return cleaned !== undefined && cleaned === asItIs(svg)
}

/** An SVG picture as it may be kept: as it is when there is nothing to clean. */
export const harmless = async (svg: string): Promise<string> =>
  (await isClean(svg)) ? svg : cleanPicture(svg)
