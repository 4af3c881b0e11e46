/** The open format as JSON Schema, generated from the schema that the program itself checks with. */
import { toJsonSchema } from '@valibot/to-json-schema'
import { NodeOwnSchema, PageOwnSchema, ProjectSchema, VERSION } from './schema'

type JsonSchema = Record<string, unknown> & { properties?: Record<string, unknown> }

export function jsonSchemaOfFormat(): JsonSchema {
  const convert = (schema: Parameters<typeof toJsonSchema>[0]) => {
    const { $schema, ...rest } = toJsonSchema(schema, { errorMode: 'ignore' }) as JsonSchema
    return rest as JsonSchema
  }
  const project = convert(ProjectSchema)
  const page = convert(PageOwnSchema)
  const node = convert(NodeOwnSchema)
  const list = (ref: string) => ({ type: 'array', items: { $ref: `#/$defs/${ref}` } })
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: `Just Lattice project, version ${VERSION}`,
    ...project,
    properties: { ...project.properties, pages: list('page') },
    $defs: {
      page: { ...page, properties: { ...page.properties, sections: list('node') } },
      node: { ...node, properties: { ...node.properties, children: list('node') } },
    },
  }
}
