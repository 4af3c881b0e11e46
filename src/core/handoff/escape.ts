/**
 * One serialiser for each place that text from a document is written to. Whatever a name, a text or a link says, it stays what
 * it is there: it ends no element, no attribute, no string, no comment, no folder.
 */
import { linkProblem } from '../properties/links'

/** In an element's text. HTML takes no NUL. */
export const htmlText = (text: string) =>
  htmlAttribute(text).replaceAll('\u00a0', '&nbsp;').replaceAll('\u00ad', '&shy;')

/** In an attribute's quotes, in HTML and XML; XML takes no control characters. */
export const htmlAttribute = (text: string) =>
  text
    // biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is taken out
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, '')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;')

/** An address in an attribute; one that may not be followed leads nowhere. */
export const htmlAddress = (link: string) => htmlAttribute(linkProblem(link) === undefined ? link : '#')

/** A string in quotes (CSSOM, “serialize a string”). */
export const cssString = (text: string) =>
  `"${text
    // biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is escaped
    .replace(/[\u0000-\u001f\u007f<]/g, (char) =>
      char === '\0' ? '\ufffd' : `\\${char.charCodeAt(0).toString(16)} `,
    )
    .replace(/["\\]/g, '\\$&')}"`

/** Between the marks of a comment. */
export const cssComment = (text: string) => text.replace(/\*\//g, '* /').replace(/[\r\n\f]/g, ' ')

/** Whether a declaration's value stays a value: nothing in it ends the declaration or begins anything else. */
export const isCssValue = (value: string) => !/[;{}<>\\]|\/\*|\*\//.test(value)

const HEX = /^#[0-9a-f]{6}([0-9a-f]{2})?$/i

/** A colour that has no token: as it is, or none. */
export const cssColor = (color: string) => (HEX.test(color) ? color : 'transparent')

/** Names that Windows keeps for devices. */
const RESERVED = /^(con|prn|aux|nul|com\d|lpt\d)$/

/** One folder or file name, without ending, from text in small letters, digits, - and _. */
export const pathPart = (name: string) => {
  const short = name.slice(0, 80)
  // No path and no name that is written here has a tilde of its own.
  return RESERVED.test(short) ? `${short}~` : short
}
