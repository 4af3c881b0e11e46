/** What placeholder pictures are drawn with: chance that can be repeated, colours that go together, a few shapes. */
import { chance } from '../forms/chance'
import { pathOfForm } from '../forms/form'
import { mapPath, pathData } from '../forms/path'

/** Ground, two tones beside it, an ink, an accent. */
export type Palette = readonly [ground: string, light: string, middle: string, dark: string, accent: string]

const PALETTES: readonly Palette[] = [
  ['#f0e6d2', '#e2cfa6', '#9bb08a', '#2f4a3c', '#c8602f'],
  ['#dfe7ea', '#bfd0d8', '#7f9db0', '#26394a', '#e0a43c'],
  ['#f3ded3', '#e6b8a2', '#b4786a', '#4a2b33', '#6d8f7b'],
  ['#e7e2ef', '#c9bfe0', '#8a7bb0', '#322a4f', '#e2875a'],
  ['#e3ecdc', '#c2d6ae', '#7ba06b', '#27402c', '#d9a23a'],
  ['#222a33', '#3a4652', '#6f8796', '#e9e4d6', '#e8743b'],
  ['#f6efe0', '#f0c987', '#d98f4e', '#5a3220', '#3f7f86'],
  ['#d8e8e2', '#9fc9bd', '#4f8f86', '#1d3d40', '#e06a5a'],
]

export class Drawing {
  private count = 0
  private readonly parts: string[] = []
  readonly palette: Palette

  constructor(
    private readonly seed: number,
    readonly width: number,
    readonly height: number,
  ) {
    this.palette = PALETTES[Math.floor(this.next() * PALETTES.length)]!
  }

  /** 0 to 1. */
  next(): number {
    return chance(this.seed, this.count++)
  }
  between(low: number, high: number): number {
    return low + this.next() * (high - low)
  }
  one<T>(list: readonly T[]): T {
    return list[Math.floor(this.next() * list.length)]!
  }

  add(element: string) {
    this.parts.push(element)
  }
  rect(x: number, y: number, width: number, height: number, fill: string, radius = 0) {
    this.add(
      `<rect x="${n(x)}" y="${n(y)}" width="${n(width)}" height="${n(height)}" rx="${n(radius)}" fill="${fill}"/>`,
    )
  }
  ellipse(x: number, y: number, rx: number, ry: number, fill: string, more = '') {
    this.add(`<ellipse cx="${n(x)}" cy="${n(y)}" rx="${n(rx)}" ry="${n(ry)}" fill="${fill}"${more}/>`)
  }
  path(data: string, fill: string, more = '') {
    this.add(`<path d="${data}" fill="${fill}"${more}/>`)
  }
  line(data: string, stroke: string, width: number) {
    this.add(
      `<path d="${data}" fill="none" stroke="${stroke}" stroke-width="${n(width)}" stroke-linecap="round" stroke-linejoin="round"/>`,
    )
  }
  /** Something soft of a size round a point. */
  blob(x: number, y: number, width: number, height: number, fill: string, swing = 30) {
    const form = { form: 'blob', seed: Math.floor(this.next() * 9999), points: 7, swing } as const
    const at = mapPath(pathOfForm(form), ([a, b]) => [
      x + ((a - 50) / 100) * width,
      y + ((b - 50) / 100) * height,
    ])
    this.path(pathData(at), fill)
  }
  /** A leaf from a foot to a tip. */
  leaf(x: number, y: number, length: number, degrees: number, fill: string) {
    const wide = length * 0.28
    this.add(
      `<path transform="translate(${n(x)} ${n(y)}) rotate(${n(degrees)})" d="M0 0C${n(wide)} ${n(-length * 0.3)} ${n(wide)} ${n(-length * 0.7)} 0 ${n(-length)}C${n(-wide)} ${n(-length * 0.7)} ${n(-wide)} ${n(-length * 0.3)} 0 0Z" fill="${fill}"/>`,
    )
  }

  svg(): string {
    const { width, height, palette } = this
    return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}" height="${n(height)}" viewBox="0 0 ${n(width)} ${n(height)}"><rect width="${n(width)}" height="${n(height)}" fill="${palette[0]}"/>${this.parts.join('')}</svg>`
  }
}

export const n = (value: number) => String(Math.round(value * 10) / 10)
