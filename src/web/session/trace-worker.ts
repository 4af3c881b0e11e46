/** The edges of a tracing's picture, found in a worker and kept for the tab. */
import type { TracedEdges } from '../../core/arrange/trace'
import type { Asset } from '../../core/document/schema'
import type { TraceMessage } from '../../workers/trace.worker'
import { pixelsOf } from './picture-pixels'

/** Longest side that is looked at, px; larger pictures are made smaller first. */
const MOST = 2400

export type EdgeSearch = {
  /** 0 … 1 while it runs. */
  progress: number
  /** In px of the picture itself. */
  edges: TracedEdges | undefined
  problem: string | undefined
  cancel: () => void
}

const searches = new Map<string, EdgeSearch>()

const listeners = new Set<() => void>()
const changed = () => {
  for (const listener of listeners) listener()
}

/** Calls `listener` with every step of any search. @returns stops that */
export function onEdges(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Starts looking, or gives what is known. */
export function searchEdges(asset: Asset): EdgeSearch {
  const known = searches.get(asset.id)
  if (known) return known
  let worker: Worker | undefined
  const search: EdgeSearch = {
    progress: 0,
    edges: undefined,
    problem: undefined,
    cancel: () => {
      worker?.terminate()
      searches.delete(asset.id)
      changed()
    },
  }
  searches.set(asset.id, search)
  const fail = (reason: string) => {
    search.problem = reason
    changed()
  }
  pixelsOf(asset, MOST).then(
    ({ pixels, scale }) => {
      if (searches.get(asset.id) !== search) return
      worker = new Worker(new URL('../../workers/trace.worker.ts', import.meta.url), { type: 'module' })
      worker.onerror = (event) => fail(event.message || 'its edges could not be looked for')
      worker.onmessage = (event: MessageEvent<TraceMessage>) => {
        if ('edges' in event.data) {
          const own = (list: TracedEdges['x']) =>
            list.map(({ at, run }) => ({ at: at / scale, run: run / scale }))
          search.edges = { x: own(event.data.edges.x), y: own(event.data.edges.y) }
          worker?.terminate()
        } else search.progress = event.data.progress
        changed()
      }
      const { width, height, data } = pixels
      worker.postMessage({ width, height, data }, [data.buffer])
    },
    () => fail('the picture cannot be read'),
  )
  return search
}

export const edgesOf = (asset: string): TracedEdges | undefined => searches.get(asset)?.edges
