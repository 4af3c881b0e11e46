/** How a project was left: what is kept of the desk between two visits. */
import * as v from 'valibot'
import { SNAP_KINDS } from '../../core/arrange/snap'

const Point = v.object({ x: v.number(), y: v.number() })
export const SavedViewSchema = v.object({
  page: v.string(),
  view: v.string(),
  hidden: v.array(v.string()),
  /** Themes shown. */
  themes: v.optional(v.array(v.string()), []),
  camera: v.object({
    x: v.number(),
    y: v.number(),
    zoom: v.pipe(v.number(), v.minValue(0.01), v.maxValue(100)),
  }),
  showLattice: v.boolean(),
  showBaseline: v.boolean(),
  showAids: v.boolean(),
  rulers: v.boolean(),
  follows: v.optional(v.boolean(), true),
  step: v.pipe(v.number(), v.minValue(1), v.maxValue(1000)),
  snapping: v.array(v.picklist(SNAP_KINDS)),
  zeros: v.record(v.string(), Point),
})
export type SavedView = v.InferOutput<typeof SavedViewSchema>
