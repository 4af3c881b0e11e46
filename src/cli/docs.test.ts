/** The docs that are made from the program are as it is (npm run docs). */
import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { handoffPage } from '../../docs/handoff'
import { withTables } from '../../docs/properties'
import { jsonSchemaOfFormat } from '../core/document/json-schema'

const docs = (name: string) => readFileSync(new URL(`../../docs/${name}`, import.meta.url), 'utf8')

describe('docs made from it', () => {
  test('format.md has the tables as they are (npm run docs)', () => {
    expect(withTables(docs('format.md'))).toBe(docs('format.md'))
  })
  test('handoff.md is what the demo is handed off as (npm run docs)', () => {
    expect(docs('handoff.md')).toBe(handoffPage())
  })
  test('format.schema.json is what the program checks with (npm run docs)', () => {
    expect(JSON.parse(docs('format.schema.json'))).toEqual(jsonSchemaOfFormat())
  })
})
