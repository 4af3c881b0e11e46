/** Where the boxes' numbers and choices lie: many boxes' in one buffer, reached through accessors by their names. */
/** Lengths, factors and weights: 0 at first, or not a number. */
const AT_ZERO = [
  'rowGap',
  'colGap',
  'before',
  'padT',
  'padR',
  'padB',
  'padL',
  'widthValue',
  'heightValue',
  'x',
  'y',
  'width',
  'height',
  'base',
  'low',
  'hypothetical',
  'target',
  'wanted',
  'cross',
] as const
const AT_NONE = [
  'minContent',
  'maxContent',
  'contentAt',
  'lastW',
  'lastH',
  'lastResult',
  'measuredW',
  'measuredHeight',
] as const
/** Choices and whole numbers. */
const WHOLE = [
  'flow',
  'justify',
  'align',
  'alignContent',
  'alignSelf',
  'widthKind',
  'heightKind',
  'order',
  'from',
  'span',
  'columns',
  'column',
  'row',
  'followsHeight',
] as const
const YES_OR_NO = [
  'hidden',
  'followsWindow',
  'wrap',
  'dense',
  'clip',
  'subgrid',
  'lastDefinite',
  'frozen',
] as const

/** Every field that lies in a buffer. */
export type PackedField = (typeof AT_ZERO | typeof AT_NONE | typeof WHOLE | typeof YES_OR_NO)[number]

const NUMBERS = AT_ZERO.length + AT_NONE.length
/** What a box takes of a chunk, as 64-bit numbers: two whole ones fit in each. */
const STRIDE = NUMBERS + Math.ceil((WHOLE.length + YES_OR_NO.length) / 2)
/** Boxes whose fields lie in one buffer. */
const CHUNK = 512
/** The buffer that boxes are put into at the moment, as 64-bit and as 32-bit numbers. */
export let numbers = new Float64Array(0)
export let whole = new Int32Array(0)
let used = 0

/** What the accessors need of a box. */
export type Place = {
  readonly numbers: Float64Array
  readonly whole: Int32Array
  /** Where the box's fields begin in `numbers`. */
  readonly offset: number
}

/** Makes room for the fields of one more box in `numbers` and `whole`; returns where. */
export function takeOffset(): number {
  if (used === numbers.length) {
    numbers = new Float64Array(CHUNK * STRIDE)
    whole = new Int32Array(numbers.buffer)
    used = 0
  }
  const offset = used
  numbers.fill(Number.NaN, offset + AT_ZERO.length, offset + NUMBERS)
  used += STRIDE
  return offset
}

function declareField<T>(
  prototype: Place,
  name: string,
  get: (this: Place) => T,
  set: (this: Place, value: T) => void,
) {
  Object.defineProperty(prototype, name, { get, set })
}

/** Gives a class the accessors of all fields. */
export function declareFields(prototype: Place) {
  for (const [at, name] of [...AT_ZERO, ...AT_NONE].entries())
    declareField<number>(
      prototype,
      name,
      function () {
        return this.numbers[this.offset + at]!
      },
      function (value) {
        this.numbers[this.offset + at] = value
      },
    )
  for (const [index, name] of WHOLE.entries()) {
    const at = 2 * NUMBERS + index
    declareField<number>(
      prototype,
      name,
      function () {
        return this.whole[2 * this.offset + at]!
      },
      function (value) {
        this.whole[2 * this.offset + at] = value
      },
    )
  }
  for (const [index, name] of YES_OR_NO.entries()) {
    const at = 2 * NUMBERS + WHOLE.length + index
    declareField<boolean>(
      prototype,
      name,
      function () {
        return this.whole[2 * this.offset + at] !== 0
      },
      function (value) {
        this.whole[2 * this.offset + at] = value ? 1 : 0
      },
    )
  }
}
