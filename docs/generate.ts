/** Writes what the docs have from the program: the JSON Schema and the tables of properties. Run with `npm run docs`. */
import { readFileSync, writeFileSync } from 'node:fs'
import { jsonSchemaOfFormat } from '../src/core/document/json-schema'
import { withTables } from './properties'

const schema = new URL('format.schema.json', import.meta.url)
const page = new URL('format.md', import.meta.url)
writeFileSync(schema, `${JSON.stringify(jsonSchemaOfFormat(), null, 2)}\n`)
writeFileSync(page, withTables(readFileSync(page, 'utf8')))
