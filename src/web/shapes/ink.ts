/** The line that a shape begins with: in the project's ink, where it has one. */
import type { Stroke } from '../../core/properties/shape'

export const inkLine = (colors: readonly string[], more: Partial<Stroke> = {}): Stroke => ({
  width: 2,
  color: colors.includes('color.ink') ? '{color.ink}' : '#1c2b24',
  ...more,
})
