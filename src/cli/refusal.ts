/** Bad input on the command line: a message for the user, exit status 2, nothing written. */
import { readFile } from 'node:fs/promises'
import { dirname, join, resolve } from 'node:path'
import { type ParseArgsConfig, parseArgs } from 'node:util'
import { checkBlob, FormatError, missingFrom, type Opened, openProject } from '../core/document/open'
import { readQuantity } from '../core/quantity/arithmetic'

export class Refusal extends Error {
  override name = 'Refusal'
}

type Options = NonNullable<ParseArgsConfig['options']>

/** `parseArgs` with refusals instead of stack traces. */
export function readArgs<T extends Options>(args: string[], options: T, positionals = 0) {
  try {
    const parsed = parseArgs({ args, options, allowPositionals: positionals > 0, strict: true })
    if (parsed.positionals.length > positionals)
      throw new Refusal(`too many words: ${parsed.positionals.slice(positionals).join(' ')}`)
    return parsed
  } catch (error) {
    if (error instanceof Refusal) throw error
    throw new Refusal((error as Error).message)
  }
}

/** A number option, with arithmetic. */
export function numberOption(
  name: string,
  value: string | undefined,
  bounds: { min?: number; max?: number; integer?: boolean } = {},
): number | undefined {
  if (value === undefined) return undefined
  const read = readQuantity(value, bounds)
  if (!read.ok) throw new Refusal(`--${name} ${value}: ${read.reason}`)
  return read.value
}

/** Paths on the command line are meant from where the user stands. */
export const pathFrom = (path: string) => resolve(process.env.LATTICE_CWD ?? process.cwd(), path)

/**
 * Opens a project file. Pictures of one that is JSON alone are looked for in `blobs/` beside it.
 * @throws Refusal with the path inside the file and the reason
 */
export async function openFile(path: string | undefined): Promise<Opened> {
  if (!path) throw new Refusal('a project file is needed')
  let bytes: Uint8Array
  try {
    bytes = await readFile(pathFrom(path))
  } catch (error) {
    throw new Refusal(
      `${path} cannot be read: ${(error as NodeJS.ErrnoException).code ?? (error as Error).message}`,
    )
  }
  try {
    return await withBlobsBeside(pathFrom(path), openProject(bytes))
  } catch (error) {
    if (error instanceof FormatError) throw new Refusal(`${path}: ${error.message}`)
    throw error
  }
}

async function withBlobsBeside(path: string, opened: Opened): Promise<Opened> {
  const blobs = new Map(opened.blobs)
  for (const asset of missingFrom(opened)) {
    const bytes = await readFile(join(dirname(path), 'blobs', asset.hash)).catch(() => undefined)
    if (!bytes) continue
    checkBlob(asset, bytes)
    blobs.set(asset.hash, bytes)
  }
  return { ...opened, blobs }
}

/** For what cannot be made without pictures. @throws Refusal naming one that is not there */
export function needPictures(opened: Opened) {
  const [missing] = missingFrom(opened)
  if (missing)
    throw new Refusal(
      `the picture “${missing.name}” is not in the file, and not beside it as blobs/${missing.hash}`,
    )
}
