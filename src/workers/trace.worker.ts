/** Looking for edges in a picture, off the main thread. */
import { type Picture, type TracedEdges, traceEdges } from '../core/arrange/trace'

export type TraceMessage = { progress: number } | { edges: TracedEdges }

addEventListener('message', (event: MessageEvent<Picture>) => {
  const say = (message: TraceMessage) => postMessage(message)
  say({ edges: traceEdges(event.data, (progress) => say({ progress })) })
})
