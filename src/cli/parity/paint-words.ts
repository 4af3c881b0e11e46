/** Texts of the page of paints: cut off, from right to left, with lines under them, with icons, higher and lower words among them. */
import type { NodeTree } from '../../core/document/schema'
import type { Props } from '../../core/properties/table'
import { list, OBJECT, type Span, said } from '../../core/words/words'
import { node } from './paint-node'

const LONG =
  'What is lent in the spring comes back in the autumn as seed that is saved for whoever sows next year.'
/** Cut off behind some lines. */
const cutOff = (): NodeTree[] =>
  (
    [
      { textAlign: 'left' },
      { textAlign: 'center' },
      { textAlign: 'right' },
      { textAlign: 'justify' },
      { maxLines: 1 },
      { wordSpacing: 9, textDecoration: 'underline', maxLines: 3 },
      { wordSpacing: -2, textAlign: 'justify', maxLines: 20 },
      { fontFamily: 'Inter Tight', letterSpacing: 2, textCase: 'uppercase', maxLines: 3 },
      { words: said([{ text: LONG.slice(0, 30), weight: 700, underline: true }, { text: LONG.slice(30) }]) },
      { words: said([{ text: LONG.slice(0, 18) }, { text: LONG.slice(18), italic: true, size: 1.25 }]) },
    ] satisfies Props[]
  ).map((props) =>
    node('text', {
      words: said(LONG),
      fontFamily: 'Fraunces',
      fontSize: 20,
      color: '#1c2b24',
      maxLines: 2,
      width: { kind: 'exact', px: 220 },
      ...props,
    }),
  )

const HEBREW = 'זרעים שנשאלו באביב (12 חבילות) חוזרים בסתיו: seed library, בית־ספר לגינון.'
const ARABIC = 'بذور الربيع تعود في الخريف، ١٢ كيسًا من seed library «القديمة» لمن يزرع؟'
const ARROW = { name: 'arrow-right', data: 'M20 50L80 50M50 20L80 50L50 80', line: 8.33 }
const drawn = (look: Partial<Span> = {}): Span => ({ text: OBJECT, icon: ARROW, ...look })

/** Words with icons among them, and words higher or lower: with every line that may lie under them. */
const among = (): NodeTree[] => {
  const formula: Span[] = [
    { text: 'Plot of 12 m' },
    { text: '2', script: 'sup' },
    { text: ' with H' },
    { text: '2', script: 'sub' },
    { text: 'O by hand ' },
    drawn(),
  ]
  const lined = formula.map((span) => ({ ...span, underline: true }))
  const linked = formula.map((span) => ({ ...span, link: '/plots', color: '#1d5c45' }))
  return (
    [
      { words: said(formula) },
      { words: said(formula), textDecoration: 'underline' },
      { words: said(formula), textDecoration: 'line-through', italic: true },
      { words: said(lined), fontWeight: 700 },
      { words: said(linked), fontSize: 26 },
      {
        words: said([
          drawn({ size: 1.5, color: '#a8481f' }),
          { text: ' Sow ' },
          drawn(),
          { text: ', then water' },
        ]),
      },
      { words: said([drawn(), { text: `\u00a0${ARABIC.slice(0, 24)}` }, drawn({ script: 'sup' })]) },
    ] satisfies Props[]
  ).map((props) =>
    node('text', {
      fontFamily: 'Fraunces',
      fontSize: 20,
      lineHeight: { ratio: 1.3 },
      width: { kind: 'exact', px: 220 },
      ...props,
    }),
  )
}

/** From right to left, and both ways. */
const leftward = (): NodeTree[] =>
  (
    [
      { words: said(HEBREW) },
      { words: said(ARABIC), textAlign: 'right', letterSpacing: 1.5 },
      { words: said(ARABIC), textAlign: 'center', italic: true, fontWeight: 700 },
      { words: said(HEBREW), textAlign: 'justify', textDecoration: 'underline' },
      { words: said(HEBREW), maxLines: 2 },
      {
        words: said([
          { text: ARABIC.slice(0, 30), underline: true, weight: 700 },
          { text: ARABIC.slice(30) },
        ]),
      },
      { words: said(`Lent in spring ${HEBREW}`), letterSpacing: 2 },
      { words: said(LONG), direction: 'rtl' },
      { words: said(`Lent in spring ${ARABIC}`), textDecoration: 'underline' },
      { words: [list('numbers', [HEBREW, 'אביב'])], width: { kind: 'exact', px: 260 } },
    ] satisfies Props[]
  ).map((props) =>
    node('text', { fontFamily: 'Fraunces', fontSize: 20, width: { kind: 'exact', px: 220 }, ...props }),
  )

export const paintedWords = () => [...cutOff(), ...leftward(), ...among()]
