/** Writes what the docs have from the program: the JSON Schema, the tables of properties, what the demo is handed off as. Run with `npm run docs`. */
import { readFileSync, writeFileSync } from 'node:fs'
import { jsonSchemaOfFormat } from '../src/core/document/json-schema'
import { handoffPage } from './handoff'
import { withTables } from './properties'

const schema = new URL('format.schema.json', import.meta.url)
const page = new URL('format.md', import.meta.url)
writeFileSync(schema, `${JSON.stringify(jsonSchemaOfFormat(), null, 2)}\n`)
writeFileSync(page, withTables(readFileSync(page, 'utf8')))
writeFileSync(new URL('handoff.md', import.meta.url), handoffPage())
