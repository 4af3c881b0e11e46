/** What the browser has printed, on paper of its page's own size. */
import { PDFDocument } from '@cantoo/pdf-lib'

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
  if (scale !== 1) page.scale(1 / scale, 1 / scale)
  const height = size.height * POINTS
  // A page hangs from the paper's top; a PDF counts from its foot.
  page.setMediaBox(0, page.getHeight() - height, size.width * POINTS, height)
  return printed.save({ useObjectStreams: false })
}
