/** Sets a design token, or takes it away. Groups come and go with what is in them. */
import * as v from 'valibot'
import { placeName, placesOf } from '../document/places'
import { MAX_TOKEN_DEPTH, problemOf, type TokenTree, tokensIn } from '../document/tokens'
import type { Tree } from '../document/tree'
import { isInherited } from '../properties/inherited'
import type { TokenEdit } from './edit'
import { type EditModule, refuse } from './edit-module'
import { needsOf, rebound } from './references'
import { quoted } from './words'

/** Longest token, as JSON. */
const MAX_TOKEN = 20_000

const steps = (name: string) => name.split('.')
const isName = (name: string) =>
  steps(name).length <= MAX_TOKEN_DEPTH && steps(name).every((step) => step !== '' && !isInherited(step))

type Group = Record<string, unknown>
const own = (group: Group, key: string): unknown => (Object.hasOwn(group, key) ? group[key] : undefined)
const isGroup = (value: unknown): value is Group => typeof value === 'object' && value !== null

/** The tree with `token` at the end of `path`, null: without. What lies beside the way is shared; groups left empty go. */
function planted(group: Group, [step = '', ...rest]: readonly string[], token: Group | null): Group {
  const before = own(group, step)
  let next = token
  if (rest.length > 0) {
    if (isGroup(before) && '$value' in before) refuse(`${step} is a token, not a group`)
    const inner = planted(isGroup(before) ? before : {}, rest, token)
    next = Object.keys(inner).length > 0 ? inner : null
  } else if (isGroup(before) && !('$value' in before)) refuse(`${step} is a group, not a token`)
  if (next !== null) return { ...group, [step]: next }
  const { [step]: _, ...others } = group
  return others
}

function tokenAt(tree: TokenTree, name: string): Group | null {
  let at: unknown = tree
  for (const step of steps(name)) at = isGroup(at) ? own(at, step) : undefined
  return isGroup(at) ? at : null
}

/** The first that uses a token, by name. */
function userOf(tree: Tree, name: string): string | undefined {
  for (const place of placesOf(tree))
    for (const used of tokensIn(place.props)) if (used === name) return placeName(tree, place)
  return undefined
}

export const token: EditModule<TokenEdit> = {
  op: 'token',
  schema: v.strictObject({
    op: v.literal('token'),
    name: v.pipe(
      v.string(),
      v.regex(/^[^.{}$][^{}$]*$/),
      v.maxLength(200),
      v.check(isName, `a name such as space.m, at most ${MAX_TOKEN_DEPTH} groups deep`),
    ),
    token: v.nullable(
      v.pipe(
        v.record(v.string(), v.unknown()),
        v.check((value) => Object.hasOwn(value, '$value'), 'a token, with a $value'),
        v.check(
          (value) => JSON.stringify(value).length <= MAX_TOKEN,
          `a token of at most ${MAX_TOKEN} characters`,
        ),
      ),
    ),
  }),

  apply(draft, { name, token }) {
    const before = tokenAt(draft.tokens, name)
    if (token === null && before === null) refuse(`there is no token ${name}`)
    if (!isName(name)) refuse(`${name} cannot be the name of a token`)
    const tree = planted(draft.tokens, steps(name), token)
    const problem = problemOf(tree)
    if (problem) refuse(problem)
    const user = token === null ? userOf(draft, name) : undefined
    if (user !== undefined) refuse(`the token ${name} is still used by ${quoted(user)}`)
    draft.tokens = tree
    return { op: 'token', name, token: before }
  },

  rebase: (edit, _over, { gone }) => (edit.token === null && gone('token', edit.name) ? undefined : edit),
  spare: (inverse, over) => (over.op === 'token' && over.name === inverse.name ? undefined : inverse),
  merge: (first, second) => (first.name === second.name && second.token !== null ? second : undefined),
  blocks: () => [],
  touches: () => [],
  within: () => [],
  needs: ({ token }) => needsOf(token),
  rebind: (edit, tokens) => ({ ...edit, token: rebound(edit.token, tokens) }),
  puts: ({ name, token }) => (token === null ? [] : [{ what: 'token' as const, id: name }]),
  takesShared: ({ token }) => token === null,
  words: ({ name, token }) => (token ? `Token ${quoted(name)}` : `Take away the token ${quoted(name)}`),
}
