/** Documents that once differed, shrunk: each with the rule it exercises. The browser judges them in the tests. */
import type { ProjectFile } from '../../core/document/schema'
import { BALANCE_CASES } from './balance-cases'
import { BREAK_CASES } from './break-cases'
import { FONT_CASES } from './font-cases'
import { LAYOUT_CASES } from './layout-cases'
import { OUTSIDE_CASES } from './outside-cases'
import { PICTURE_CASES } from './picture-cases'
import { SCRIPT_CASES } from './script-cases'
import { TEXT_CASES } from './text-cases'

/** By name: the rule, and the smallest document that needs it. */
export const CASES: Record<string, ProjectFile> = {
  ...TEXT_CASES,
  ...BALANCE_CASES,
  ...SCRIPT_CASES,
  ...FONT_CASES,
  ...OUTSIDE_CASES,
  ...BREAK_CASES,
  ...LAYOUT_CASES,
  ...PICTURE_CASES,
}
