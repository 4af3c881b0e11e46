/** Every edit's module, by the name that it is stored under. */
import { aid } from './aid'
import { asset } from './asset'
import { change } from './change'
import type { Edit } from './edit'
import type { EditModule } from './edit-module'
import { font } from './font'
import { insert } from './insert'
import { look } from './look'
import { meta } from './meta'
import { move } from './move'
import { page } from './page'
import { pageMeta } from './page-meta'
import { project } from './project'
import { remove } from './remove'
import { set } from './set'
import { text } from './text'
import { theme } from './theme'
import { token } from './token'
import { views } from './views'

const ALL: { readonly [Op in Edit['op']]: EditModule<Extract<Edit, { op: Op }>, Edit> } = {
  set,
  meta,
  insert,
  remove,
  move,
  page,
  'page-meta': pageMeta,
  change,
  text,
  aid,
  views,
  token,
  theme,
  asset,
  font,
  look,
  project,
}
const BY_OP = new Map<string, EditModule<Edit>>(Object.entries(ALL) as never)

/** The module of an edit's kind; `op` may come from outside. */
export const moduleOf = (op: string): EditModule<Edit> | undefined => BY_OP.get(op)

/** As `moduleOf`, for an edit that is one. */
export const moduleFor = (edit: Edit): EditModule<Edit> => BY_OP.get(edit.op)!
