/** What axe-core finds wrong on a screen of the app. */
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

type Axe = {
  run: (
    context: unknown,
    options: unknown,
  ) => Promise<{ violations: { impact: string; id: string; nodes: { html: string }[] }[] }>
}

/** @returns rule and element of each */
export async function violationsOn(page: Page): Promise<string[]> {
  // Evaluated rather than added as a script: the page's policy allows no foreign scripts.
  await page.evaluate(AXE)
  return page.evaluate(async () => {
    const { axe } = globalThis as unknown as { axe: Axe }
    // Where a sheet goes on behind a panel it is taken for what the panel's words stand on.
    const sheets = [...document.querySelectorAll('[data-sheet]')].flatMap((sheet) => [
      sheet.parentElement!,
      // It goes back to what elements are by themselves, and is seen again.
      ...(sheet.shadowRoot?.querySelectorAll<HTMLElement>('.page') ?? []),
    ])
    for (const sheet of sheets) sheet.style.visibility = 'hidden'
    // A row of the ledger is named by its name; its numbers are controls of their own.
    // Lists, menus and tips float outside of the landmarks.
    // What lies on a sheet, or shows how its words read, is the user's page, not ours; what guards the ends of a panel hands the focus on at once.
    const { violations } = await axe.run(
      { exclude: [['[data-sheet]'], ['[data-sample]'], ['[data-base-ui-focus-guard]']] },
      { rules: { 'label-content-name-mismatch': { enabled: false }, region: { enabled: false } } },
    )
    for (const sheet of sheets) sheet.style.visibility = ''
    return violations.map((each) => `${each.id}: ${each.nodes[0]!.html}`)
  })
}
