import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { whenIdle } from './when-idle'

beforeEach(() => {
  vi.useFakeTimers()
  vi.stubGlobal('document', { fonts: { ready: Promise.resolve() } })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

/** A browser that never says that it is idle: it calls back only what has a time limit. */
function neverIdle() {
  const asked = new Map<number, ReturnType<typeof setTimeout>>()
  vi.stubGlobal('requestIdleCallback', (then: () => void, limit?: IdleRequestOptions) => {
    const id = asked.size + 1
    if (limit?.timeout) asked.set(id, setTimeout(then, limit.timeout))
    return id
  })
  vi.stubGlobal('cancelIdleCallback', (id: number) => clearTimeout(asked.get(id)))
}

test('it is done, too, in a browser that never says that it is idle', async () => {
  neverIdle()
  const done = vi.fn()
  whenIdle(done)
  await vi.advanceTimersByTimeAsync(60_000)
  expect(done).toHaveBeenCalledOnce()
})

test('who no longer waits is not called: before the fonts are there, before the screen is seen, before it is idle', async () => {
  neverIdle()
  const done = vi.fn()
  whenIdle(done)()
  for (const waited of [0, 300, 600]) {
    const stop = whenIdle(done)
    await vi.advanceTimersByTimeAsync(waited)
    stop()
  }
  await vi.advanceTimersByTimeAsync(60_000)
  expect(done).not.toHaveBeenCalled()
})
