/** Looking for edges in a picture, off the main thread. */
import { type TracedEdges, traceEdges } from '../core/arrange/trace'
import type { Pixels } from '../core/pictures/pixels'

export type TraceMessage = { progress: number } | { edges: TracedEdges }

addEventListener('message', (event: MessageEvent<Pixels>) => {
  const say = (message: TraceMessage) => postMessage(message)
  say({ edges: traceEdges(event.data, (progress) => say({ progress })) })
})
