/** What texts are written with is a part of its own: fetched behind the board, or when a text is about to be written. */

const fetchWriting = () =>
  Promise.all([import('./typing'), import('../spec/selected-words')]).then(([typing]) => typing)
let fetched: ReturnType<typeof fetchWriting> | undefined

/** @throws when it cannot be had just now; the next call asks again */
export async function writing(): ReturnType<typeof fetchWriting> {
  fetched ??= fetchWriting()
  try {
    return await fetched
  } catch (error) {
    fetched = undefined
    throw error
  }
}
