/** Doing what takes a while: said after a moment, and stopped when that is asked for. */
import type { Editor } from './editor-state'

/** What is done at once needs no words, ms. */
const SAID = 200

/**
 * @param left stops it, too
 * @returns undefined when it was stopped
 * @throws what `work` throws otherwise
 */
export async function busyWith<T>(
  editor: Editor,
  words: string,
  work: (signal: AbortSignal, say: (words: string) => void) => Promise<T>,
  left?: AbortSignal,
): Promise<T | undefined> {
  const stop = new AbortController()
  left?.addEventListener('abort', () => stop.abort())
  let now = words
  const others = () => editor.busy.filter((each) => each.stop !== stop)
  const show = () => editor.set({ busy: [...others(), { words: now, stop }] })
  const said = setTimeout(show, SAID)
  const over = () => {
    clearTimeout(said)
    if (editor.busy.some((each) => each.stop === stop)) editor.set({ busy: others() })
  }
  stop.signal.addEventListener('abort', over)
  const say = (next: string) => {
    now = next
    if (editor.busy.some((each) => each.stop === stop)) show()
  }
  try {
    const done = await work(stop.signal, say)
    return stop.signal.aborted ? undefined : done
  } catch (error) {
    if (stop.signal.aborted) return undefined
    throw error
  } finally {
    over()
  }
}
