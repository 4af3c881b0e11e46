/** Bytes as text (RFC 4648, section 4). */

/** Code units that are turned at once: a call takes only so many arguments. */
const AT_ONCE = 0x8000

export function base64Of(bytes: Uint8Array): string {
  let binary = ''
  for (let i = 0; i < bytes.length; i += AT_ONCE)
    binary += String.fromCharCode(...bytes.subarray(i, i + AT_ONCE))
  return btoa(binary)
}

/** @returns undefined when it is not base64 */
export function fromBase64(text: string): Uint8Array | undefined {
  if (!/^[A-Za-z0-9+/]*={0,2}$/.test(text)) return undefined
  try {
    return Uint8Array.from(atob(text), (character) => character.charCodeAt(0))
  } catch {
    return undefined
  }
}
