/** Writes docs/format.schema.json from the Valibot schema. Run with `npm run docs:schema`. */
import { readFileSync, writeFileSync } from 'node:fs'
import { jsonSchemaOfFormat } from '../src/core/document/json-schema'

const target = new URL('format.schema.json', import.meta.url)
const text = `${JSON.stringify(jsonSchemaOfFormat(), null, 2)}\n`
if (process.argv.includes('--check')) process.exit(readFileSync(target, 'utf8') === text ? 0 : 1)
writeFileSync(target, text)
