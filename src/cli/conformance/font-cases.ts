/** Fonts that once differed: their sizes, heights, and what they vary in. */
import type { ProjectFile } from '../../core/document/schema'
import { project, px, snug, text } from './pieces'

export const FONT_CASES: Record<string, ProjectFile> = {
  'text: a size in em of a size that single precision does not hold is cut to a hundredth less (Chromium)':
    project(
      text([{ text: 'Donaudampfschifffahrtsgesellschaft '.repeat(3), script: 'sup' }], {
        fontFamily: 'Crimson Pro',
        fontSize: 22.4,
        width: snug,
      }),
    ),
  'text: fonts are as high as the size that is drawn, 18.79 px where 18.8 are said (Chromium)': project(
    text('seeds '.repeat(40), { fontFamily: 'Archivo', fontSize: 18.8, lineHeight: 'normal', width: px(60) }),
  ),
  'text: axes of a font that varies: narrower, wider, with other families’ letters beside (OpenType 1.9, fvar)':
    project(
      ...['Archivo', 'Anybody', 'Instrument Sans', 'Bricolage Grotesque', 'Lora'].flatMap((fontFamily) =>
        ['wdth 75', 'wdth 62.5', 'SOFT 40, wdth 112', 'normal'].map((axes) =>
          text('Take home heirloom seed, κήπου → 1,250 packets, well-kept', {
            fontFamily,
            axes,
            fontSize: 22,
            fontWeight: 560,
            width: px(210),
          }),
        ),
      ),
      text([{ text: 'slanted and wide ' }, { text: 'code', code: true }, { text: ' sup', script: 'sup' }], {
        fontFamily: 'Archivo',
        axes: 'wdth 125',
        italic: true,
        fontSize: 28,
        lineHeight: 'normal',
        width: snug,
      }),
    ),
  'text: in no other axes a family’s lighter files draw the same as those that are drawn with here': project(
    ...['Archivo', 'Anybody', 'Instrument Sans', 'Bricolage Grotesque'].flatMap((fontFamily) =>
      [400, 560, 700].flatMap((fontWeight) =>
        [false, true].map((italic) =>
          text('AVATAR To Take home heirloom seed, Łódź → 1,250 packets, well-kept (early)', {
            fontFamily,
            fontWeight,
            fontSize: 22,
            width: px(210),
            ...(italic ? { italic } : {}),
          }),
        ),
      ),
    ),
  ),
}
