/** Asking the layout worker; it is started when first asked. */
import type { Breakage } from '../../core/adapt/over-widths'
import type { Misfit } from '../../core/lattice/fit'
import type { LayoutRequest, LayoutResult } from '../../workers/layout.worker'

type Answer = { ready?: true; id: number; answer?: unknown; problem?: string }
const waiting = new Map<number, { resolve: (answer: never) => void; reject: (error: Error) => void }>()
let worker: Worker | undefined
let ready: Promise<void> | undefined
let last = 0

function start(): Worker {
  const made = new Worker(new URL('../../workers/layout.worker.ts', import.meta.url), { type: 'module' })
  let begin: () => void
  ready = new Promise((resolve) => {
    begin = resolve
  })
  made.addEventListener('message', (event: MessageEvent<Answer>) => {
    const { id, answer, problem } = event.data
    if (event.data.ready) return begin()
    const asked = waiting.get(id)
    waiting.delete(id)
    if (problem === undefined) asked?.resolve(answer as never)
    else asked?.reject(new Error(problem))
  })
  made.addEventListener('error', (event) => {
    for (const { reject } of waiting.values()) reject(new Error(event.message))
    waiting.clear()
    worker = undefined
  })
  return made
}

export function askLayout(request: Extract<LayoutRequest, { ask: 'misfits' }>): Promise<Misfit[]>
export function askLayout(
  request: Extract<LayoutRequest, { ask: 'breakages' }>,
  signal: AbortSignal,
): Promise<Breakage[]>
export function askLayout(request: Extract<LayoutRequest, { ask: 'layout' }>): Promise<LayoutResult>
export function askLayout(
  request: LayoutRequest,
  signal?: AbortSignal,
): Promise<Misfit[] | Breakage[] | LayoutResult> {
  worker ??= start()
  const id = ++last
  return new Promise((resolve, reject) => {
    waiting.set(id, { resolve, reject })
    void ready!.then(() => !signal?.aborted && worker?.postMessage({ id, request }))
    signal?.addEventListener('abort', () => {
      if (!waiting.delete(id)) return
      worker?.postMessage({ id, request: 'taken back' })
      reject(signal.reason)
    })
  })
}
