/** What was not meant did not change: other pages, and with “only this view” all views above it. */
import { isDeepStrictEqual } from 'node:util'
import { Document } from '../../core/document/document'
import type { ProjectFile } from '../../core/document/schema'
import { difference } from '../../core/layout/rect'
import { layoutPage } from '../../server/pictures'
import type { Act } from './act'
import { differenceOf } from './difference'
import { Fault } from './fault'
import type { Tab } from './tab'

const NO_BLOBS = new Map<string, Uint8Array>()

/** @throws Fault at what an act changed beyond its reach */
export async function checkReach(tab: Tab, { name, reach }: Act, before: ProjectFile, after: ProjectFile) {
  if (isDeepStrictEqual(before, after) || reach === 'project') return
  const beyond = (what: string) => new Fault('reach', `“${name}” changed ${what}`)
  if (reach === 'nothing') throw beyond(`the project: ${differenceOf(before, after)}`)
  const page = await tab.page.locator('[data-board]').getAttribute('data-page')
  for (const was of before.pages) {
    const is = after.pages.find(({ id }) => id === was.id)
    if (was.id !== page && !isDeepStrictEqual(was, is))
      throw beyond(`another page, ${was.name}: ${differenceOf(was, is)}`)
  }
  const only = tab.page.locator('[data-scope=only]')
  if (reach !== 'values' || page === null || (await only.count()) === 0) return
  const here = await tab.activeView()
  const [old, now] = [before, after].map((file) => Document.fromFile(structuredClone(file)))
  for (const view of old!.views) {
    if (view.id === here) return
    const [one, other] = await Promise.all(
      [old!, now!].map((doc) => layoutPage({ doc, blobs: NO_BLOBS }, page, view.width)),
    )
    for (const { id } of one!.visible()) {
      const [was, is] = [one!.rect(id)!, other!.rect(id)]
      if (!is || difference(was, is) > 0.01)
        throw beyond(`${view.name}, and ${here} alone was meant: ${differenceOf(was, is, id)}`)
    }
  }
}
