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

/** Runs `work` in one transaction; rolled back when it throws. */
export async function transaction<T>(
  pool: Pool,
  work: (connection: PoolConnection) => Promise<T>,
): Promise<T> {
  const connection = await pool.getConnection()
  try {
    await connection.beginTransaction()
    const result = await work(connection)
    await connection.commit()
    return result
  } catch (error) {
    await connection.rollback().catch(() => undefined)
    throw error
  } finally {
    connection.release()
  }
}
