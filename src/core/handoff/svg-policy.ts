/**
 * What a picture in SVG may hold when it is handed off: shapes, paint and text. No script, nothing that is run by an event, no
 * other document's elements, nothing fetched from elsewhere. The parsing and the list of harmless elements are DOMPurify's.
 */

type Cleaner = {
  sanitize(dirty: string, options: object): unknown
  addHook(name: 'uponSanitizeAttribute', hook: (node: unknown, data: AttributeData) => void): void
  addHook(name: 'uponSanitizeElement', hook: (node: ElementLike) => void): void
}
type ElementLike = { nodeName: string; textContent: string | null }
type AttributeData = { attrName: string; attrValue: string; keepAttr: boolean }

const OPTIONS = {
  USE_PROFILES: { svg: true, svgFilters: true },
  ADD_TAGS: ['use'],
  // What an element that goes held goes with it.
  KEEP_CONTENT: false,
  RETURN_DOM: true,
}

/** Only parts of the same picture, and pictures that are written out. */
const isOwnAddress = (value: string) =>
  /^#/.test(value) || /^data:image\/(png|jpeg|webp|gif);base64,[A-Za-z0-9+/=\s]*$/.test(value)

/** Presentation attributes and style sheets reach out by `url()` only, which may be spelled with escapes. */
const reachesOut = (value: string) =>
  /\\|@import|image-set|src\s*\(/i.test(value) || /url\s*\(\s*["']?(?!#)/i.test(value)

/** Makes a cleaner (`DOMPurify(window)`) one for pictures. */
export function forPictures<C extends Cleaner>(cleaner: C): C {
  cleaner.addHook('uponSanitizeAttribute', (_, data) => {
    const name = data.attrName.toLowerCase()
    if (name === 'href' || name === 'xlink:href') data.keepAttr &&= isOwnAddress(data.attrValue.trim())
    else if (reachesOut(data.attrValue)) data.keepAttr = false
  })
  cleaner.addHook('uponSanitizeElement', (node) => {
    if (node.nodeName.toLowerCase() === 'style' && reachesOut(node.textContent ?? '')) node.textContent = ''
  })
  return cleaner
}

/**
 * A picture with only what it may hold.
 * @param serialize a DOM node as XML
 * @returns undefined when nothing of an SVG picture is left
 */
export function cleanSvg(
  cleaner: Cleaner,
  serialize: (node: never) => string,
  svg: string,
): string | undefined {
  const body = cleaner.sanitize(svg, OPTIONS) as { querySelector(selector: string): unknown }
  const root = body.querySelector('svg')
  return root ? serialize(root as never) : undefined
}
