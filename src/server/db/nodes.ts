/** One database that stands on several nodes of a cluster: asked is the first that answers, and another when it is gone. */
import type { Pool, PoolConnection } from 'mysql2/promise'

/** How long a node that failed is not asked again, ms. */
const REST = 2000

/** Codes that say that it is the node, not what was asked of it. */
const NODE_GONE =
  /^(ECONNREFUSED|ECONNRESET|ETIMEDOUT|EPIPE|EHOSTUNREACH|PROTOCOL_CONNECTION_LOST|ER_SERVER_SHUTDOWN|ER_UNKNOWN_COM_ERROR)$/

const isNodeGone = (error: unknown) => NODE_GONE.test((error as { code?: string } | undefined)?.code ?? '')

type Node = { pool: Pool; badUntil: number }

/** @param pools one a node, in the order in which they are asked */
export function poolOfNodes(pools: readonly Pool[]): Pool {
  const nodes: Node[] = pools.map((pool) => ({ pool, badUntil: 0 }))

  async function getConnection(): Promise<PoolConnection> {
    const now = Date.now()
    const rested = nodes.filter((node) => node.badUntil <= now)
    let last: unknown
    for (const node of rested.length > 0 ? rested : nodes) {
      try {
        return watched(await node.pool.getConnection(), node)
      } catch (error) {
        if (!isNodeGone(error)) throw error
        node.badUntil = now + REST
        last = error
      }
    }
    throw last
  }

  const once =
    (what: 'query' | 'execute') =>
    async (...args: unknown[]) => {
      const connection = await getConnection()
      try {
        return await (connection[what] as (...args: unknown[]) => Promise<unknown>)(...args)
      } finally {
        connection.release()
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
