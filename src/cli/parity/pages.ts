/**
 * Random pages as designers make them, with everything that can be drawn: fills, borders, corners, shadows, gradients, crops,
 * blending, turned and lifted blocks, words of several sizes and inks. Not made to be hard, made to be usual.
 */

import { generateNKeysBetween } from 'fractional-indexing'
import type { Asset, NodeTree, ProjectFile } from '../../core/document/schema'
import type { Form } from '../../core/forms/form'
import type { Cut, Filters } from '../../core/properties/effects'
import { allCorners, type Fill, type Items, oneFill, type Shadow } from '../../core/properties/items'
import type { Kind } from '../../core/properties/kinds'
import type { Border } from '../../core/properties/look'
import type { Props } from '../../core/properties/table'
import { starterProject } from '../../core/shelf/starter'
import { OBJECT, type Span, said } from '../../core/words/words'
import { Draw, randomFrom } from '../random'

const FAMILIES = ['Hanken Grotesk', 'Fraunces', 'Work Sans', 'Source Serif 4', 'JetBrains Mono', 'Caveat']
const INKS = ['#1c2b24', '#1d5c45', '#a8481f', '#6b5b95', '#ffffff', '#00000099']
const FILLS = ['#f4efe6', '#dfe9e1', '#f6e3c5', '#26332c', '#e9dbd4', '#1d5c4533', '#ffffff']
const WORDS =
  'seed packet harvest autumn borrow return glasshouse meadow lantern bean pepper corn plot garden kept dry cool early tall quiet late spring frost ready sown row of the and in by from with'.split(
    ' ',
  )

const ARROW: Span[] = [
  { text: ' ' },
  {
    text: OBJECT,
    icon: { name: 'arrow-right', data: 'M20.8 50L79.2 50M50 20.8L79.2 50L50 79.2', line: 8.33 },
  },
]

class Designer extends Draw {
  private count = 0
  constructor(
    random: () => number,
    private readonly assets: readonly Asset[],
  ) {
    super(random)
  }

  node(kind: Kind, props: Props, children: NodeTree[] = []): NodeTree {
    const keys = generateNKeysBetween(null, null, children.length)
    return {
      id: `p${this.count++}`,
      kind,
      name: kind,
      order: 'a0',
      props,
      children: children.map((child, i) => ({ ...child, order: keys[i]! })),
    }
  }

  words(least: number, most: number): string {
    const list = Array.from({ length: this.whole(least, most) }, () => this.one(WORDS))
    const text = list.join(' ')
    return `${text[0]!.toUpperCase()}${text.slice(1)}${this.chance(0.7) ? '.' : ''}`
  }

  look(): Props {
    const props: Props = {}
    props.fills = this.fills()
    if (this.chance(0.3)) Object.assign(props, this.borders())
    if (this.chance(0.35)) Object.assign(props, this.corners())
    if (this.chance(0.2)) props.shadows = this.shadows()
    if (this.chance(0.04)) props.outline = { width: 2, color: this.one(INKS), offset: this.one([0, 2, 4]) }
    if (this.chance(0.06)) props.opacity = this.one([0.4, 0.6, 0.85])
    if (this.chance(0.04)) props.blend = this.one(['multiply', 'screen', 'overlay', 'darken'] as const)
    if (this.chance(0.05)) props.rotate = this.one([-6, -3, 2, 5, 90])
    if (this.chance(0.15)) props.clip = true
    if (this.chance(0.04))
      props.filters = this.one<Filters>([{ gray: 60 }, { contrast: 130, saturation: 70 }, { blur: 2 }])
    if (this.chance(0.05))
      props.cut = this.one<Cut>([
        { form: 'ellipse' },
        { form: 'arch' },
        { form: 'blob', seed: this.whole(0, 99), points: 7, swing: 30 },
        { form: 'fade', angle: this.whole(0, 360), from: 40, to: 100 },
      ])
    return props
  }

  private fills(): Items<Fill> {
    const fills: Record<string, Fill> = {}
    if (this.chance(0.5)) fills.ground = { order: 'a2', kind: 'color', color: this.one(FILLS) }
    if (this.chance(0.15))
      fills.shade = {
        order: 'a1',
        kind: 'gradient',
        ...this.one([{}, {}, { shape: 'radial' as const, x: 30, y: 20 }, { shape: 'conic' as const, x: 60 }]),
        angle: this.whole(0, 360),
        stops: [
          { color: this.one(FILLS), at: 0 },
          { color: this.one(['#1d5c45', '#a8481f80', '#1c2b2400']), at: 100 },
        ],
      }
    if (this.chance(0.08))
      fills.behind = {
        order: 'a1V',
        kind: 'picture',
        asset: this.one(this.assets).id,
        fit: this.one(['cover', 'contain']),
      }
    if (this.chance(0.06))
      fills.pattern = {
        order: 'a0V',
        kind: 'pattern',
        shape: this.one(['dots', 'lines', 'grid', 'checks', 'waves']),
        color: this.one(['#1d5c4533', '#a8481f44']),
        size: this.whole(8, 30),
        weight: this.one([1, 2, 4]),
        angle: this.one([0, 45, 90, 120]),
      }
    if (this.chance(0.04)) fills.noise = { order: 'a0G', kind: 'noise', amount: this.whole(5, 40), grain: 1 }
    if (this.chance(0.05))
      fills.wash = { order: 'a0', kind: 'color', color: this.one(['#1d5c4522', '#a8481f33']) }
    return fills
  }

  private borders(): Props {
    const side = (): Border => ({
      width: this.one([1, 1, 1, 2, 3, 4, 0.5, 1.5]),
      ...(this.chance(0.8) ? { color: this.one(INKS) } : {}),
      ...(this.chance(0.25) ? { style: this.one(['dashed', 'dotted'] as const) } : {}),
    })
    const one = side()
    if (this.chance(0.7)) return { borderTop: one, borderRight: one, borderBottom: one, borderLeft: one }
    if (this.chance(0.8)) return { [this.one(['borderTop', 'borderBottom', 'borderLeft'] as const)]: one }
    return { borderTop: one, borderBottom: side(), borderLeft: { ...side(), style: 'solid' } }
  }

  private corners(): Props {
    const radius = this.one([2, 4, 6, 8, 12, 24, 999])
    return this.chance(0.8) ? allCorners(radius) : { radiusTopLeft: radius, radiusTopRight: radius }
  }

  private shadows(): Items<Shadow> {
    const shadow = (order: string): Shadow => ({
      order,
      x: 0,
      y: this.whole(0, 12),
      blur: this.one([0, 4, 8, 16, 24, 40]),
      spread: this.one([0, 0, 0, -4, 2]),
      color: this.one(['#00000026', '#1c2b2440', '#a8481f66']),
      ...(this.chance(0.25) ? { inset: true } : {}),
    })
    return this.chance(0.75) ? { one: shadow('a0') } : { one: shadow('a0'), two: shadow('a1') }
  }

  pad(low: number, high: number): Props {
    const [down, across] = [this.whole(low, high), this.whole(low, high)]
    return { paddingTop: down, paddingBottom: down, paddingLeft: across, paddingRight: across }
  }

  spans(least: number, most: number): Span[] {
    if (this.chance(0.7)) return [{ text: this.words(least, most) }]
    const inner: Span = { text: ` ${this.words(1, 3)} ` }
    if (this.chance(0.5)) inner.weight = 700
    if (this.chance(0.3)) inner.italic = true
    if (this.chance(0.4)) inner.color = this.one(INKS)
    if (this.chance(0.3)) inner.link = '#more'
    if (this.chance(0.2)) inner.size = this.one([0.75, 1.25, 1.5])
    if (this.chance(0.1)) inner.script = this.one(['sup', 'sub'] as const)
    return [{ text: this.words(2, 6) }, inner, { text: this.words(1, 6) }]
  }

  text(size: number, least: number, most: number, more: Props = {}): NodeTree {
    const props: Props = {
      words: said(this.spans(least, most)),
      fontFamily: this.one(FAMILIES),
      fontSize: size,
      fontWeight: this.one([300, 400, 400, 500, 700]),
      lineHeight: { ratio: this.one([1.1, 1.25, 1.4, 1.5, 1.6]) },
      color: this.one(INKS.slice(0, 4)),
    }
    if (this.chance(0.25)) props.textAlign = this.one(['center', 'right'] as const)
    if (this.chance(0.1)) props.textCase = this.one(['uppercase', 'lowercase'] as const)
    if (this.chance(0.15)) props.letterSpacing = this.one([-0.5, 0.5, 1.2])
    if (this.chance(0.12)) props.italic = true
    if (this.chance(0.12)) props.textDecoration = this.one(['underline', 'line-through'] as const)
    return this.node('text', { ...props, ...more })
  }

  button(): NodeTree {
    return this.node('button', {
      ...this.look(),
      rotate: 0,
      words: said([{ text: this.words(1, 3) }, ...(this.chance(0.2) ? ARROW : [])]),
      fontSize: this.one([14, 15, 16]),
      fontWeight: this.one([500, 600, 700]),
      color: this.one(INKS),
    })
  }

  picture(more: Props = {}): NodeTree {
    return this.node('picture', {
      ...this.look(),
      ...(this.chance(0.9) ? { asset: this.one(this.assets).id } : {}),
      alt: '',
      fit: this.one(['cover', 'cover', 'contain', 'fill'] as const),
      focusX: this.one([50, 50, 20, 80]),
      ...(this.chance(0.4) ? { ratio: this.one([1, 1.5, 16 / 9]) } : {}),
      ...(this.chance(0.15) ? this.pad(4, 16) : {}),
      ...more,
    })
  }

  badge(): NodeTree {
    const [side, end] = [
      this.one(['pinLeft', 'pinRight'] as const),
      this.one(['pinTop', 'pinBottom'] as const),
    ]
    return this.node(
      'box',
      {
        ...this.look(),
        ...this.pad(4, 10),
        fills: oneFill(this.one(FILLS)),
        width: { kind: 'snug' },
        lifted: true,
        [side]: { px: this.whole(-12, 20) },
        [end]: { px: this.whole(-12, 20) },
        z: this.one([0, 0, 1, -1]),
      },
      [this.text(12, 1, 2)],
    )
  }

  shape(): NodeTree {
    const form = this.one<Form>([
      { form: 'ellipse' },
      { form: 'polygon', sides: this.whole(3, 8), round: this.one([0, 30]) },
      { form: 'star', points: this.whole(5, 9), depth: 40 },
      { form: 'blob', seed: this.whole(0, 99), points: 6, swing: 40 },
      { form: 'line', slope: 'level' },
      { form: 'path', data: 'M0 100C0 40 40 0 100 20', end: this.one(['arrow', 'head', 'dot'] as const) },
    ])
    const isLine = form.form === 'line' || form.form === 'path'
    const stroke = { width: this.one([1, 2, 5]), color: this.one(INKS.slice(0, 4)) }
    return this.node('shape', {
      form,
      ...(isLine || this.chance(0.4) ? { stroke } : {}),
      ...(this.chance(0.8) ? { paint: this.one(FILLS) } : {}),
      width: { kind: 'exact', px: this.whole(24, 120) },
      height: { kind: 'exact', px: this.whole(16, 90) },
    })
  }

  card(width: Props): NodeTree {
    const children = [
      ...(this.chance(0.15) ? [this.shape()] : []),
      this.picture(),
      this.text(this.one([18, 20, 22]), 2, 5),
      this.text(15, 6, 18),
      ...(this.chance(0.5) ? [this.button()] : []),
      ...(this.chance(0.3) ? [this.badge()] : []),
    ]
    return this.node(
      'box',
      { ...this.look(), ...this.pad(0, 28), rowGap: this.whole(4, 20), ...width },
      children,
    )
  }

  header(): NodeTree {
    const links = Array.from({ length: this.whole(2, 5) }, () => this.text(15, 1, 1, { textAlign: 'left' }))
    const row: Props = { flow: 'row', align: 'center', width: { kind: 'snug' } }
    return this.node('section', { tag: 'header', ...this.look(), rotate: 0, ...this.pad(12, 24) }, [
      this.node('box', { flow: 'row', align: 'center', justify: 'space-between', columnGap: 24 }, [
        this.text(20, 1, 2),
        this.node('box', { ...row, columnGap: this.whole(12, 32) }, links),
        this.button(),
      ]),
    ])
  }

  hero(): NodeTree {
    const words = this.node('box', { rowGap: this.whole(12, 28), width: { kind: 'stretch', weight: 1 } }, [
      this.text(this.one([40, 48, 56, 64]), 3, 7),
      this.text(18, 10, 24),
      this.node('box', { flow: 'row', columnGap: 12, wrap: true, rowGap: 12 }, [
        this.button(),
        this.button(),
      ]),
    ])
    const flow: Props = { flow: 'row', align: 'center', columnGap: this.whole(16, 64) }
    return this.node(
      'section',
      { ...this.look(), rotate: 0, ...this.pad(40, 96), paddingLeft: 0, paddingRight: 0 },
      [
        this.node('box', flow, [words, this.picture({ width: { kind: 'stretch', weight: 1 } })]),
        ...(this.chance(0.4) ? [this.badge()] : []),
      ],
    )
  }

  cards(): NodeTree {
    const span = this.one([3, 4, 6])
    const cards = Array.from({ length: 12 / span + (this.chance(0.3) ? 12 / span : 0) }, () =>
      this.card({ width: { kind: 'columns', span } }),
    )
    const flow: Props = { flow: 'lattice', rowGap: this.whole(16, 40) }
    return this.node(
      'section',
      { ...flow, ...this.look(), rotate: 0, ...this.pad(32, 72), paddingLeft: 0, paddingRight: 0 },
      cards,
    )
  }

  quote(): NodeTree {
    return this.node(
      'section',
      { ...this.look(), rotate: 0, align: 'center', rowGap: 16, ...this.pad(48, 90) },
      [this.text(28, 6, 16, { textAlign: 'center', maxWidth: 720 }), this.text(14, 2, 4, { tag: 'cite' })],
    )
  }

  page(): NodeTree[] {
    const middle = Array.from({ length: this.whole(1, 3) }, () =>
      this.chance(0.6) ? this.cards() : this.quote(),
    )
    const sections = [this.header(), this.hero(), ...middle, this.quote()]
    const keys = generateNKeysBetween(null, null, sections.length)
    return sections.map((section, i) => ({ ...section, order: keys[i]! }))
  }

  /** What the page is drawn on: white, a colour, or one that lets white through. */
  background(): { background?: string } {
    return this.chance(0.5) ? {} : { background: this.one(FILLS) }
  }
}

/** @param assets pictures that the pages may show, whose bytes are where the page is drawn */
export function designedPage(seed: number, assets: readonly Asset[]): ProjectFile {
  const file = starterProject(`Page ${seed}`, 'home')
  file.assets = [...assets]
  const designer = new Designer(randomFrom(seed), assets)
  file.pages[0]!.sections = designer.page()
  file.pages[0]!.props = designer.background()
  return file
}
