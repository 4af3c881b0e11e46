/** Draws the demo's pictures: leaves, pods, packets, a glasshouse. Plain SVG from a seeded generator. */
import { randomFrom } from '../src/cli/random'

type Picture = { name: string; width: number; height: number; svg: string }

const INKS = ['#1f4d3a', '#2f6b4f', '#8fae7c', '#dba53a', '#e9c67a', '#b5532d']
const r = (value: number) => Math.round(value * 10) / 10

function leaf(length: number, width: number, fill: string): string {
  return (
    `<path d="M0 0C${r(length * 0.25)} ${r(-width)} ${r(length * 0.75)} ${r(-width)} ${r(length)} 0C${r(length * 0.75)} ${r(width)} ${r(length * 0.25)} ${r(width)} 0 0Z" fill="${fill}"/>` +
    `<path d="M0 0H${r(length)}" stroke="#ffffff" stroke-opacity=".35" stroke-width="2"/>`
  )
}

function leaves(
  name: string,
  seed: number,
  ground: string,
  count: number,
  width = 1200,
  height = 960,
): Picture {
  const next = randomFrom(seed)
  let body = ''
  for (let i = 0; i < count; i++) {
    const length = 160 + next() * 260
    const fill = INKS[Math.floor(next() * INKS.length)]
    body += `<g transform="translate(${r(next() * width)} ${r(next() * height)}) rotate(${r(next() * 360)})">${leaf(length, length * (0.28 + next() * 0.2), fill!)}</g>`
  }
  return picture(name, width, height, ground, body)
}

function picture(name: string, width: number, height: number, ground: string, body: string): Picture {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><rect width="${width}" height="${height}" fill="${ground}"/>${body}</svg>`
  return { name, width, height, svg }
}

function packets(name: string, seed: number, ground: string): Picture {
  const next = randomFrom(seed)
  const width = 960
  const height = 720
  let body = ''
  for (let i = 0; i < 4; i++) {
    const ink = INKS[(i * 2) % INKS.length]
    const front =
      `<rect x="-110" y="-160" width="220" height="320" rx="6" fill="#fffdf7"/><rect x="-110" y="-160" width="220" height="70" fill="${ink}"/>` +
      `<g transform="translate(-70 60) rotate(-35)">${leaf(190, 60, INKS[(i + 1) % INKS.length]!)}</g><rect x="-70" y="118" width="140" height="12" fill="${ink}" opacity=".5"/>`
    body += `<g transform="translate(${170 + i * 205} ${r(340 + next() * 60)}) rotate(${r(-14 + next() * 28)})">${front}</g>`
  }
  return picture(name, width, height, ground, body)
}

function glasshouse(name: string): Picture {
  const width = 1440
  const height = 900
  let body =
    '<rect y="700" width="1440" height="200" fill="#8fae7c"/><path d="M220 700V360L720 140L1220 360V700Z" fill="#f3efe2"/>'
  for (let i = 0; i <= 10; i++)
    body += `<path d="M${220 + i * 100} 700V${r(i <= 5 ? 360 - i * 44 : 140 + (i - 5) * 44)}" stroke="#2f6b4f" stroke-width="8"/>`
  body +=
    '<path d="M220 360H1220M220 530H1220M220 700V360L720 140L1220 360V700Z" fill="none" stroke="#1f4d3a" stroke-width="12"/>'
  const next = randomFrom(31)
  for (let i = 0; i < 26; i++) {
    const length = 70 + next() * 110
    body += `<g transform="translate(${r(260 + next() * 920)} 700) rotate(${r(-120 + next() * 60)})">${leaf(length, length * 0.3, INKS[Math.floor(next() * 4)]!)}</g>`
  }
  return picture(name, width, height, '#cfe0dc', body)
}

/** Beds in rows that run to a hill, under a low sun. */
function rows(name: string): Picture {
  const [width, height] = [1600, 900]
  let body =
    '<circle cx="1180" cy="300" r="120" fill="#e9c67a"/><path d="M0 420C320 300 620 360 860 400S1360 330 1600 390V900H0Z" fill="#8fae7c"/>' +
    '<path d="M0 520C400 430 900 470 1600 450V900H0Z" fill="#2f6b4f"/>'
  const inks = ['#1f4d3a', '#8fae7c', '#dba53a']
  for (let i = -7; i <= 7; i++) {
    const top = 800 + i * 46
    body += `<path d="M${top - 6} 470L${800 + i * 260 - 60} 900H${800 + i * 260 + 60}L${top + 6} 470Z" fill="${inks[(i + 9) % 3]}"/>`
  }
  return picture(name, width, height, '#f3d9a4', body)
}

/** Pots on a bench, each with something coming up. */
function pots(name: string, seed: number): Picture {
  const next = randomFrom(seed)
  const [width, height] = [1100, 1000]
  let body =
    '<rect y="760" width="1100" height="40" fill="#6b4a2b"/><rect y="800" width="1100" height="200" fill="#8a6238"/>'
  for (let i = 0; i < 4; i++) {
    const x = 150 + i * 265
    const tall = 150 + next() * 60
    for (let k = 0; k < 5; k++)
      body += `<g transform="translate(${x} ${r(760 - tall)}) rotate(${r(-150 + k * 30 + next() * 12)})">${leaf(150 + next() * 120, 44, INKS[Math.floor(next() * 4)]!)}</g>`
    body += `<path d="M${x - 90} ${r(760 - tall)}H${x + 90}L${x + 64} 760H${x - 64}Z" fill="#b5532d"/><rect x="${x - 100}" y="${r(760 - tall - 22)}" width="200" height="40" rx="4" fill="#c9683f"/>`
  }
  return picture(name, width, height, '#dfe9dc', body)
}

/** Jars on a shelf, filled with what was threshed. */
function jars(name: string, seed: number): Picture {
  const next = randomFrom(seed)
  const [width, height] = [960, 720]
  let body = '<rect y="560" width="960" height="26" fill="#6b4a2b"/>'
  for (let i = 0; i < 4; i++) {
    const x = 120 + i * 190
    const fill = 330 + next() * 110
    let seeds = ''
    for (let k = 0; k < 46; k++)
      seeds += `<ellipse cx="${r(x + 20 + next() * 110)}" cy="${r(fill + 10 + next() * (540 - fill))}" rx="13" ry="9" fill="${INKS[Math.floor(next() * INKS.length)]}"/>`
    body += `<rect x="${x}" y="${r(fill)}" width="150" height="${r(560 - fill)}" fill="#f3efe2"/>${seeds}<rect x="${x}" y="240" width="150" height="320" rx="16" fill="#ffffff" fill-opacity=".28" stroke="#ffffff" stroke-width="6"/><rect x="${x + 14}" y="206" width="122" height="44" rx="6" fill="#1f4d3a"/>`
  }
  return picture(name, width, height, '#e9cfae', body)
}

export const PICTURES: Record<string, Picture> = {
  'pic-hero': leaves('Falling leaves', 7, '#efdcb2', 15),
  'pic-packets': packets('Seed packets', 3, '#e0ebe3'),
  'pic-glasshouse': glasshouse('The glasshouse'),
  'pic-rows': rows('Rows in spring'),
  'pic-pots': pots('Pots on the bench', 17),
  'pic-jars': jars('Jars on the shelf', 29),
}
