/** Files of earlier versions, brought up to date one version after the other. */
import { fromBase64 } from '../blobs/base64'
import { nameOf } from '../blobs/blobs'
import { FormatError } from './format-error'

type Taken = Map<string, Uint8Array>

/** @param value a file of version n @param taken gets the bytes that were in it @returns a file of version n + 1 */
type Step = (value: Record<string, unknown>, taken: Taken) => Record<string, unknown>

/** By the version that they bring on. */
const STEPS: Readonly<Record<number, Step>> = {
  /** Pictures lay in the file as text. */
  1: (value, taken) => ({
    ...value,
    assets: Array.isArray(value.assets)
      ? value.assets.map((asset, i) => pictureApart(asset, taken, `assets[${i}].data`))
      : value.assets,
  }),
}

/** A picture that holds its bytes, as files and edits did, made one that names them. What is none is left as it is. */
export function pictureApart(asset: unknown, taken: Taken, path = 'data'): unknown {
  if (typeof asset !== 'object' || asset === null || !('data' in asset)) return asset
  const { data, ...rest } = asset
  const bytes = typeof data === 'string' ? fromBase64(data) : undefined
  if (!bytes) throw new FormatError(path, 'expected base64')
  const name = nameOf(bytes)
  taken.set(name.hash, bytes)
  return { ...rest, ...name }
}

/** @returns the value as a file of today's version; what is no file is left for who checks it @throws FormatError */
export function upToDate(value: unknown, taken: Taken): unknown {
  if (typeof value !== 'object' || value === null) return value
  let file = value as Record<string, unknown>
  for (let step = STEPS[file.version as number]; step; step = STEPS[file.version as number])
    file = { ...step(file, taken), version: (file.version as number) + 1 }
  return file
}
