/** What a project names by its hash: the bytes lie outside. */
import { type Asset, FONT_TYPE, type OwnFamily } from './schema'

export type NamedBlob = { name: string; type: string; hash: string; size: number }

/** A picture, or a font file with its family's name. */
export const calledBlob = ({ name, type }: NamedBlob) =>
  type === FONT_TYPE ? `the font “${name}”` : `the picture “${name}”`

export const fontBlobs = ({ family, files }: OwnFamily): NamedBlob[] =>
  files.map(({ hash, size }) => ({ name: family, type: FONT_TYPE, hash, size }))

/** Pictures and font files of a document, or of a project file. One that is named twice is in it twice. */
export const namedBlobs = ({
  assets,
  fonts = [],
}: {
  assets: { values(): Iterable<Asset> }
  fonts?: readonly OwnFamily[]
}): NamedBlob[] => [...assets.values(), ...fonts.flatMap(fontBlobs)]
