/** One database that stands on several nodes of a cluster: asked is the first that answers, and another when it is gone. */
import type { Pool, PoolConnection } from 'mysql2/promise'

/** How long a node that failed is not asked again, ms. */
const REST = 2000

/** Codes that say that it is the node, not what was asked of it. */
const NODE_GONE =
  /^(ECONNREFUSED|ECONNRESET|ETIMEDOUT|EPIPE|EHOSTUNREACH|PROTOCOL_CONNECTION_LOST|ER_SERVER_SHUTDOWN|ER_UNKNOWN_COM_ERROR)$/

const isNodeGone = (error: unknown) => NODE_GONE.test((error as { code?: string } | undefined)?.code ?? '')

/** A node that has come back and is not part of the cluster yet takes connections, and answers whatever is asked with this (1047). */
const isNotReady = (error: unknown) =>
  (error as { code?: string } | undefined)?.code === 'ER_UNKNOWN_COM_ERROR'

type Node = { pool: Pool; badUntil: number }

/** A connection to a node. One that failed before is asked first whether it answers again. @throws when it does not */
async function answering(node: Node): Promise<PoolConnection> {
  const connection = await node.pool.getConnection()
  if (node.badUntil === 0) return connection
  try {
    await connection.query('SELECT 1')
  } catch (error) {
    connection.release()
    throw error
  }
  node.badUntil = 0
  return connection
}

/** @param pools one a node, in the order in which they are asked */
export function poolOfNodes(pools: readonly Pool[]): Pool {
  const nodes: Node[] = pools.map((pool) => ({ pool, badUntil: 0 }))

  async function getConnection(): Promise<PoolConnection> {
    const now = Date.now()
    const rested = nodes.filter((node) => node.badUntil <= now)
    let last: unknown
    for (const node of rested.length > 0 ? rested : nodes) {
      try {
        return watched(await answering(node), node)
      } catch (error) {
        if (!isNodeGone(error)) throw error
        node.badUntil = now + REST
        last = error
      }
    }
    throw last
  }

  const once = (what: 'query' | 'execute') => {
    const ask = async (...args: unknown[]) => {
      const connection = await getConnection()
      try {
        return await (connection[what] as (...args: unknown[]) => Promise<unknown>)(...args)
      } finally {
        connection.release()
      }
    }
    return async (...args: unknown[]) => {
      for (let tries = 1; ; tries++)
        try {
          return await ask(...args)
        } catch (error) {
          // It has done nothing of it: another node may.
          if (!isNotReady(error) || tries >= nodes.length) throw error
        }
    }
  }
  const end = async () => void (await Promise.all(pools.map((pool) => pool.end())))
  return { getConnection, query: once('query'), execute: once('execute'), end } as unknown as Pool
}

/** What goes wrong on a connection says whether its node is to be asked again. */
function watched(connection: PoolConnection, node: Node): PoolConnection {
  return new Proxy(connection, {
    get(target, name) {
      const own = Reflect.get(target, name) as unknown
      if (typeof own !== 'function') return own
      return (...args: unknown[]) => {
        const result: unknown = own.apply(target, args)
        if (result instanceof Promise)
          result.catch((error: unknown) => {
            if (isNodeGone(error)) node.badUntil = Date.now() + REST
          })
        return result
      }
    },
  })
}
