/** What the random documents can be narrowed to. */
export const FEATURES = [
  'flex',
  'wrap',
  'baseline',
  'percent',
  'lattice',
  'lifted',
  'panels',
  'text',
  'spans',
  'paragraphs',
  'breaks',
  'languages',
  'picture',
  'ratio',
  'override',
  'elements',
  'tokens',
  'shapes',
  'setting',
  'clamp',
] as const
export type Feature = (typeof FEATURES)[number]

const OF_TEXT: ReadonlySet<Feature> = new Set<Feature>([
  'text',
  'spans',
  'paragraphs',
  'breaks',
  'languages',
  'setting',
  'clamp',
])
/** Documents in which nothing is shaped: every box has to be the browser's. */
export const WITHOUT_TEXT: ReadonlySet<Feature> = new Set(FEATURES.filter((each) => !OF_TEXT.has(each)))
