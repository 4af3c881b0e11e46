/** Nodes of a cluster that go, and come back before they are ready. */
import type { Pool } from 'mysql2/promise'
import { expect, test } from 'vitest'
import { isUnreachable } from '../problem'
import { poolOfNodes } from './nodes'

const failing = (code: string) => Object.assign(new Error(code), { code })

/** A node that answers with its name, or as it is told. */
function node(name: string) {
  const state = { problem: undefined as string | undefined, asked: 0 }
  const query = async () => {
    state.asked++
    if (state.problem) throw failing(state.problem)
    return [[{ name }]]
  }
  const connection = { query, execute: query, release: () => undefined }
  return {
    state,
    pool: { getConnection: async () => connection, end: async () => undefined } as unknown as Pool,
  }
}
const nameOf = (answer: unknown) => (answer as [[{ name: string }]])[0][0].name

test('what a node that is not ready yet is asked, the next one answers', async () => {
  const [one, two] = [node('one'), node('two')]
  const pool = poolOfNodes([one.pool, two.pool])
  one.state.problem = 'ER_UNKNOWN_COM_ERROR'
  expect(nameOf(await pool.query('SELECT 1'))).toBe('two')
  // It is left alone for a while.
  const { asked } = one.state
  expect(nameOf(await pool.execute('SELECT 1'))).toBe('two')
  expect(one.state.asked).toBe(asked)
})

test('when none is ready, that is said as a database that cannot be reached', async () => {
  const [one, two] = [node('one'), node('two')]
  one.state.problem = two.state.problem = 'ER_UNKNOWN_COM_ERROR'
  const error = await poolOfNodes([one.pool, two.pool])
    .query('SELECT 1')
    .then(
      () => undefined,
      (problem: unknown) => problem as { code: string },
    )
  expect(isUnreachable(error)).toBe(true)
})

test('what may have been done is not asked of another', async () => {
  const [one, two] = [node('one'), node('two')]
  one.state.problem = 'ECONNRESET'
  await expect(poolOfNodes([one.pool, two.pool]).query('UPDATE t SET a = a + 1')).rejects.toThrow(
    'ECONNRESET',
  )
  expect(two.state.asked).toBe(0)
})
