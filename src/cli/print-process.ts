/** Prints pages as PDF in a process of its own: it starts a browser, where there is one. */
import { Document } from '../core/document/document'
import { answering } from '../server/beside'
import { layoutPage } from '../server/pictures'
import type { PrintRequest } from '../server/prints'
import { openPrinter, type Printer } from './print'

let printer: Promise<Printer> | undefined

answering<PrintRequest>(async ({ file, blobs, page, view, theme }) => {
  printer ??= openPrinter()
  const doc = Document.fromFile(file)
  const layout = await layoutPage({ doc, blobs }, page, doc.view(view).width, theme)
  return (await printer).pdf({ doc, blobs, layout })
})
