/** What a new project begins with: tokens that every shelf item refers to, and common views. */
import type { ProjectFile, View } from '../document/schema'
import { FORMAT, VERSION } from '../document/schema'
import {
  colorValue,
  dimensionValue,
  type TokenTree,
  type Typography,
  typographyValue,
} from '../document/tokens'

const color = (hex: string) => ({ $value: colorValue(hex) })
const dimension = (px: number) => ({ $value: dimensionValue(px) })
/** @param fontSize px @param lineHeight ratio @param letterSpacing px */
export const typeStyle = (
  fontFamily: string,
  fontSize: number,
  fontWeight: number,
  lineHeight: number,
  letterSpacing = 0,
): Typography => ({ fontFamily, fontSize, fontWeight, lineHeight, letterSpacing })
const type = (...style: Parameters<typeof typeStyle>) => ({ $value: typographyValue(typeStyle(...style)) })

export function starterTokens(display = 'Fraunces', text = 'Hanken Grotesk'): TokenTree {
  return {
    color: {
      $type: 'color',
      paper: color('#fffdf8'),
      ink: color('#24302a'),
      soft: color('#5d655f'),
      pine: color('#1d5c45'),
      night: color('#22332b'),
      wash: color('#f3efe4'),
      rule: color('#d9d3c5'),
      gold: color('#8a5a00'),
    },
    space: {
      $type: 'dimension',
      xs: dimension(8),
      s: dimension(16),
      m: dimension(24),
      l: dimension(48),
      xl: dimension(96),
    },
    type: {
      $type: 'typography',
      // Every size times its ratio is a whole number of px, so that heights add up to whole numbers.
      display: type(display, 64, 500, 1.125, -0.5),
      'display-small': type(display, 40, 500, 1.1),
      heading: type(display, 40, 500, 1.2),
      'heading-small': type(display, 30, 500, 1.2),
      title: type(display, 20, 500, 1.4),
      quote: type(display, 32, 400, 1.375),
      body: type(text, 16, 400, 1.5),
      small: type(text, 14, 400, 1.5),
      label: type(text, 15, 600, 1.2),
      eyebrow: type(text, 12, 600, 1.5, 1),
    },
  }
}

/** Widths offered for a new view; any other is allowed. `fold` is the height of a common window at that width. */
export const COMMON_WIDTHS = [
  { name: 'Wide desktop', width: 1920, fold: 1000 },
  { name: 'Desktop', width: 1512, fold: 900 },
  { name: 'Desktop', width: 1440, fold: 900 },
  { name: 'Laptop', width: 1366, fold: 680 },
  { name: 'Small laptop', width: 1280, fold: 720 },
  { name: 'Tablet', width: 1024, fold: 1366 },
  { name: 'Tablet', width: 834, fold: 1112 },
  { name: 'Mobile', width: 430, fold: 932 },
  { name: 'Mobile', width: 390, fold: 844 },
  { name: 'Small mobile', width: 360, fold: 740 },
  { name: 'Smallest mobile', width: 320, fold: 640 },
]

/** The height of a common window at a width: lying for computers, standing for tablets and phones. px */
function foldFor(width: number): number {
  const held = (value: number, least: number, most: number) =>
    Math.max(least, Math.min(most, Math.round(value / 10) * 10))
  if (width >= 900) return held(width * 0.62, 680, 1100)
  if (width > 640) return held((width * 4) / 3, 900, 1200)
  return held(width * 2.1, 560, 960)
}

/** A view with a lattice that suits its width. `wider`: the view before it, undefined for the widest. */
export function viewFor(id: string, name: string, width: number, wider?: { width: number }): View {
  const common = COMMON_WIDTHS.find((each) => each.width === width)
  const fold = common?.fold ?? foldFor(width)
  const breakpoint = wider
    ? Math.max(width, Math.min(wider.width - 1, Math.round((width + wider.width) / 2 / 10) * 10 - 1))
    : null
  const lattice =
    width > 1000
      ? {
          columns: 12,
          gutter: 24,
          container: Math.min(1224, Math.floor((width - 2 * 24) / 12) * 12),
          margin: 24,
        }
      : width > 640
        ? { columns: 8, gutter: 20, container: null, margin: 32 }
        : { columns: 4, gutter: 16, container: null, margin: 20 }
  return {
    id,
    name,
    width,
    breakpoint,
    fold,
    lattice: { ...lattice, halfGutters: false, place: 'center', baseline: 8 },
  }
}

export function starterViews(): View[] {
  const desktop = viewFor('desktop', 'Desktop', 1440)
  const mobile = viewFor('mobile', 'Mobile', 390, desktop)
  return [desktop, { ...mobile, breakpoint: 640 }]
}

/** An empty project with one empty page. */
export function starterProject(name: string, pageId: string): ProjectFile {
  return {
    format: FORMAT,
    version: VERSION,
    name,
    tokens: starterTokens(),
    views: starterViews(),
    assets: [],
    pages: [{ id: pageId, name: 'Home', path: '/', order: 'a0', views: [], sections: [] }],
  }
}

/** What a view of a width is usually called. */
export const nameForWidth = (width: number) =>
  COMMON_WIDTHS.find((each) => each.width === width)?.name ??
  (width > 1000 ? 'Desktop' : width > 640 ? 'Tablet' : 'Mobile')
