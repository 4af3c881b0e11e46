/** What a picture is by its content: a name or a header may say anything. */

export const PICTURE_TYPES = ['image/svg+xml', 'image/png', 'image/jpeg', 'image/webp'] as const
export type PictureType = (typeof PICTURE_TYPES)[number]

/** Made of pixels, not of lines. */
export const isPhotograph = ({ type }: { type: string }) => type !== 'image/svg+xml'

const begins = (bytes: Uint8Array, with_: readonly number[], at = 0) =>
  with_.every((byte, i) => bytes[at + i] === byte)
const ascii = (text: string) => [...text].map((character) => character.charCodeAt(0))

/** Markup whose first element is `svg`: a declaration, comments and a document type may come before it. */
const SVG =
  /^\uFEFF?\s*(?:<\?xml[^>]*\?>\s*)?(?:<!--[\s\S]*?-->\s*|<!DOCTYPE[^>[]*(?:\[[^\]]*\])?>\s*)*<(?:\w+:)?svg[\s/>]/
/** Bytes that are read to find it. */
const HEAD = 65_536

/** @returns undefined for what is none of the kinds of pictures that can be used */
export function typeOfPicture(bytes: Uint8Array): PictureType | undefined {
  if (begins(bytes, [0x89, ...ascii('PNG\r\n\x1a\n')])) return 'image/png'
  if (begins(bytes, [0xff, 0xd8, 0xff])) return 'image/jpeg'
  if (begins(bytes, ascii('RIFF')) && begins(bytes, ascii('WEBP'), 8)) return 'image/webp'
  if (SVG.test(new TextDecoder().decode(bytes.subarray(0, HEAD)))) return 'image/svg+xml'
  return undefined
}
