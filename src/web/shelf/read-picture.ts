/** Taking in a picture file: what it is, how large, or why it cannot be used. */
import { MOST_BLOB } from '../../core/blobs/blobs'
import { isWhole, MOST_SIDE, sizeInHead, sizeProblem } from '../../core/blobs/picture-head'
import { PICTURE_TYPES, type PictureType, typeOfPicture } from '../../core/blobs/picture-type'
import type { Asset } from '../../core/document/schema'
import type { Pictures } from '../session/pictures'

type Clean = (svg: string) => string
let fetched: Promise<Clean> | undefined

async function fetchCleaner(): Promise<Clean> {
  const [{ default: createDOMPurify }, { cleanSvg, forPictures }] = await Promise.all([
    import('dompurify'),
    import('../../core/handoff/svg-policy'),
  ])
  const cleaner = forPictures(createDOMPurify(window))
  const writer = new XMLSerializer()
  return (svg) => {
    const clean = cleanSvg(cleaner, (node) => writer.serializeToString(node), svg)
    if (clean === undefined) throw new Error('not an SVG picture')
    return clean
  }
}

/**
 * What leaves an SVG picture without scripts and without anything it would fetch, and throws when nothing of a picture is left. Pictures
 * come seldom: it is fetched when one does.
 * @throws Error with a reason for the user when it cannot be had just now
 */
export async function pictureCleaner(): Promise<Clean> {
  fetched ??= fetchCleaner()
  try {
    return await fetched
  } catch {
    fetched = undefined
    throw new Error('what checks SVG pictures cannot be fetched just now; try again')
  }
}

/** Kinds that only some browsers show, or that move: taken in as what can be used, their first picture. */
const OTHERS: Readonly<Record<string, { type: PictureType; quality?: number }>> = {
  'image/gif': { type: 'image/png' },
  'image/avif': { type: 'image/webp', quality: 0.92 },
}
/** What is taken. */
const TAKEN_TYPES: readonly string[] = [...PICTURE_TYPES, ...Object.keys(OTHERS)]

/** @throws when this browser cannot read it */
async function turnedInto(file: File, { type, quality }: (typeof OTHERS)[string]): Promise<Blob> {
  const picture = await createImageBitmap(file)
  const canvas = document.createElement('canvas')
  canvas.width = picture.width
  canvas.height = picture.height
  canvas.getContext('2d')!.drawImage(picture, 0, 0)
  picture.close()
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, type, quality))
  if (!blob) throw new Error('nothing was drawn')
  return blob
}

/** As the browser draws what lies at an address: turned as its camera was held. @throws when it cannot be read */
async function seenSize(address: string): Promise<{ width: number; height: number }> {
  const image = new Image()
  image.src = address
  await image.decode()
  const { naturalWidth: width, naturalHeight: height } = image
  if (width < 1 || height < 1) throw new Error('no size')
  // An SVG picture is as large as it says, and none the worse for being smaller.
  const shrunk = Math.min(1, MOST_SIDE / Math.max(width, height))
  return { width: width * shrunk, height: height * shrunk }
}

/** A picture of the project from a file; its bytes are kept in this browser, and sent with the edit that names it. @throws Error with a reason for the user */
export async function readPicture(file: File, id: string, pictures: Pictures): Promise<Asset> {
  const refuse = (reason: string) => new Error(`“${file.name}” ${reason}`)
  if (!TAKEN_TYPES.includes(file.type))
    throw refuse(
      `is ${file.type || 'of an unknown kind'}; SVG, PNG, JPEG and WebP can be used, and AVIF and GIF are turned into them`,
    )
  if (file.size > MOST_BLOB)
    throw refuse(`is ${Math.round(file.size / 1e5) / 10} MB; at most ${MOST_BLOB / 1e6} MB`)
  const damaged = () => refuse('cannot be read as a picture; it may be damaged')
  const other = OTHERS[file.type]
  const taken: Blob = other
    ? await turnedInto(file, other).catch(() => {
        throw damaged()
      })
    : file
  const type = taken.type as PictureType
  const raw = new Uint8Array(await taken.arrayBuffer())
  if (typeOfPicture(raw) !== type) throw damaged()
  // Before anything of it is unpacked.
  const head = sizeInHead(raw, type)
  const tooLarge = head && sizeProblem(head)
  if (tooLarge) throw refuse(tooLarge)
  if (!isWhole(raw, type)) throw refuse('ends in the middle: it was not copied whole')
  const clean = type === 'image/svg+xml' ? await pictureCleaner() : undefined
  // In memory: a file on a disk may change, or go, before it is sent.
  const blob = new Blob([raw], { type })
  const address = URL.createObjectURL(blob)
  try {
    const size = await seenSize(address)
    const bytes = clean ? new TextEncoder().encode(clean(new TextDecoder().decode(raw))) : raw
    const name = file.name.replace(/\.[a-z0-9]+$/i, '').slice(0, 200) || 'Picture'
    const kept = await pictures.add(bytes, type, clean ? undefined : { blob, address })
    if (clean) URL.revokeObjectURL(address)
    return { id, name, type, ...size, ...kept }
  } catch {
    URL.revokeObjectURL(address)
    throw damaged()
  }
}
