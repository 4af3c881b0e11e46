/** Cleans SVG pictures on the server: DOMPurify on a DOM of its own, loaded when the first one comes. */
import type { WindowLike } from 'dompurify'
import { Document } from '../core/document/document'
import { cleanSvg, forPictures } from '../core/handoff/svg-policy'

let cleaner: Promise<(svg: string) => string | undefined> | undefined

async function make() {
  const [{ JSDOM }, { default: createDOMPurify }] = await Promise.all([import('jsdom'), import('dompurify')])
  const { window } = new JSDOM('')
  const purify = forPictures(createDOMPurify(window as unknown as WindowLike))
  const writer = new window.XMLSerializer()
  return (svg: string) => cleanSvg(purify, (node) => writer.serializeToString(node), svg)
}

/** @returns the picture without anything that runs or reaches out; an empty one when nothing is left */
export async function cleanPicture(svg: string): Promise<string> {
  cleaner ??= make()
  return (await cleaner)(svg) ?? '<svg xmlns="http://www.w3.org/2000/svg" width="1" height="1"/>'
}

/** The same project with its SVG pictures cleaned: for whoever draws them with more than a browser's care. */
export async function withCleanPictures(doc: Document): Promise<Document> {
  const file = doc.toFile()
  const assets = await Promise.all(
    file.assets.map(async (asset) => {
      if (asset.type !== 'image/svg+xml') return asset
      const svg = await cleanPicture(Buffer.from(asset.data, 'base64').toString('utf8'))
      return { ...asset, data: Buffer.from(svg).toString('base64') }
    }),
  )
  return Document.fromFile({ ...file, assets })
}
