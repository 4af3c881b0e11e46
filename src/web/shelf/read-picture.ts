/** Taking in a picture file: what it is, how large, or why it cannot be used. */
import { MOST_BLOB } from '../../core/blobs/blobs'
import { PICTURE_TYPES, typeOfPicture } from '../../core/blobs/picture-type'
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

/** A picture of the project from a file; its bytes are kept in this browser, and sent with the edit that names it. @throws Error with a reason for the user */
export async function readPicture(file: File, id: string, pictures: Pictures): Promise<Asset> {
  const type = PICTURE_TYPES.find((each) => each === file.type)
  if (!type)
    throw new Error(
      `“${file.name}” is ${file.type || 'of an unknown kind'}; SVG, PNG, JPEG and WebP can be used`,
    )
  if (file.size > MOST_BLOB)
    throw new Error(`“${file.name}” is ${Math.round(file.size / 1e5) / 10} MB; at most ${MOST_BLOB / 1e6} MB`)
  const clean = type === 'image/svg+xml' ? await pictureCleaner() : undefined
  const url = URL.createObjectURL(file)
  try {
    const image = new Image()
    image.src = url
    await image.decode()
    const { naturalWidth: width, naturalHeight: height } = image
    if (width < 1 || height < 1) throw new Error('no size')
    const bytes = clean
      ? new TextEncoder().encode(clean(await file.text()))
      : new Uint8Array(await file.arrayBuffer())
    if (typeOfPicture(bytes) !== type) throw new Error('not what it says')
    return {
      id,
      name: file.name.replace(/\.[a-z0-9]+$/i, '').slice(0, 200) || 'Picture',
      type,
      width: Math.min(width, 20_000),
      height: Math.min(height, 20_000),
      ...(await pictures.add(bytes, type)),
    }
  } catch {
    throw new Error(`“${file.name}” cannot be read as a picture; it may be damaged`)
  } finally {
    URL.revokeObjectURL(url)
  }
}
