/** What the random documents can be narrowed to. */
export const FEATURES = [
  'flex',
  'wrap',
  'baseline',
  'percent',
  'lattice',
  'lifted',
  'text',
  'spans',
  'breaks',
  'languages',
  'picture',
  'ratio',
  'override',
] as const
export type Feature = (typeof FEATURES)[number]
