/** Makes photographs smaller in a process of its own: what is in them may be anything. */
import { answering } from './beside'
import { type Photograph, webp } from './webp'

answering<Photograph>(webp)
