/** The board, SVG and our own PNG look like the handed-off page, pixel by pixel, on the demo, the shelf and random pages. */
import { compare, pixelsOf } from '../src/cli/parity/compare'
import { subjects } from '../src/cli/parity/subjects'
import { BAR } from '../src/cli/parity/verb'
import { Ways } from '../src/cli/parity/ways'
import { expect, SPEAKING, test } from './app'

test('what is drawn anywhere is what is handed off', async ({ app, request }) => {
  test.setTimeout(900_000)
  const drawing = await Ways.open(app)
  const projects = new Set<string>()
  try {
    const shares: number[] = []
    for await (const subject of subjects(app, 4, 4200)) {
      projects.add(subject.project)
      const layout = await drawing.layoutOf(subject)
      const shipped = await pixelsOf(await drawing.shipped(subject, layout))
      for (const way of ['board', 'svg', 'png'] as const) {
        const { share, flat } = compare(shipped, await pixelsOf(await drawing.drawn(way, subject, layout)))
        shares.push(share)
        expect(share, `${way} of ${subject.name}`).toBeLessThanOrEqual(BAR.page)
        expect(flat, `flat areas, ${way} of ${subject.name}`).toBeLessThanOrEqual(BAR.flat)
      }
    }
    expect(shares.length).toBeGreaterThan(30)
    expect(shares.reduce((sum, share) => sum + share, 0) / shares.length).toBeLessThanOrEqual(BAR.mean)
  } finally {
    await drawing.close()
    for (const id of projects) await request.delete(`${app.address}api/projects/${id}`, { headers: SPEAKING })
  }
})
