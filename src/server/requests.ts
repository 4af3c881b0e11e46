/** Reading what a request says. */

import type { Request } from 'express'
import * as v from 'valibot'
import { IdSchema } from '../core/properties/values'
import { Problem } from './problem'

/** @throws Problem 400 with the place and the reason */
export function body<S extends v.GenericSchema>(schema: S, request: Request): v.InferOutput<S> {
  const result = v.safeParse(schema, request.body)
  if (result.success) return result.output
  const issue = result.issues[0]
  const where = (issue.path ?? []).map((step) => String(step.key)).join('.')
  throw new Problem(400, 'Bad request', `${where ? `${where}: ` : ''}${issue.message}`)
}

/** A part of the address. @throws Problem 404 */
export function param<S extends v.GenericSchema>(
  request: Request,
  name: string,
  schema: S,
): v.InferOutput<S> {
  const result = v.safeParse(schema, request.params[name])
  if (!result.success) throw new Problem(404, 'Not found', 'that is not the name of anything here')
  return result.output
}

export const idOf = (request: Request, name: 'id' | 'parked' = 'id') => param(request, name, IdSchema)
