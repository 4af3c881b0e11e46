/** Whole jobs by pointer and keyboard, counted: a click, a drag, a key chord and a value typed are a gesture each. */
import type { Locator, Page } from '@playwright/test'

export class Hand {
  count = 0
  constructor(readonly page: Page) {}

  async key(keys: string) {
    this.count++
    await this.page.keyboard.press(keys)
  }

  async type(text: string) {
    this.count++
    await this.page.keyboard.type(text)
  }

  async click(target: Locator) {
    this.count++
    await target.click()
  }

  /** From the shelf, by its name: three gestures. */
  async place(name: string) {
    await this.key('/')
    await this.type(name)
    await this.key('Enter')
  }

  /** The words of what is selected: three gestures. */
  async write(words: string) {
    await this.key('Enter')
    await this.type(words)
    await this.key('Escape')
  }

  /** A number of the spec: a click, a value, Enter. */
  async set(label: RegExp, value: string) {
    await this.click(this.page.getByRole('button', { name: label }).first())
    await this.type(value)
    await this.key('Enter')
  }

  async choose(label: RegExp, option: string) {
    await this.click(this.page.getByRole('combobox', { name: label }).first())
    await this.click(this.page.getByRole('option', { name: option }).first())
  }
}
