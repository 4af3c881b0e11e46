/** Where words broken anywhere end a line, to the layout unit (1/64 px); each found by pages of narrow texts. */
import type { ProjectFile } from '../../core/document/schema'
import type { Props } from '../../core/properties/table'
import { list } from '../../core/words/words'
import { box, node, project, px, snug, text } from './pieces'

const anywhere = (props: Props): Props => ({ overflowWrap: 'anywhere', ...props })
const capitals = { fontFamily: 'Outfit', fontWeight: 700, fontSize: 32, letterSpacing: 2 } as const
const wide = anywhere({ ...capitals, textCase: 'uppercase', width: px(267) })
const ENDING = 'gesellschaft pod'

/** By name: the rule, and the smallest document that needs it. */
export const BREAK_CASES: Record<string, ProjectFile> = {
  'breaks: a line’s end before a space is shaped by itself where it is seen (Chromium): underlined, struck through, filled, shadowed':
    project(
      text(ENDING, wide),
      text([{ text: ENDING, link: 'https://seeds.test/' }], wide),
      text([{ text: ENDING, strike: true }], wide),
      text(ENDING, { ...wide, textDecoration: 'underline' }),
      text(ENDING, { ...wide, fills: { f: { order: 'a0', kind: 'color', color: '#eeeeee' } } }),
      text(ENDING, { ...wide, fills: { f: { order: 'a0', kind: 'color', color: '#eeeeee00' } } }),
      text(ENDING, {
        ...wide,
        shadows: { s: { order: 'a0', x: 0, y: 1, blur: 2, spread: 0, color: '#00000040' } },
      }),
    ),
  'breaks: the border of a text is not that of the items in it': project(
    ...[38.5, 38.65625, 39].map((width) =>
      node(
        'text',
        anywhere({
          words: [list('bullets', ['er the'])],
          fontFamily: 'Newsreader',
          fontSize: 14,
          borderLeft: { width: 3 },
          borderRight: { width: 3 },
          width: px(width),
        }),
      ),
    ),
  ),
  'breaks: out of the flow too, a word begins with a capital behind the text before it': project(
    box(
      { flow: 'free', width: px(400), height: px(200) },
      text('Glasshouse', { pinLeft: { px: 0 } }),
      text('mmm www mmm', { textCase: 'capitalize', fontSize: 40, pinTop: { px: 60 } }),
      text([{ text: 'mmm www', italic: true, case: 'capitalize' }], { fontSize: 40, pinTop: { px: 120 } }),
    ),
  ),
  'breaks: at its default weight a font’s varying kerning is unsafe to break at, too (HarfBuzz in Chromium)':
    project(
      ...[17.75, 19, 21.5, 24.5].map((width) =>
        text(
          'schifffahrt',
          anywhere({ fontFamily: 'Literata', fontSize: 20, italic: true, width: px(width) }),
        ),
      ),
    ),
  'breaks: of a piece whose first letter has no room by itself nothing stays on the line': project(
    text(
      [
        { text: 'the', weight: 600 },
        { text: 'Tofu ', size: 2 },
      ],
      anywhere({ fontFamily: 'Outfit', fontSize: 16, width: px(41.109375) }),
    ),
  ),
  'breaks: a letter before a soft hyphen that is wider by itself keeps the hyphen, room or not': project(
    text(
      'A\u00adTION',
      anywhere({ fontFamily: 'Figtree', fontSize: 48, fontWeight: 500, width: px(52.328125) }),
    ),
  ),
  'breaks: a script letter’s line is measured to the next safe place, beyond the word': project(
    text('AVATAR row AVATAR meadow AVATAR', {
      ...anywhere({
        fontFamily: 'Caveat',
        fontSize: 20,
        fontWeight: 700,
        italic: true,
        width: px(43.328125),
      }),
    }),
  ),
  'breaks: a word that goes on in another style counts for the min-content as it was shaped whole': project(
    box(
      { flow: 'row', width: px(10) },
      text(
        [
          { text: 'packet seedlibraryborrowingregulations', case: 'uppercase', size: 2 },
          { text: 'un\u00adder', weight: 700, size: 2 },
        ],
        { fontFamily: 'Caveat', fontSize: 12, width: snug },
      ),
    ),
  ),
  'breaks: a line begins at a place cut up to the layout unit, where its end is shaped again (Chromium)':
    project(
      ...['tall', 'il', 'ta', 'cow'].flatMap((first) =>
        [5332, 5333, 5334].map((units) =>
          text(
            `${first} 1234567890123456789012345`,
            anywhere({ fontFamily: 'Bricolage Grotesque', fontSize: 56, width: px(units / 64) }),
          ),
        ),
      ),
    ),
  'breaks: of a ligature’s letters the first is as wide as all in the min-content (Chromium)': project(
    ...['The', 'office', 'schifffahrt', 'fi'].map((words) =>
      box(
        { flow: 'row', width: px(10) },
        text(words, anywhere({ fontFamily: 'Literata', fontSize: 22.4, fontWeight: 700, width: snug })),
      ),
    ),
  ),
}
