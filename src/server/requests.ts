/** Reading what a request says. */

import type { IncomingMessage } from 'node:http'
import type { Request } from 'express'
import * as v from 'valibot'
import { IdSchema } from '../core/properties/values'
import { Problem, tooLarge } from './problem'

/** @throws Problem 400 with the place and the reason */
export function checked<S extends v.GenericSchema>(schema: S, value: unknown): v.InferOutput<S> {
  const result = v.safeParse(schema, value)
  if (result.success) return result.output
  const issue = result.issues[0]
  const where = (issue.path ?? []).map((step) => String(step.key)).join('.')
  throw new Problem(400, 'Bad request', `${where ? `${where}: ` : ''}${issue.message}`)
}

export const body = <S extends v.GenericSchema>(schema: S, request: Request): v.InferOutput<S> =>
  checked(schema, request.body)

/** @throws Problem 413, 400; Error when it ends in the middle */
export async function readJson(request: IncomingMessage, most: number): Promise<unknown> {
  const text = await readText(request, most)
  try {
    return JSON.parse(text)
  } catch {
    throw new Problem(400, 'Not JSON', 'the request body is not JSON')
  }
}

function readText(request: IncomingMessage, most: number): Promise<string> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    let size = 0
    request.on('data', (chunk: Buffer) => {
      size += chunk.length
      // The rest is read and dropped, so that the answer is heard.
      if (size <= most) chunks.push(chunk)
      else chunks.length = 0
    })
    request.on('end', () => {
      if (size > most) return reject(tooLarge(most))
      resolve((chunks.length === 1 ? chunks[0]! : Buffer.concat(chunks)).toString())
    })
    request.on('error', reject)
    request.on('close', () => {
      if (!request.complete) reject(new Error('the request ended in the middle'))
    })
  })
}

/** What a part of an address names. @throws Problem 404 */
export function named<S extends v.GenericSchema>(schema: S, value: unknown): v.InferOutput<S> {
  const result = v.safeParse(schema, value)
  if (!result.success) throw new Problem(404, 'Not found', 'that is not the name of anything here')
  return result.output
}

/** A part of the address. @throws Problem 404 */
export const param = <S extends v.GenericSchema>(request: Request, name: string, schema: S) =>
  named(schema, request.params[name])

export const idOf = (request: Request, name: 'id' | 'parked' = 'id') => param(request, name, IdSchema)
