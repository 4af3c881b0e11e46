/**
 * Words that read like a page before the real ones are there: six made-up fields, each with its own nouns, so that lengths, rhythm and
 * line breaks can be judged. The same number gives the same words.
 */
import { chance } from '../forms/chance'

export const FIELDS = ['garden', 'harbour', 'kitchen', 'workshop', 'school', 'software'] as const
export type Field = (typeof FIELDS)[number]
export const FILLS = ['heading', 'sentence', 'paragraph', 'name', 'price', 'date', 'fact'] as const
export type Fill = (typeof FILLS)[number]

type Lexicon = { things: string[]; people: string[]; does: string[]; places: string[]; how: string[] }

const LEXICON: Record<Field, Lexicon> = {
  garden: {
    things: [
      'the seed',
      'a packet of beans',
      'the glasshouse',
      'early corn',
      'the long bed',
      'a row of peas',
      'the compost',
      'last year’s pods',
    ],
    people: ['neighbours', 'borrowers', 'the Saturday group', 'whoever has room', 'first-time growers'],
    does: ['keeps', 'waits for', 'makes room for', 'outgrows', 'needs', 'leans on', 'ripens beside'],
    places: ['under glass', 'along the south wall', 'in plot fourteen', 'by the gate', 'at the far end'],
    how: ['before the frost', 'by midsummer', 'without any hurry', 'in one wet week', 'from tray to table'],
  },
  harbour: {
    things: [
      'the early boat',
      'a coil of rope',
      'the tide table',
      'the slipway',
      'a borrowed dinghy',
      'the fog bell',
      'the last crossing',
      'the pilot’s chart',
    ],
    people: ['passengers', 'the crew', 'two brothers', 'day visitors', 'the night watch'],
    does: ['meets', 'outruns', 'waits for', 'carries', 'turns towards', 'follows', 'gives way to'],
    places: [
      'off the north pier',
      'in the lee of the wall',
      'past the second buoy',
      'at the fuel dock',
      'between the islands',
    ],
    how: ['on the flood', 'in any weather', 'before dark', 'twice a day', 'with room to spare'],
  },
  kitchen: {
    things: [
      'the slow dough',
      'a pan of onions',
      'the stock',
      'cold butter',
      'the oven',
      'a jar of plums',
      'the sharp knife',
      'yesterday’s bread',
    ],
    people: ['cooks', 'the table of six', 'hungry friends', 'anyone early', 'the evening class'],
    does: ['takes', 'forgives', 'asks for', 'carries', 'softens', 'goes with', 'improves'],
    places: ['on the back ring', 'under a cloth', 'at the window', 'in the cool larder', 'beside the stove'],
    how: [
      'in forty minutes',
      'without stirring',
      'the day before',
      'by the spoonful',
      'while the water boils',
    ],
  },
  workshop: {
    things: [
      'the bench',
      'a square joint',
      'the old lathe',
      'a plank of ash',
      'the second coat',
      'the template',
      'a worn handle',
      'the glue',
    ],
    people: ['makers', 'an apprentice', 'the repair table', 'careful hands', 'weekend members'],
    does: ['holds', 'follows', 'corrects', 'outlasts', 'wants', 'fits', 'remembers'],
    places: [
      'along the grain',
      'in the vice',
      'by the north light',
      'under the clamp',
      'on the shelf of offcuts',
    ],
    how: ['to half a millimetre', 'overnight', 'with one cut', 'by eye first', 'until it sings'],
  },
  school: {
    things: [
      'the first question',
      'a short answer',
      'the reading room',
      'an open book',
      'the long experiment',
      'a map on the wall',
      'the quiet hour',
      'a second draft',
    ],
    people: ['pupils', 'the evening course', 'parents', 'two teachers', 'the whole year'],
    does: ['opens', 'explains', 'leads to', 'makes sense of', 'survives', 'begins', 'rewards'],
    places: ['in room nine', 'on the top floor', 'at the back table', 'across the yard', 'after lunch'],
    how: ['in small steps', 'one page at a time', 'by asking again', 'before the bell', 'with a pencil'],
  },
  software: {
    things: [
      'the first screen',
      'a short form',
      'the saved draft',
      'an empty list',
      'the search field',
      'a clear error',
      'the export',
      'one good default',
    ],
    people: ['new users', 'the small team', 'people in a hurry', 'whoever is on call', 'returning customers'],
    does: ['saves', 'explains', 'waits for', 'remembers', 'replaces', 'shortens', 'points to'],
    places: [
      'in the same place',
      'on a slow network',
      'behind the scenes',
      'on every device',
      'at the right moment',
    ],
    how: [
      'in two steps',
      'without a manual',
      'before it is asked',
      'at the speed of thought',
      'with nothing lost',
    ],
  },
}

const NAMES = ['Ada', 'Bo', 'Caro', 'Dev', 'Elin', 'Femi', 'Greta', 'Hugo', 'Ines', 'Jun', 'Kaya', 'Liam']
const SURNAMES = [
  'Alder',
  'Brook',
  'Castle',
  'Dune',
  'Ember',
  'Fenn',
  'Grove',
  'Hollow',
  'Inlet',
  'Juniper',
  'Kestrel',
  'Lowe',
]
const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

class Speaker {
  private count = 0
  private readonly lexicon: Lexicon
  constructor(
    field: Field,
    private readonly seed: number,
  ) {
    this.lexicon = LEXICON[field]
  }

  one<T>(list: readonly T[]): T {
    return list[Math.floor(chance(this.seed, this.count++) * list.length)]!
  }
  whole(low: number, high: number): number {
    return low + Math.floor(chance(this.seed, this.count++) * (high - low + 1))
  }

  private twoThings(): [string, string] {
    const { things } = this.lexicon
    const first = this.one(things)
    return [first, this.one(things.filter((thing) => thing !== first))]
  }

  heading(): string {
    const { people, how, places } = this.lexicon
    const [a, b] = this.twoThings()
    return capital(
      this.one([
        `${a}, ${this.one(how)}`,
        `${a} and ${b}`,
        `${a} for ${this.one(people)}`,
        `${a} ${this.one(places)}`,
      ]),
    )
  }

  sentence(): string {
    const { people, does, places, how } = this.lexicon
    const [a, b] = this.twoThings()
    const verb = this.one(does)
    return capital(
      this.one([
        `${a} ${verb} ${b} ${this.one(how)}.`,
        `${this.one(places)}, ${a} ${verb} ${b}.`,
        `for ${this.one(people)}, ${a} ${verb} ${b}.`,
        `${a} ${verb} ${b} ${this.one(places)}, and ${this.one(people)} know why.`,
        `nothing here happens ${this.one(how)}: ${a} ${verb} ${b}.`,
      ]),
    )
  }

  paragraph(): string {
    return Array.from({ length: this.whole(2, 4) }, () => this.sentence()).join(' ')
  }
}

/** @param number another gives other words */
export function filler(fill: Fill, field: Field, number: number): string {
  const speaker = new Speaker(field, number * FILLS.length + FILLS.indexOf(fill))
  switch (fill) {
    case 'heading':
    case 'sentence':
    case 'paragraph':
      return speaker[fill]()
    case 'name':
      return `${speaker.one(NAMES)} ${speaker.one(SURNAMES)}`
    case 'price':
      return `${speaker.whole(2, 180)}.${speaker.one(['00', '50', '80', '95'])}`
    case 'date':
      return `${speaker.whole(1, 28)} ${speaker.one(MONTHS)}`
    case 'fact':
      return `${speaker.whole(2, 96)} ${speaker.one(['packets', 'stalls', 'hours', 'minutes', 'people', 'pages', 'years', 'km'])}`
  }
}

/** Sentences until `isFull` says that there are enough, at most so many. */
export function fillerUntil(
  field: Field,
  number: number,
  isFull: (text: string) => boolean,
  most = 60,
): string {
  const speaker = new Speaker(field, number)
  let text = speaker.sentence()
  for (let i = 1; i < most; i++) {
    const next = `${text} ${speaker.sentence()}`
    if (isFull(next)) break
    text = next
  }
  return text
}
