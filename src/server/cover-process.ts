/** Draws covers in a process of its own. */
import { Document } from '../core/document/document'
import { answering } from './beside'
import { cover } from './pictures'
import type { PageFile } from './projects'

answering<PageFile>(({ file, blobs }) => cover({ doc: Document.fromFile(file), blobs }))
