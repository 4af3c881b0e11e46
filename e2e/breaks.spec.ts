/** The browser is the oracle for where a line may break: every pair of these characters, in words of several scripts. */
import { expect, test } from '@playwright/test'
import { lineBreaks } from '../src/core/text/breaks'

const CHARS = [
  ...'aA1é’“”‘«»‹›„‚¿¡…–—-‐‑/\\|_~^`@#$%&*+=<>()[]{}.,:;!?\'"°×÷±§¶©®™€£¥¢†‡•·−→←↑↓✓✗★☆■□●○◆♥½⅓²₂∞≈≤≥≠√∑№',
  ...'😀🌱❤种かゃアァー・、。「」『』（）【】〈〉！？：；％￥＄〜…々한안Жאבءبш٣،־\u00a0\u2060',
]
/** Neither mended nor known to stand in any words: a slash before Arabic figures without figures before it. */
const KNOWN = '/٣'

/** For each text, whether the browser breaks behind its character at `at` where there is no room. */
function breaksInBrowser(texts: { text: string; at: number }[]): boolean[] {
  const host = document.createElement('div')
  host.lang = 'en'
  host.style.cssText = 'width: 0; font: 16px/20px sans-serif'
  for (const { text } of texts)
    host.append(Object.assign(document.createElement('div'), { textContent: text }))
  document.body.replaceChildren(host)
  const range = document.createRange()
  const topOf = (node: Node, at: number) => {
    range.setStart(node, at)
    range.setEnd(node, at + 1)
    return [...range.getClientRects()].at(-1)?.top
  }
  return texts.map(({ at }, i) => {
    const node = host.children[i]!.firstChild!
    const [before, after] = [topOf(node, at - 1), topOf(node, at)]
    return before !== undefined && after !== undefined && after > before + 5
  })
}

for (const beside of ['', 'x', '1', '種', '-', ' '])
  test(`a line breaks between two characters where the browser's does: “${beside}” on either side`, async ({
    page,
  }) => {
    await page.setContent('<!doctype html><meta charset="utf-8"><body></body>')
    const texts = CHARS.flatMap((a) =>
      CHARS.filter((b) => a + b !== KNOWN).map((b) => ({
        text: beside + a + b + beside,
        at: beside.length + a.length,
      })),
    ).filter(({ text, at }) => !/\s/.test(text[at - 1]! + text[at]!))
    const browser = await page.evaluate(breaksInBrowser, texts)
    const core = texts.map(({ text, at }) => lineBreaks(text).some((each) => each.at === at))
    const off = texts.filter((_, i) => browser[i] !== core[i]).map(({ text }) => text)
    expect(off).toEqual([])
    expect(browser.filter(Boolean).length).toBeGreaterThan(1000)
  })
