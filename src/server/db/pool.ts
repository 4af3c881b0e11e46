/** The connection pool and the shape of transactions. */
import mysql, { type Pool, type PoolConnection } from 'mysql2/promise'

export type DatabaseAddress = { host: string; port: number; user: string; password: string; database: string }

export function openPool(address: DatabaseAddress): Pool {
  return mysql.createPool({
    ...address,
    connectionLimit: 10,
    waitForConnections: true,
    connectTimeout: 4000,
    charset: 'utf8mb4',
    timezone: 'Z',
    // Statements are prepared on the server: values never become part of the SQL text.
    enableKeepAlive: true,
  })
}

/** The connection broke while a transaction was being committed: whether it was is not known here. */
export class CommitUnknown extends Error {
  override name = 'CommitUnknown'
}

/** A transaction that failed before it was committed: nothing of it was kept. `cause` is why. */
export class RolledBack extends Error {
  override name = 'RolledBack'
}

/** Deadlock or failed certification (in a cluster), and a lock that was waited for too long: another try may go well. */
const AGAIN = new Set([1213, 1205])
const TRIES = 6

const isAgain = (error: unknown) => AGAIN.has((error as { errno?: number }).errno ?? 0)

/**
 * Runs `work` in one transaction, and again when others' transactions were in its way: `work` may run several times.
 * @throws what `work` throws for its caller (`passes`); RolledBack or CommitUnknown for everything else
 */
export async function transaction<T>(
  pool: Pool,
  work: (connection: PoolConnection) => Promise<T>,
  passes: (error: unknown) => boolean = () => false,
): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await once(pool, work, passes)
    } catch (error) {
      const { cause } = error as { cause?: unknown }
      if (!(error instanceof RolledBack) || !isAgain(cause) || attempt === TRIES) throw error
      // Not all at the same moment again.
      await new Promise((resolve) => setTimeout(resolve, Math.random() * 20 * 2 ** attempt))
    }
  }
}

async function once<T>(
  pool: Pool,
  work: (connection: PoolConnection) => Promise<T>,
  passes: (error: unknown) => boolean,
): Promise<T> {
  let connection: PoolConnection | undefined
  let committing = false
  try {
    connection = await pool.getConnection()
    await connection.beginTransaction()
    const result = await work(connection)
    committing = true
    await connection.commit()
    connection.release()
    return result
  } catch (error) {
    // A commit that lost against another one was rolled back; that is known.
    if (committing && !isAgain(error)) {
      // A connection in an unknown state is not used again.
      connection?.destroy()
      throw new CommitUnknown('the connection broke while committing', { cause: error })
    }
    await connection?.rollback().catch(() => undefined)
    connection?.release()
    if (passes(error)) throw error
    throw new RolledBack('nothing was committed', { cause: error })
  }
}
