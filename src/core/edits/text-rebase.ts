/**
 * Moving steps on a text past those that others made meanwhile, as `prosemirror-collab` does: what was done here is taken off,
 * theirs is done, and what was done here comes after, each step mapped through all that. Which maps take each other back is
 * remembered, so that a place in words typed here is found again.
 */
import { Slice } from 'prosemirror-model'
import { Mapping, ReplaceStep, type Step, type StepMap } from 'prosemirror-transform'
import { type Edit, EditError, type TextEdit } from './edit'
import { stepOf } from './text'
import { placeOf } from './words'

/** The place whose words an edit sets as a whole. */
function placeSet(edit: Edit): string | undefined {
  if ((edit.op !== 'set' && edit.op !== 'change') || !Object.hasOwn(edit.props, 'words')) return undefined
  return placeOf(edit)
}

/** Longest stretch that is looked through for what others put into it. */
const MOST_TAKEN = 20_000

/**
 * A step on the text of before as steps on that of now. Words put in go on standing, also where all around them is gone; what others
 * put into a stretch that is taken out stays.
 */
function movedStep(step: Step, mapping: Mapping): Step[] {
  const isPlain = step instanceof ReplaceStep && step.to - step.from <= MOST_TAKEN
  if (!isPlain) {
    const next = step.map(mapping)
    return next ? [next] : []
  }
  const { from, to, slice } = step
  const stretches = stretchesOf(from, to, mapping)
  if (stretches.length === 0 && slice.size === 0) return []
  const [first = [mapping.map(from), mapping.map(from)], ...others] = stretches
  return [
    ...others.reverse().map(([start, end]) => new ReplaceStep(start, end, Slice.empty)),
    new ReplaceStep(first[0], first[1], slice),
  ]
}

/** What is left of a stretch, without what others put into it: from where to where each. */
function stretchesOf(from: number, to: number, mapping: Mapping): [number, number][] {
  const stretches: [number, number][] = []
  for (let at = from; at < to; at++) {
    const start = mapping.map(at, 1)
    const end = mapping.map(at + 1, -1)
    const last = stretches.at(-1)
    if (end <= start) continue
    if (last?.[1] === start) last[1] = end
    else stretches.push([start, end])
  }
  return stretches
}

/** How places in one text move: from where it was, with what was done here, to where it is now. */
class Moving {
  constructor(
    private maps: StepMap[] = [],
    /** Pairs of indices: maps that take each other back. */
    private mirrors: number[] = [],
    /** Set anew by somebody: no place in it is what it was. */
    private isLost = false,
  ) {}

  copy = () => new Moving([...this.maps], [...this.mirrors], this.isLost)

  add(steps: readonly Step[]) {
    this.maps.push(...steps.map((step) => step.getMap()))
  }

  lose() {
    this.isLost = true
  }

  /** Set anew here: from then on the text is what it is here. */
  reset() {
    this.maps = []
    this.mirrors = []
    this.isLost = false
  }

  /**
   * Steps that were made on the text of before, one after the other, as steps on the text of now.
   * @param now what they are known to be now @returns undefined: they have no place any more
   */
  move(steps: readonly Step[], now?: readonly Step[]): Step[] | undefined {
    if (this.isLost) return undefined
    const paired = now?.length === steps.length
    const moved = steps.flatMap((step, i) => {
      const next = now ? (paired ? [now[i]!] : []) : movedStep(step, new Mapping(this.maps, this.mirrors))
      this.pass(step, next)
      return next
    })
    if (now && !paired) this.add(now)
    return now ? [...now] : moved
  }

  /** From now on places are taken behind `before`, and lead behind `after`: the same step now, what it puts in by the last. */
  private pass(before: Step, after: readonly Step[]) {
    this.mirrors = this.mirrors.map((index) => index + 1)
    this.maps = [before.getMap().invert(), ...this.maps, ...after.map((step) => step.getMap())]
    if (after.length > 0) this.mirrors.push(0, this.maps.length - 1)
  }
}

/** What came before one copy's edits, and where it leaves the places that those name. */
export class TextRebase {
  private constructor(private readonly byPlace: Map<string, Moving>) {}

  /** @param foreign edits that others made, in order */
  static over(foreign: readonly Edit[]): TextRebase {
    const byPlace = new Map<string, Moving>()
    const at = (place: string) => {
      const moving = byPlace.get(place) ?? new Moving()
      byPlace.set(place, moving)
      return moving
    }
    for (const edit of foreign) {
      const whole = placeSet(edit)
      if (edit.op === 'text') at(placeOf(edit)).add(edit.steps.map(stepOf))
      else if (whole !== undefined) at(whole).lose()
    }
    return new TextRebase(byPlace)
  }

  get isIdle(): boolean {
    return this.byPlace.size === 0
  }

  /** For another row of edits that were made from where all passed ones led. */
  branch(): TextRebase {
    return new TextRebase(new Map([...this.byPlace].map(([place, moving]) => [place, moving.copy()])))
  }

  /**
   * The next edit of the row, as it is now; all come by here, in order.
   * @returns undefined when nothing is left of it @throws EditError when its words are not there any more
   */
  own(edit: Edit): Edit | undefined {
    const whole = placeSet(edit)
    if (whole !== undefined) this.byPlace.get(whole)?.reset()
    const moved = this.moved(edit)
    if (moved === 'lost') throw new EditError('somebody else has written other words there')
    return moved
  }

  /** As `own`, for what takes something back: without its words it does not stand. @param now what it is known to be now */
  inverse(edit: Edit, now?: Edit): Edit | undefined {
    const whole = placeSet(edit)
    if (whole !== undefined) this.byPlace.get(whole)?.lose()
    const moved = this.moved(edit, now)
    return moved === 'lost' ? undefined : moved
  }

  private moved(edit: Edit, now?: Edit): Edit | undefined | 'lost' {
    const moving = edit.op === 'text' ? this.byPlace.get(placeOf(edit)) : undefined
    if (edit.op !== 'text' || !moving) return now ?? edit
    const known = now?.op === 'text' ? now.steps.map(stepOf) : undefined
    const steps = moving.move(edit.steps.map(stepOf), known)
    if (now) return now
    if (!steps) return 'lost'
    // What it was made on is not what it is put on.
    const { on: _, ...rest } = edit
    return steps.length > 0 ? ({ ...rest, steps: steps.map((step) => step.toJSON()) } as TextEdit) : undefined
  }
}
