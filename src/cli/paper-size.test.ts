/** Every sheet is printed at one scale, whatever its width, with its links and gradients where they are. */
import { PDFArray, PDFDict, PDFDocument, PDFName } from '@cantoo/pdf-lib'
import { expect, test } from 'vitest'
import { onOwnPaper } from './paper-size'

/** As the browser prints: whole points, larger than the page, a link at the top left. */
async function printed(scale: number): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  const page = pdf.addPage([585.12, 900])
  page.drawRectangle({ x: 0, y: 800, width: 100, height: 100 })
  const link = pdf.context.obj({
    Type: 'Annot',
    Subtype: 'Link',
    Rect: [0, 900 - 40 * scale, 80 * scale, 900],
  })
  page.node.addAnnot(pdf.context.register(link))
  const pattern = pdf.context.obj({ PatternType: 2, Matrix: [0.5, 0, 0, -0.5, 0, 900] })
  page.node.Resources()!.set(PDFName.of('Pattern'), pdf.context.obj({ P0: pdf.context.register(pattern) }))
  return pdf.save()
}

test.each([1, 2])('printed %i times as large: 0.75 pt a px, cut at the foot', async (scale) => {
  const size = { width: 585 / 0.75 / scale, height: 800 / 0.75 / scale }
  const pdf = await PDFDocument.load(await onOwnPaper(await printed(scale), size, scale))
  const page = pdf.getPage(0)
  const { x, y, width, height } = page.getMediaBox()
  expect([x, y, width, height]).toEqual([0, 0, size.width * 0.75, size.height * 0.75])
  const annots = page.node.lookup(PDFName.of('Annots'), PDFArray)
  const rect = annots.lookup(0, PDFDict).lookup(PDFName.of('Rect'), PDFArray)
  expect(rect.asRectangle()).toMatchObject({ x: 0, width: 80, height: 40 })
  expect(rect.asRectangle().y + 40).toBeCloseTo(height)
  const patterns = page.node.Resources()!.lookup(PDFName.of('Pattern'), PDFDict)
  const matrix = patterns.lookup(PDFName.of('P0'), PDFDict).lookup(PDFName.of('Matrix'), PDFArray)
  const numbers = matrix.asArray().map(Number)
  // It begins at the paper's top, as the page does.
  expect(numbers.slice(0, 5)).toEqual([0.5 / scale, 0, 0, -0.5 / scale, 0])
  expect(numbers[5]).toBeCloseTo(height)
  expect(pdf.getCreator()).toBe('Just Lattice')
})
