/** What the command line puts into a server of its own, as the app does. */
import { nameOf, PART, partsOf } from '../core/blobs/blobs'
import type { NamedBlob } from '../core/document/named-blobs'
import type { ProjectFile } from '../core/document/schema'

const SPEAKING = { 'x-just-lattice': 'command' }
const JSON_TYPE = { 'content-type': 'application/json', ...SPEAKING }

async function answered(what: string, answer: Response): Promise<Response> {
  if (!answer.ok) throw new Error(`${what} was refused: ${await answer.text()}`)
  return answer
}

/** @param address of the server, with a slash @returns the project's id @throws when it is refused */
export async function storeProject(address: string, file: ProjectFile): Promise<string> {
  const body = JSON.stringify({ file: JSON.stringify(file) })
  const answer = await fetch(`${address}api/projects`, { method: 'POST', headers: JSON_TYPE, body })
  return ((await (await answered('the project', answer)).json()) as { id: string }).id
}

/** @returns what a project names it by @throws when it is refused */
export async function storeBlob(
  address: string,
  bytes: Uint8Array,
  type: string,
): Promise<Pick<NamedBlob, 'hash' | 'size'>> {
  const named = nameOf(bytes)
  const at = `${address}api/blobs/${named.hash}`
  const body = JSON.stringify({ type, size: bytes.length })
  await answered('a blob', await fetch(at, { method: 'POST', headers: JSON_TYPE, body }))
  const headers = { 'content-type': 'application/octet-stream', ...SPEAKING }
  for (let part = 0; part < partsOf(bytes.length); part++) {
    const piece = bytes.slice(part * PART, (part + 1) * PART)
    await answered('a blob', await fetch(`${at}/${part}`, { method: 'PUT', headers, body: piece }))
  }
  return named
}
