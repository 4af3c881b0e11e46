/**
 * Arithmetic for number fields: `520*3+96+180`, `1512/2`, `+10`, `*1.3`, `50%`, `5col`, `10,000`.
 * A recursive-descent parser; nothing is ever evaluated as code.
 */
export type Quantity = { ok: true; value: number } | { ok: false; reason: string }

export type QuantityContext = {
  /** The field's value now: what a leading `+10`, `*1.3`, `/2` works on. */
  current?: number
  /** What 100 % is, px. */
  whole?: number
  /** Width of n columns with the gutters between them, px. */
  columns?: (count: number) => number
  /** What `rest` stands for, px. */
  rest?: number
  min?: number
  max?: number
  integer?: boolean
}

class Failure extends Error {}

/** Thousands set apart by a sign or a space: `10,000`, `10 000`, `1,234.5`. */
const GROUPED = /^[1-9]\d{0,2}(?:,\d{3}|[ \u00a0\u202f’']\d{3})+(?![\d,])(?:\.\d+)?/

class Parser {
  private at = 0
  constructor(
    private readonly source: string,
    private readonly context: QuantityContext,
  ) {}

  read(): number {
    const value = this.sum()
    this.space()
    if (this.at < this.source.length) {
      throw new Failure(`“${this.source.slice(this.at, this.at + 8)}” is not part of a sum`)
    }
    return value
  }

  private space() {
    while (this.source[this.at] === ' ') this.at++
  }

  private take(signs: string): string | undefined {
    this.space()
    const sign = this.source[this.at]
    if (sign === undefined || !signs.includes(sign)) return undefined
    this.at++
    return sign
  }

  private sum(): number {
    let value = this.product()
    for (let sign = this.take('+-−'); sign; sign = this.take('+-−')) {
      const next = this.product()
      value = sign === '+' ? value + next : value - next
    }
    return value
  }

  private product(): number {
    let value = this.unary()
    for (let sign = this.take('*/×÷'); sign; sign = this.take('*/×÷')) {
      const next = this.unary()
      if ((sign === '/' || sign === '÷') && next === 0) throw new Failure('a division by zero has no result')
      value = sign === '*' || sign === '×' ? value * next : value / next
    }
    return value
  }

  private unary(): number {
    const sign = this.take('+-−')
    if (sign) return sign === '+' ? this.unary() : -this.unary()
    if (this.take('(')) {
      const value = this.sum()
      if (!this.take(')')) throw new Failure('a bracket is not closed')
      return value
    }
    return this.number()
  }

  private number(): number {
    this.space()
    const rest = /^rest\b/i.exec(this.source.slice(this.at))
    if (rest && this.context.rest !== undefined) {
      this.at += rest[0].length
      return this.context.rest
    }
    const left = this.source.slice(this.at)
    const grouped = GROUPED.exec(left)
    const match = grouped ?? /^(\d+([.,]\d*)?|[.,]\d+)/.exec(left)
    if (!match) {
      const found = left.slice(0, 8)
      throw new Failure(found ? `a number is missing before “${found}”` : 'the sum ends too early')
    }
    this.at += match[0].length
    const value = Number(grouped ? match[0].replace(/[^\d.]/g, '') : match[0].replace(',', '.'))
    return this.unit(value)
  }

  private unit(value: number): number {
    const unit = /^\s*(px|%|columns?|cols?)/i.exec(this.source.slice(this.at))
    if (!unit) return value
    this.at += unit[0].length
    const name = unit[1]!.toLowerCase()
    if (name === 'px') return value
    if (name === '%') {
      if (this.context.whole === undefined) throw new Failure('there is nothing to take a percentage of here')
      return (value / 100) * this.context.whole
    }
    if (!this.context.columns) throw new Failure('columns have no width here')
    return this.context.columns(value)
  }
}

const format = (value: number) => String(Math.round(value * 1000) / 1000)

/**
 * Reads what was typed into a number field.
 * @returns the value, or a reason fit to be shown at the field. Never throws.
 */
export function readQuantity(typed: string, context: QuantityContext = {}): Quantity {
  const source = typed.trim()
  if (source === '') return { ok: false, reason: 'type a number or a sum, such as 520*3+96' }
  if (source.length > 200) return { ok: false, reason: 'that sum is longer than 200 characters' }
  try {
    const relative = context.current !== undefined && /^[+*/×÷]/.test(source)
    const value = new Parser(relative ? `(${context.current})${source}` : source, context).read()
    if (!Number.isFinite(value)) return { ok: false, reason: 'the result is not a finite number' }
    const rounded = Math.round(value * 1e6) / 1e6
    if (context.integer && !Number.isInteger(rounded)) {
      return { ok: false, reason: `a whole number is needed, this is ${format(rounded)}` }
    }
    if (context.min !== undefined && rounded < context.min) {
      return { ok: false, reason: `at least ${format(context.min)}, this is ${format(rounded)}` }
    }
    if (context.max !== undefined && rounded > context.max) {
      return { ok: false, reason: `at most ${format(context.max)}, this is ${format(rounded)}` }
    }
    return { ok: true, value: rounded }
  } catch (error) {
    if (error instanceof Failure) return { ok: false, reason: error.message }
    // Deeply nested brackets exhaust the parser's stack: a reason, not a crash.
    if (error instanceof RangeError) return { ok: false, reason: 'that sum is nested too deeply' }
    throw error
  }
}
