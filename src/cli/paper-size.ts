/** What the browser has printed, on paper of its page's own size. */
import { PDFArray, PDFDict, PDFDocument, PDFName, PDFNumber, type PDFPage, PDFStream } from '@cantoo/pdf-lib'

/** Points of a CSS px (CSS Values 4 §6.2). */
export const POINTS = 0.75

/**
 * @param size of the page, px @param scale how many times as large it was printed
 * @returns the PDF at 0.75 pt a px, with its links: paper that was printed on is whole points large, and a little larger
 */
export async function onOwnPaper(
  pdf: Uint8Array,
  size: { width: number; height: number },
  scale: number,
): Promise<Uint8Array> {
  const printed = await PDFDocument.load(pdf, { updateMetadata: false })
  printed.setCreator('Just Lattice')
  const page = printed.getPage(0)
  const [width, height] = [size.width * POINTS, size.height * POINTS]
  // A page hangs from the paper's top; a PDF counts from its foot.
  moved(page, 1 / scale, height - page.getHeight() / scale)
  page.setMediaBox(0, 0, width, height)
  return printed.save({ useObjectStreams: false })
}

/** Makes everything on a page `by` times as large, and moves it up by so many points. */
function moved(page: PDFPage, by: number, up: number) {
  page.scaleContent(by, by)
  page.translateContent(0, up)
  page.scaleAnnotations(by, by)
  for (const annotation of page.node.Annots()?.asArray() ?? []) {
    const rect = page.doc.context.lookup(annotation, PDFDict).lookup(PDFName.of('Rect'), PDFArray)
    const { x, y, width, height } = rect.asRectangle()
    setNumbers(rect, [x, y + up, x + width, y + up + height])
  }
  movePatterns(page, by, up)
}

/** Patterns lie in the page's own space, whatever is in front of its content (ISO 32000-2, 8.7.2). */
function movePatterns(page: PDFPage, by: number, up: number) {
  const patterns = page.node.Resources()?.lookupMaybe(PDFName.of('Pattern'), PDFDict)
  for (const [, reference] of patterns?.entries() ?? []) {
    const pattern = page.doc.context.lookup(reference)
    const dict = pattern instanceof PDFStream ? pattern.dict : (pattern as PDFDict)
    const matrix = dict.lookupMaybe(PDFName.of('Matrix'), PDFArray)
    const [a, b, c, d, e, f] = matrix ? numbersOf(matrix) : [1, 0, 0, 1, 0, 0]
    const next = [a! * by, b! * by, c! * by, d! * by, e! * by, f! * by + up]
    dict.set(PDFName.of('Matrix'), page.doc.context.obj(next))
  }
}

const numbersOf = (array: PDFArray): number[] =>
  array.asArray().map((_, i) => array.lookup(i, PDFNumber).asNumber())

function setNumbers(array: PDFArray, numbers: readonly number[]) {
  for (const [i, number] of numbers.entries()) array.set(i, PDFNumber.of(number))
}
