/** Tabs of real browsers, and how they end. */
import { readdir, readFile } from 'node:fs/promises'
import { expect, type Page } from '@playwright/test'

/** Kills every process of the browser that uses a profile, as a crash or a power cut does. Resolves when they are gone. */
export async function killBrowser(profile: string) {
  const alive = async () => {
    const found: number[] = []
    for (const name of await readdir('/proc')) {
      const pid = Number(name)
      if (!(pid > 0) || pid === process.pid) continue
      const command = await readFile(`/proc/${pid}/cmdline`, 'utf8').catch(() => '')
      if (command.includes('chromium') && command.includes(profile)) found.push(pid)
    }
    return found
  }
  for (const pid of await alive()) {
    try {
      process.kill(pid, 'SIGKILL')
    } catch {
      // It ended by itself.
    }
  }
  await expect.poll(async () => (await alive()).length).toBe(0)
}

/** A section's height, typed in the ledger. */
export async function setHeight(page: Page, name: string, px: string) {
  await heightButton(page, name).click()
  await page.keyboard.type(px)
  await page.keyboard.press('Enter')
}

const heightButton = (page: Page, name: string) =>
  page
    .getByRole('button', { name: new RegExp(`^Height of ${name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`) })
    .first()

/** As `setHeight`; nothing when the row does not hold still, since another tab moves or removes it just then. */
export async function setHeightIfThere(page: Page, name: string, px: string) {
  const pressed = await heightButton(page, name)
    .click({ timeout: 5000 })
    .then(
      () => true,
      () => false,
    )
  if (!pressed) return
  await page.keyboard.type(px)
  await page.keyboard.press('Enter')
}
