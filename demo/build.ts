/** Writes demo/hollow-oak.lattice: the demo project in the open format. Run with `npm run demo:build`. */

import { writeFileSync } from 'node:fs'
import { generateNKeysBetween } from 'fractional-indexing'
import { nameOf } from '../src/core/blobs/blobs'
import { checkProject } from '../src/core/document/check'
import { Document } from '../src/core/document/document'
import { projectArchive } from '../src/core/document/save'
import { type Asset, FORMAT, type ProjectFile, VERSION } from '../src/core/document/schema'
import { applyAll } from '../src/core/edits/apply'
import { oneFill } from '../src/core/properties/items'
import { Builder, type Draft, plant } from '../src/core/shelf/build'
import { cards, footer, header, hero, quote } from '../src/core/shelf/sections'
import { starterTokens, starterViews } from '../src/core/shelf/starter'
import { shadowsAsToken, stopsAsToken } from '../src/core/tokens/look-text'
import { pairsOn } from '../src/core/tokens/pairs'
import { newThemeEdits, turnedColors } from '../src/core/tokens/themes'
import { plainText } from '../src/core/words/words'
import { layoutPage } from '../src/server/pictures'
import { answers, ask, bring, join, season, steps, workshopsHero } from './pages'
import { BEANS, CORN, PEPPERS, type Photograph } from './photographs'
import { PICTURES } from './pictures'

const views = starterViews()
const b = new Builder(views)
let count = 0
const makeId = () => `oak-${String(++count).padStart(3, '0')}`

const blobs = new Map<string, Uint8Array>()
const photographs: Record<string, Photograph> = {
  'pic-corn': await CORN(),
  'pic-bean': await BEANS(),
  'pic-pepper': await PEPPERS(),
}
const drawn = Object.entries(PICTURES).map(([id, { svg, ...picture }]) => ({
  id,
  type: 'image/svg+xml' as const,
  ...picture,
  bytes: new TextEncoder().encode(svg),
}))
const shown = [...drawn, ...Object.entries(photographs).map(([id, picture]) => ({ id, ...picture }))]
const assets: Asset[] = shown.map(({ bytes, ...picture }) => {
  const named = nameOf(bytes)
  blobs.set(named.hash, bytes)
  return { ...picture, ...named }
})
const NAMED = new Map(shown.map(({ id, name }) => [id, name]))

const LINKS: Record<string, string> = {
  Catalogue: '/catalogue',
  Workshops: '/workshops',
  Borrow: '/borrow',
  'How lending works': '/borrow',
  'Browse the catalogue': '/catalogue',
  'Hollow Oak': '/',
  'Sign in': '/borrow',
  'Reserve a packet': '/borrow',
  'See twelve kinds': '/catalogue',
  'See nine kinds': '/catalogue',
  'See four kinds': '/catalogue',
  'See seven kinds': '/catalogue',
  'See eight kinds': '/catalogue',
  'Keep a place': 'mailto:workshops@hollow-oak.test',
  'Terms and contact': 'mailto:desk@hollow-oak.test',
}
/** What a footer says and leads nowhere. */
const SAID = new Set(['Open Saturdays, ten to\u00a0four', 'The old glasshouse, Plot\u00a01'])
const NAMES: Record<string, string> = { 'Falling leaves': 'Leaves falling in green, gold and rust' }

/** Links that lead somewhere in the demo, and words for who cannot see the pictures. */
function finish(draft: Draft): Draft {
  const label = plainText(draft.props.words)
  const props = { ...draft.props }
  if (label && props.link === '#' && LINKS[label]) props.link = LINKS[label]
  if (label && SAID.has(label)) {
    delete props.link
    delete props.tag
  }
  // No heading ends in a word alone.
  if (/^h[1-3]$/.test(props.tag ?? '')) props.textWrap = 'balance'
  // Cut out of its ground, it has one of the page's.
  if (props.asset === 'pic-pepper') props.fills = oneFill('#e9dcc6')
  if (draft.kind === 'picture' && props.asset) {
    const name = NAMED.get(props.asset)!
    props.alt = NAMES[name] ?? name
  }
  return { ...draft, props, children: draft.children.map(finish) }
}

const head = () => header(b, 'Hollow Oak', ['Catalogue', 'Workshops', 'Borrow'], 'Sign in')
const foot = () =>
  footer(
    b,
    'Hollow Oak',
    [
      { title: 'Visit', links: ['Open Saturdays, ten to\u00a0four', 'The old glasshouse, Plot\u00a01'] },
      { title: 'Library', links: ['How lending works', 'Terms and contact'] },
    ],
    'A neighbourhood library that lends vegetable and flower seeds.',
  )

const opening = hero(
  b,
  {
    eyebrow: 'Free to borrow since spring',
    heading: 'Borrow a packet. Return a harvest.',
    text: 'Take home heirloom vegetable and flower seed, grow it, and bring some back in autumn for the next gardener.',
    action: 'Browse the catalogue',
    second: 'How lending works',
  },
  'pic-hero',
)

const ready = cards(b, 'Ready to sow this week', [
  {
    title: 'Lantern Ridge corn',
    text: 'Sow May to June · 90 days',
    action: 'Reserve a packet',
    asset: 'pic-corn',
  },
  {
    title: 'Tall Meadow bean',
    text: 'Sow April to July · 65 days',
    action: 'Reserve a packet',
    asset: 'pic-bean',
  },
  {
    title: 'Glasshouse pepper',
    text: 'Start indoors · 80 days',
    action: 'Reserve a packet',
    asset: 'pic-pepper',
  },
])

const catalogue = cards(b, 'All seed, by the month you sow it', [
  { title: 'Early packets', text: 'Sow February to April', action: 'See twelve kinds', asset: 'pic-packets' },
  {
    title: 'Under glass',
    text: 'Start indoors, plant out in May',
    action: 'See nine kinds',
    asset: 'pic-glasshouse',
  },
])

const bySpring = cards(b, 'Out in the open from May', [
  { title: 'Climbers', text: 'Beans and peas, along a string', action: 'See seven kinds', asset: 'pic-bean' },
  {
    title: 'For jars',
    text: 'What is dried, and kept for soup',
    action: 'See eight kinds',
    asset: 'pic-jars',
  },
  { title: 'Tall ones', text: 'Corn and what leans on it', action: 'See four kinds', asset: 'pic-rows' },
])

/** A section as a page begins with it: each heading one step up. */
const titled = (draft: Draft): Draft => {
  const { tag } = draft.props
  const up = tag === 'h2' ? 'h1' : tag === 'h3' ? 'h2' : tag
  return {
    ...draft,
    props: up === undefined ? draft.props : { ...draft.props, tag: up },
    children: draft.children.map(titled),
  }
}

const pages: { name: string; path: string; description: string; sections: Draft[] }[] = [
  {
    name: 'Home',
    path: '/',
    description: 'Borrow heirloom vegetable and flower seed, grow it, and bring some back in autumn.',
    sections: [
      head(),
      { ...opening },
      { ...ready, name: 'Ready to sow' },
      quote(b, '“We saved eleven packets from one row of peas.”', 'A borrower, plot 14'),
      foot(),
    ],
  },
  {
    name: 'Catalogue',
    path: '/catalogue',
    description: 'Every packet that can be borrowed, by the month it is sown in.',
    sections: [
      head(),
      { ...titled(catalogue), name: 'Catalogue' },
      // Of one ground with the band above it: no room twice between them.
      { ...bySpring, name: 'Out in the open', props: { ...bySpring.props, paddingTop: 0 } },
      ask(b),
      foot(),
    ],
  },
  {
    name: 'Workshops',
    path: '/workshops',
    description: 'Two hours on a Saturday: sowing, keeping seed true, threshing.',
    sections: [head(), workshopsHero(b), season(b), bring(b), foot()],
  },
  {
    name: 'Borrow',
    path: '/borrow',
    description: 'How lending works: choose four packets, sow them, bring a tenth back.',
    sections: [head(), steps(b), join(b), answers(b), foot()],
  },
]

/** A dark theme: every colour turned, then what words stand on moved until all that read well by day reads well by night. */
async function nightFall(doc: Document) {
  const pairs = []
  for (const { id } of doc.pagesInOrder())
    for (const { width } of doc.views)
      pairs.push(...pairsOn(await layoutPage({ doc, blobs: new Map() }, id, width)))
  const ids = { id: 'dark', first: 'light' }
  applyAll(doc, newThemeEdits(doc, ids, { name: 'Dark', scheme: 'dark' }, turnedColors(doc, pairs)))
}

/** Parts of a look that more than one block may have. */
const LOOKS = {
  shadow: {
    $type: 'shadow',
    raised: { $value: shadowsAsToken([{ x: 0, y: 18, blur: 48, spread: -12, color: '#10201a80' }]) },
  },
  gradient: {
    $type: 'gradient',
    dusk: {
      $value: stopsAsToken([
        { color: '{color.night}', at: 0 },
        { color: '{color.pine}', at: 100 },
      ]),
    },
  },
}

const pageKeys = generateNKeysBetween(null, null, pages.length)
const project: ProjectFile = {
  format: FORMAT,
  version: VERSION,
  name: 'Hollow Oak Seed Library',
  about: { lang: 'en', icon: 'pic-packets' },
  tokens: { ...starterTokens(), ...LOOKS },
  views,
  assets,
  pages: pages.map((page, i) => {
    const keys = generateNKeysBetween(null, null, page.sections.length)
    return {
      id: `page-${page.name.toLowerCase()}`,
      name: page.name,
      path: page.path,
      description: page.description,
      order: pageKeys[i]!,
      views: [],
      props: { background: '{color.paper}' },
      sections: page.sections.map((section, k) => plant(finish(section), makeId, keys[k]!)),
    }
  }),
}

const checked = Document.fromFile(checkProject(JSON.parse(JSON.stringify(project))))
await nightFall(checked)
writeFileSync(new URL('hollow-oak.lattice', import.meta.url), projectArchive(checked, blobs))
console.log(`demo/hollow-oak.lattice: ${pages.length} pages, ${count} blocks, ${assets.length} pictures`)
