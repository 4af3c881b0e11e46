/** The tables of properties in docs/format.md, from the table that the program itself reads. */

import { rulesOf } from '../src/core/properties/declarations'
import { KINDS, type Kind } from '../src/core/properties/kinds'
import type { Property } from '../src/core/properties/property'
import { GROUPS } from '../src/core/properties/table'

const TITLES: Record<keyof typeof GROUPS, string> = {
  flow: 'Flow',
  size: 'Size and place',
  look: 'Look',
  shape: 'Shapes',
  type: 'Type',
  content: 'Content',
}

const PER_VIEW = { style: 'yes', content: 'yes, by elements', never: 'no' }

function kindsOf(property: Property): string {
  const own = KINDS.filter((kind) => property.kinds.includes(kind) && kind !== 'slot')
  const all = KINDS.filter((kind) => kind !== 'page' && kind !== 'slot')
  return own.length === all.length ? 'all' : own.join(', ')
}

function initialOf({ initial, initialOf }: Property): string {
  const shown = (value: unknown) => (value === undefined ? '' : `\`${JSON.stringify(value)}\``)
  const own = Object.entries(initialOf ?? {}).map(([kind, value]) => `${kind as Kind}: ${shown(value)}`)
  return [shown(initial), ...own].filter(Boolean).join('; ')
}

function row(key: string, property: Property): string[] {
  const css = rulesOf(property.css).flatMap(({ name }) => name.split(', ').map((each) => `\`${each}\``))
  return [
    `\`${key}\``,
    kindsOf(property),
    initialOf(property),
    PER_VIEW[property.perView],
    property.token ?? '',
    css.join(', '),
  ]
}

const HEAD = ['property', 'kinds', 'unset', 'per view', 'token', 'CSS']

/** Padded, as the formatter has tables. */
function table(rows: readonly string[][]): string {
  const widths = HEAD.map((_, i) => Math.max(...rows.map((cells) => cells[i]!.length)))
  const line = (cells: readonly string[]) =>
    `| ${cells.map((cell, i) => cell.padEnd(widths[i]!)).join(' | ')} |`
  const [head, ...rest] = rows
  return [line(head!), line(widths.map((width) => '-'.repeat(width))), ...rest.map(line)].join('\n')
}

export function propertyTables(): string {
  return Object.entries(GROUPS)
    .map(([group, properties]) => {
      const rows = Object.entries(properties).map(([key, property]) => row(key, property as Property))
      return `#### ${TITLES[group as keyof typeof GROUPS]}\n\n${table([HEAD, ...rows])}`
    })
    .join('\n\n')
}

const BEGIN = '<!-- properties -->'
const END = '<!-- /properties -->'

/** The page with the tables as they are now. @throws when it has no place for them */
export function withTables(page: string): string {
  const [from, to] = [page.indexOf(BEGIN), page.indexOf(END)]
  if (from < 0 || to < from) throw new Error(`the page needs a place for the tables: ${BEGIN} … ${END}`)
  return `${page.slice(0, from + BEGIN.length)}\n\n${propertyTables()}\n\n${page.slice(to)}`
}
