/** Writing: marks, paragraphs, lists, links; two people in one paragraph; one history with all else. */
import type { Page } from '@playwright/test'
import { choose, expect, findNode, onSheet, row, saved, setValue, stored, test } from './app'

type Inline = { type: string; text?: string; marks?: { type: string; attrs?: { value: unknown } }[] }
type Block = { type: string; content?: (Inline & Block)[] }

const WORDS = 'Seeds to borrow, seeds to give back'
const field = (page: Page) => page.getByRole('textbox', { name: /^Text of/ })

/** The first paragraph of the quote, ready to be written. */
async function open(page: Page, text: string | RegExp) {
  await page.locator('[data-sheet="desktop"] [data-node]', { hasText: text }).last().dblclick()
  await expect(field(page)).toBeFocused()
}

/** Opens the board anew: what comes behind it is asked for again. */
async function reopen(page: Page) {
  await page.reload()
  await page.locator('[data-sheet="desktop"] [data-node]').first().waitFor()
}

async function write(page: Page, text: string) {
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type(text)
}

/** What a block of a name says, once that is saved. */
async function wordsOf(page: Page, name: string): Promise<Block[]> {
  await saved(page)
  for (const { sections } of (await stored(page)).pages) {
    const node = findNode(sections, name)
    if (node) return node.props.words as Block[]
  }
  return []
}

/** Selects the last so many characters, by keys. */
async function selectBack(page: Page, count: number) {
  for (let i = 0; i < count; i++) await page.keyboard.press('Shift+ArrowLeft')
}

const LEAD = /^Take home heirloom/
const NAME = 'Paragraph'

/** Opens the lead's words while what they are written with is held back. @returns lets it through */
async function openHeld(desk: Page): Promise<() => void> {
  let letThrough: () => void = () => {}
  const opened = new Promise<void>((resolve) => {
    letThrough = resolve
  })
  await desk.route('**/assets/typing-*.js', async (route) => {
    await opened
    await route.continue()
  })
  await reopen(desk)
  await open(desk, LEAD)
  return letThrough
}

test('a part of a text is made bold, slanted, coloured and a link, and handed off so', async ({ desk }) => {
  await open(desk, LEAD)
  await write(desk, WORDS)
  await selectBack(desk, 'give back'.length)
  await desk.keyboard.press('ControlOrMeta+b')
  await expect(desk.getByRole('button', { name: 'Bold' })).toHaveAttribute('aria-pressed', 'true')
  await desk.keyboard.press('ControlOrMeta+i')
  await desk.getByRole('button', { name: /^Ink of the selected words/ }).click()
  await desk.getByRole('option', { name: 'pine' }).click()
  await desk.getByRole('button', { name: 'Struck through' }).click()
  await field(desk).focus()
  await desk.keyboard.press('ControlOrMeta+k')
  await desk.keyboard.type('/catalogue')
  await desk.keyboard.press('Enter')
  await expect(field(desk)).toBeFocused()
  await desk.keyboard.press('Escape')
  await expect(field(desk)).toHaveCount(0)
  const { content } = (await wordsOf(desk, NAME))[0]!
  expect(content).toEqual([
    { type: 'text', text: 'Seeds to borrow, seeds to ' },
    {
      type: 'text',
      text: 'give back',
      marks: [
        { type: 'link', attrs: { value: 'page:page-catalogue' } },
        { type: 'weight', attrs: { value: 700 } },
        { type: 'italic', attrs: { value: true } },
        { type: 'color', attrs: { value: '{color.pine}' } },
        { type: 'strike' },
      ],
    },
  ])
  const part = onSheet(desk, 'desktop', WORDS).locator('span', { hasText: 'give back' })
  await expect(part).toHaveCSS('font-weight', '700')
  await expect(part).toHaveCSS('font-style', 'italic')
  await expect(part).toHaveCSS('text-decoration-line', 'underline line-through')
  // And as plain as before, a step at a time.
  for (let i = 0; i < 5; i++) await desk.keyboard.press('ControlOrMeta+z')
  expect((await wordsOf(desk, NAME))[0]!.content).toEqual([{ type: 'text', text: WORDS }])
})

test('what is typed while the writing is fetched is kept, in order', async ({ desk }) => {
  const letThrough = await openHeld(desk)
  await desk.keyboard.type('Seedss')
  await desk.keyboard.press('Backspace')
  await desk.keyboard.type(' for a')
  await desk.keyboard.press('Shift+Enter')
  await desk.keyboard.type('year')
  await expect(field(desk)).toHaveAttribute('aria-busy', 'true')
  letThrough()
  await expect(field(desk)).toHaveText('Seeds for ayear')
  await desk.keyboard.type('!')
  await desk.keyboard.press('Escape')
  expect(await wordsOf(desk, NAME)).toMatchObject([
    { content: [{ text: 'Seeds for a' }, { type: 'break' }, { text: 'year!' }] },
  ])
})

test('a caret key pressed while the writing is fetched leads where it says: nothing is written over', async ({
  desk,
}) => {
  const letThrough = await openHeld(desk)
  const before = (await wordsOf(desk, NAME))[0]!.content![0]!.text!
  for (const key of [
    'ControlOrMeta+End',
    '!',
    'ControlOrMeta+Home',
    '(',
    'ArrowRight',
    'Delete',
    'End',
    'ArrowLeft',
    '?',
  ])
    await desk.keyboard.press(key)
  await expect(field(desk)).toHaveAttribute('aria-busy', 'true')
  letThrough()
  await expect(field(desk)).not.toHaveAttribute('aria-busy', 'true')
  const [, first] = before
  expect(first).toBe('a')
  await expect(field(desk)).toHaveText(`(${before[0]}${before.slice(2)}?!`)
})

test('what was typed and left before the writing is there is written all the same, and the focus stays', async ({
  desk,
}) => {
  const letThrough = await openHeld(desk)
  await desk.keyboard.type('Seeds at once')
  await desk.keyboard.press('Escape')
  await desk.keyboard.press('/')
  await desk.keyboard.type('pic')
  letThrough()
  await expect(field(desk)).toHaveCount(0)
  await desk.keyboard.type('ture')
  await expect(desk.getByRole('combobox', { name: /^Place anything/ })).toHaveValue('picture')
  await expect.poll(() => wordsOf(desk, NAME)).toMatchObject([{ content: [{ text: 'Seeds at once' }] }])
})

test('when the writing cannot be fetched the text stays as it is, which is said', async ({ desk }) => {
  await desk.route('**/assets/typing-*.js', (route) => route.abort())
  await reopen(desk)
  await desk.locator('[data-sheet="desktop"] [data-node]', { hasText: LEAD }).last().dblclick()
  await expect(desk.getByRole('alert')).toContainText('cannot be fetched; try again')
  await expect(field(desk)).toHaveCount(0)
})

test('paragraphs and lists: Enter, a dash and a space, Tab; on the sheet where the editor had them', async ({
  desk,
}) => {
  // At its own size, writing goes no closer.
  await onSheet(desk, 'desktop', 'Take home heirloom').click()
  await desk.keyboard.press('ControlOrMeta+0')
  await open(desk, LEAD)
  await write(desk, 'Bring')
  await desk.keyboard.press('Enter')
  await desk.keyboard.type('- a jar')
  await desk.keyboard.press('Enter')
  await desk.keyboard.type('a label')
  await desk.keyboard.press('Enter')
  await desk.keyboard.press('Tab')
  await desk.keyboard.type('with the year')
  const items = field(desk).locator('li')
  await expect(items).toHaveCount(3)
  const places = await items.evaluateAll((all) =>
    all.map((each) => {
      const range = document.createRange()
      range.selectNodeContents(each.querySelector('p')!)
      const { left, top, width } = range.getBoundingClientRect()
      return { left, top, width }
    }),
  )
  await desk.keyboard.press('Escape')
  expect(await wordsOf(desk, NAME)).toMatchObject([
    { type: 'paragraph' },
    { type: 'bullets', content: [{ type: 'item' }, { type: 'item', content: [{}, { type: 'bullets' }] }] },
  ])
  for (const [i, words] of ['a jar', 'a label', 'with the year'].entries()) {
    const line = onSheet(desk, 'desktop', 'Bring').locator('.line span', { hasText: words })
    const { left, width } = await line.evaluate((span) => {
      const { left, width } = span.getBoundingClientRect()
      return { left, width }
    })
    expect(Math.abs(left - places[i]!.left), words).toBeLessThan(0.5)
    expect(Math.abs(width - places[i]!.width), words).toBeLessThan(0.5)
  }
})

test('what is taken for a heading is written as one: Enter ends it, Shift Enter begins a line', async ({
  desk,
}) => {
  await desk.locator('[role=treeitem][data-name="Quote"]').click()
  await desk.keyboard.press('/')
  await desk.keyboard.type('heading')
  await desk.keyboard.press('Enter')
  await expect(desk.locator('[data-meaning=h2]')).toBeVisible()
  await desk.keyboard.press('Enter')
  await expect(field(desk)).toBeFocused()
  await desk.keyboard.type('Two')
  await desk.keyboard.press('Shift+Enter')
  await desk.keyboard.type('lines')
  await desk.keyboard.press('Enter')
  await expect(field(desk)).toHaveCount(0)
  await expect(desk.locator('[data-meaning=h2]')).toBeVisible()
})

test('two people in one paragraph keep their words, and each undoes their own', async ({ desk, context }) => {
  await open(desk, LEAD)
  await write(desk, WORDS)
  await saved(desk)
  const other = await context.newPage()
  await other.goto(desk.url())
  await other.locator('[data-sheet] [data-node]').first().waitFor()
  await open(other, WORDS)
  await desk.keyboard.press('ControlOrMeta+Home')
  await other.keyboard.press('ControlOrMeta+End')
  await Promise.all([
    desk.keyboard.type('All our ', { delay: 20 }),
    other.keyboard.type(' in the autumn', { delay: 15 }),
  ])
  const both = 'All our Seeds to borrow, seeds to give back in the autumn'
  await expect(field(desk)).toHaveText(both)
  await expect(field(other)).toHaveText(both)
  await saved(other)
  expect((await wordsOf(desk, NAME))[0]!.content).toEqual([{ type: 'text', text: both }])
  await field(desk).focus()
  const theirs = 'Seeds to borrow, seeds to give back in the autumn'
  // One step, or two where the machine rested between two keys for longer than a person does.
  while ((await field(desk).textContent())?.startsWith('A')) await desk.keyboard.press('ControlOrMeta+z')
  await expect(field(desk)).toHaveText(theirs)
  await expect(field(other)).toHaveText(theirs)
  await other.close()
})

test('what is pasted keeps its paragraphs, lists and marks, and nothing else', async ({ desk }) => {
  await open(desk, LEAD)
  await desk.keyboard.press('ControlOrMeta+a')
  await field(desk).evaluate((element) => {
    const data = new DataTransfer()
    data.setData(
      'text/html',
      '<h2 style="color:red">Sowing</h2><p onclick="x()">In <b>March</b>, <a href="javascript:x()">not</a> ' +
        '<a href="https://seeds.test/">later</a></p><ul><li>Peas</li></ul><script>x()</script>',
    )
    element.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    )
  })
  await desk.keyboard.press('Escape')
  expect(await wordsOf(desk, NAME)).toEqual([
    { type: 'paragraph', content: [{ type: 'text', text: 'Sowing' }] },
    {
      type: 'paragraph',
      content: [
        { type: 'text', text: 'In ' },
        { type: 'text', text: 'March', marks: [{ type: 'weight', attrs: { value: 700 } }] },
        { type: 'text', text: ', not ' },
        { type: 'text', text: 'later', marks: [{ type: 'link', attrs: { value: 'https://seeds.test/' } }] },
      ],
    },
    {
      type: 'bullets',
      content: [
        { type: 'item', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Peas' }] }] },
      ],
    },
  ])
})

test('with “Only Mobile” on, what is typed there is Mobile’s alone', async ({ desk }) => {
  await desk.locator('[data-sheet="mobile"] [data-node]', { hasText: LEAD }).last().click()
  await desk.getByRole('radio', { name: 'Only Mobile' }).click()
  await desk.locator('[data-sheet="mobile"] [data-node]', { hasText: LEAD }).last().dblclick()
  await expect(field(desk)).toBeFocused()
  await write(desk, 'Short words')
  await desk.keyboard.press('Escape')
  await expect(onSheet(desk, 'mobile', 'Short words')).toBeVisible()
  await expect(onSheet(desk, 'desktop', 'Short words')).toHaveCount(0)
})

test('an arrow is drawn as it ships; what no font has is marked with its name', async ({ desk }) => {
  await open(desk, LEAD)
  await write(desk, 'Read more → ก')
  await desk.keyboard.press('Escape')
  await expect(desk.locator('[data-missing]').first()).toContainText('no font has ก (U+0E01)')
  await expect(desk.getByRole('note')).toContainText('ก (U+0E01)')
  await expect(desk.getByRole('note')).not.toContainText('→')
})

test('typing in a text draws its own row of the ledger anew, and no other', async ({ desk }) => {
  const text = desk.locator('[data-sheet="desktop"] [data-node]', { hasText: LEAD }).last()
  await text.dblclick()
  await expect(field(desk)).toBeFocused()
  await desk.keyboard.press('End')
  // React puts the props that an element was last drawn with on it: others mean that it was drawn anew.
  const drawnAnew = (isFirst: boolean) =>
    desk.locator('[role=treeitem]').evaluateAll((rows, note) => {
      return rows.flatMap((row) => {
        const drawn = row as unknown as Record<string, unknown>
        const props = drawn[Object.keys(drawn).find((key) => key.startsWith('__reactProps$'))!]
        const isOther = drawn.seenProps !== props
        if (note) drawn.seenProps = props
        return isOther ? [(row as HTMLElement).dataset.name] : []
      })
    }, isFirst)
  const all = await drawnAnew(true)
  expect(all.length).toBeGreaterThan(8)
  expect(await drawnAnew(false)).toEqual([])
  await desk.keyboard.type('x')
  await saved(desk)
  expect((await drawnAnew(false)).length).toBeLessThanOrEqual(1)
  await desk.keyboard.press('Escape')
  await row(desk, 'Header').click()
  // The check sees a row that is drawn anew.
  expect(await drawnAnew(false)).toContain('Header')
})

test('quotes, dashes and dots are set as they are read; Backspace gives back what was typed, and code keeps it', async ({
  desk,
}) => {
  await open(desk, LEAD)
  await write(desk, 'She said "sow now" -- don\'t wait...')
  await expect(field(desk)).toHaveText('She said “sow now” — don’t wait…')
  await desk.keyboard.press('Backspace')
  await expect(field(desk)).toHaveText('She said “sow now” — don’t wait...')
  await desk.keyboard.press('Escape')
  const { content } = (await wordsOf(desk, NAME))[0]!
  expect(content![0]!.text).toBe('She said “sow now” — don’t wait...')
})

test('a sign is found by name and put where one writes', async ({ desk }) => {
  await open(desk, LEAD)
  await write(desk, 'Seeds ')
  await desk.getByRole('button', { name: 'Insert a sign or an icon' }).click()
  await desk.getByLabel('Find a sign').fill('arrow right')
  await desk.keyboard.press('Enter')
  await expect(field(desk)).toBeFocused()
  await desk.keyboard.type(' home')
  await expect(field(desk)).toHaveText('Seeds → home')
  await desk.getByRole('button', { name: 'Insert a sign or an icon' }).click()
  await desk.getByLabel('Find a sign').fill('no such')
  await expect(desk.getByText('No sign and no icon here is called that.')).toBeVisible()
  await desk.getByLabel('Find a sign').fill('')
  await desk.getByRole('button', { name: 'copyright', exact: true }).click()
  await expect(field(desk)).toHaveText('Seeds → home©')
  await desk.keyboard.press('Escape')
  const { content } = (await wordsOf(desk, NAME))[0]!
  expect(content![0]!.text).toBe('Seeds → home©')
})

test('an icon is found by name and stands among the words, as large as they are and in their ink', async ({
  desk,
}) => {
  await open(desk, LEAD)
  await write(desk, 'Call us: ')
  await desk.getByRole('button', { name: 'Insert a sign or an icon' }).click()
  await desk.getByLabel('Find a sign').fill('phone')
  await desk.getByRole('button', { name: 'Phone', exact: true }).click()
  await expect(field(desk)).toBeFocused()
  await desk.keyboard.type(' 12')
  await expect(field(desk).locator('svg')).toHaveCount(1)
  // Grown, it is so on the sheet, where nothing is written any more.
  for (let i = 0; i < 4; i++) await desk.keyboard.press('ArrowLeft')
  await desk.keyboard.press('Shift+ArrowRight')
  await setValue(desk, 'Size of the selected words', '36')
  await field(desk).press('Escape')
  const lead = onSheet(desk, 'desktop', 'Call us:')
  await expect(lead.locator('svg')).toHaveCount(1)
  const { content } = (await wordsOf(desk, NAME))[0]!
  expect(content!.map(({ type }) => type)).toEqual(['text', 'icon', 'text'])
  expect(content![1]).toMatchObject({ attrs: { name: 'phone' }, marks: [{ type: 'size' }] })
  const size = content![1]!.marks!.find(({ type }) => type === 'size')!.attrs!.value as number
  const [drawn, words] = await lead.evaluate((text) => [
    text.querySelector('svg')!.getBoundingClientRect().height,
    Number.parseFloat(getComputedStyle(text).fontSize) *
      (text.getBoundingClientRect().width / (text as HTMLElement).offsetWidth),
  ])
  expect(drawn! / words!).toBeCloseTo(size, 1)
  // Taken away like a letter, and back again.
  await open(desk, 'Call us:')
  await desk.keyboard.press('End')
  for (let i = 0; i < 4; i++) await desk.keyboard.press('Backspace')
  await expect(field(desk).locator('svg')).toHaveCount(0)
  await desk.keyboard.press('Control+z')
  await expect(field(desk).locator('svg')).toHaveCount(1)
})

test('a text that somebody else takes away while it is written is left, and the board goes on', async ({
  desk,
  context,
}) => {
  await open(desk, LEAD)
  await write(desk, 'Call us: ')
  await saved(desk)
  const other = await context.newPage()
  await other.goto(desk.url())
  await onSheet(other, 'desktop', 'Call us:').click()
  await other.keyboard.press('Delete')
  await expect(onSheet(desk, 'desktop', 'Call us:')).toHaveCount(0)
  await expect(field(desk)).toHaveCount(0)
  await expect(desk.getByRole('alert')).toHaveCount(0)
  await row(desk, 'Quote').click()
  await expect(desk.getByRole('button', { name: /^Height of Quote/ })).toBeVisible()
  await other.close()
})

test('an icon is copied and pasted with the words around it', async ({ desk }) => {
  await open(desk, LEAD)
  await write(desk, 'Call us: ')
  await desk.getByRole('button', { name: 'Insert a sign or an icon' }).click()
  await desk.getByLabel('Find a sign').fill('phone')
  await desk.getByRole('button', { name: 'Phone', exact: true }).click()
  await desk.keyboard.type(' 12')
  await desk.keyboard.press('ControlOrMeta+a')
  await desk.keyboard.press('ControlOrMeta+c')
  await desk.keyboard.press('End')
  await desk.keyboard.type(', or ')
  await desk.keyboard.press('ControlOrMeta+v')
  await expect(field(desk).locator('svg')).toHaveCount(2)
  await field(desk).press('Escape')
  const [paragraph] = await wordsOf(desk, NAME)
  expect(paragraph!.content!.map(({ type, text }) => text ?? type)).toEqual([
    'Call us: ',
    'icon',
    ' 12, or Call us: ',
    'icon',
    ' 12',
  ])
  // Cut and undone it is back, too.
  await open(desk, 'Call us:')
  await desk.keyboard.press('ControlOrMeta+a')
  await desk.keyboard.press('ControlOrMeta+x')
  await expect(field(desk).locator('svg')).toHaveCount(0)
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(field(desk).locator('svg')).toHaveCount(2)
})

test('words are set higher or lower and smaller, and no line is higher for it', async ({ desk }) => {
  await open(desk, LEAD)
  await write(desk, 'A plot of 12 m2')
  await field(desk).press('Escape')
  const lead = onSheet(desk, 'desktop', 'A plot of 12 m')
  const { height } = (await lead.boundingBox())!
  await open(desk, 'A plot of 12 m')
  await desk.keyboard.press('End')
  await selectBack(desk, 1)
  const [sup, sub] = ['Superscript', 'Subscript'].map((name) => desk.getByRole('button', { name }))
  await sub!.click()
  await sup!.click()
  await expect(sup!).toHaveAttribute('aria-pressed', 'true')
  await expect(sub!).toHaveAttribute('aria-pressed', 'false')
  await expect(field(desk).locator('sup')).toHaveText('2')
  await field(desk).press('Escape')
  const { content } = (await wordsOf(desk, NAME))[0]!
  expect(content![1]).toEqual({
    type: 'text',
    text: '2',
    marks: [{ type: 'script', attrs: { value: 'sup' } }],
  })
  expect((await lead.boundingBox())!.height).toBe(height)
  const [around, raised] = await lead
    .locator('span')
    .evaluateAll((spans) => spans.slice(0, 2).map((span) => span.getBoundingClientRect()))
  expect(raised!.height).toBeLessThan(around!.height)
  expect(raised!.top + raised!.height / 2).toBeLessThan(around!.top + around!.height / 2)
})

test('of a paragraph so many lines are shown, then an ellipsis; emptied, all again', async ({ desk }) => {
  const paragraph = onSheet(desk, 'desktop', 'Take home heirloom')
  await paragraph.click()
  const rows = paragraph.locator('.line')
  const all = await rows.count()
  expect(all).toBeGreaterThan(1)
  await setValue(desk, /^Most lines/, '1')
  await expect(rows).toHaveCount(1)
  await expect(rows).toHaveText(/^Take home .*…$/)
  await expect(desk.getByRole('button', { name: 'Most lines: one line, then …' })).toBeVisible()
  await saved(desk)
  expect(findNode((await stored(desk)).pages[0]!.sections, NAME)!.props.maxLines).toBe(1)
  await setValue(desk, /^Most lines/, '')
  await expect(rows).toHaveCount(all)
})

test('letters are drawn in other forms as far as the font has them, the same while one writes', async ({
  desk,
}) => {
  await open(desk, LEAD)
  await write(desk, 'Half is 1/2')
  await desk.keyboard.press('Escape')
  const line = onSheet(desk, 'desktop', 'Half is 1/2').locator('.line span').first()
  await onSheet(desk, 'desktop', 'Half is 1/2').click()
  const before = (await line.boundingBox())!.width
  await desk.getByRole('button', { name: 'Letter forms: letters as drawn' }).click()
  await desk.getByRole('checkbox', { name: /^fractions/ }).check()
  await desk.keyboard.press('Escape')
  await expect(desk.getByRole('button', { name: 'Letter forms: fractions' })).toBeVisible()
  await expect.poll(async () => (await line.boundingBox())!.width).toBeLessThan(before)
  await saved(desk)
  expect(findNode((await stored(desk)).pages[0]!.sections, NAME)!.props.features).toBe('frac')
  await open(desk, /^Half is/)
  await expect(field(desk)).toHaveCSS('font-feature-settings', '"frac"')
})

test('a font that varies in width is set narrower, the same while one writes, and as drawn again', async ({
  desk,
}) => {
  await open(desk, LEAD)
  await write(desk, 'Take home heirloom seed')
  await desk.keyboard.press('Escape')
  const lead = onSheet(desk, 'desktop', 'Take home heirloom seed')
  const line = lead.locator('.line span').first()
  await lead.click()
  const width = desk.getByRole('button', { name: /^Width of the letters/ })
  await expect(width).toHaveCount(0)
  await choose(desk, /^Font family/, 'Archivo')
  await expect(width).toHaveText('width as drawn')
  const before = (await line.boundingBox())!.width
  await setValue(desk, /^Width of the letters/, '62')
  await expect.poll(async () => (await line.boundingBox())!.width).toBeLessThan(0.85 * before)
  await saved(desk)
  const lookOf = async () => findNode((await stored(desk)).pages[0]!.sections, NAME)!.props
  expect((await lookOf()).axes).toBe('wdth 62')
  await open(desk, /^Take home heirloom seed$/)
  await expect(field(desk)).toHaveCSS('font-variation-settings', '"wdth" 62')
  await desk.keyboard.press('Escape')

  // The font goes no further: said at the field, and nothing changes.
  await lead.click()
  await width.click()
  await desk.keyboard.type('300')
  await desk.keyboard.press('Enter')
  await expect(desk.getByRole('alert')).toContainText('125')
  await desk.keyboard.press('Escape')
  expect((await lookOf()).axes).toBe('wdth 62')
  await setValue(desk, /^Width of the letters/, '')
  await expect(width).toHaveText('width as drawn')
  await saved(desk)
  expect((await lookOf()).axes).toBeUndefined()
})

test('a word alone on the last line is said where the type is, and lines of about one length take it in', async ({
  desk,
}) => {
  await open(desk, LEAD)
  await write(desk, 'Take home heirloom vegetable and flower seed from us, for the next gardener')
  await desk.keyboard.press('Escape')
  const lead = onSheet(desk, 'desktop', 'Take home heirloom')
  await lead.click()
  const note = desk.getByRole('note').filter({ hasText: 'alone on the last line' })
  const lines = lead.locator('.line')
  // Narrower until one word is left over.
  for (let width = 520; (await note.count()) === 0 && width > 300; width -= 20)
    await setValue(desk, /^Largest width/, String(width))
  const word = (await lines.last().textContent())!.trim()
  expect(word).toMatch(/^\S+$/)
  await expect(note).toContainText(`“${word}” on Desktop`)
  await note.getByRole('button', { name: 'Break the last lines earlier' }).click()
  await expect(note).toHaveCount(0)
  await expect(lines.last()).toHaveText(/\S \S/)
  await saved(desk)
  expect(findNode((await stored(desk)).pages[0]!.sections, NAME)!.props.textWrap).toBe('pretty')
  await desk.keyboard.press('ControlOrMeta+z')
  await expect(note).toBeVisible()
  await note.getByRole('button', { name: 'Balance the lines' }).click()
  await expect(note).toHaveCount(0)
  await expect(lines.last()).toHaveText(/\S \S/)
  await saved(desk)
  expect(findNode((await stored(desk)).pages[0]!.sections, NAME)!.props.textWrap).toBe('balance')
})

test('a text says its language: its capitals are that language’s, and whoever hears it is told', async ({
  desk,
}) => {
  await open(desk, LEAD)
  await write(desk, 'iris in spring')
  await desk.keyboard.press('Escape')
  const text = onSheet(desk, 'desktop', 'iris in spring')
  await text.click()
  await choose(desk, /^Case/, 'CAPITALS')
  await expect(onSheet(desk, 'desktop', 'IRIS IN SPRING')).toBeVisible()
  await choose(desk, /^Language: as the page/, 'Turkish')
  const turkish = onSheet(desk, 'desktop', 'İRİS İN SPRİNG')
  await expect(turkish).toHaveAttribute('lang', 'tr')
  await saved(desk)
  expect(findNode((await stored(desk)).pages[0]!.sections, NAME)!.props.lang).toBe('tr')
  await choose(desk, /^Language: Turkish/, 'as the page: English')
  await expect(onSheet(desk, 'desktop', 'IRIS IN SPRING')).toBeVisible()
})

test('words from right to left run that way as they are written, or as is said', async ({ desk }) => {
  const SAID = 'זרעים (12) seed באביב'
  await open(desk, LEAD)
  await write(desk, SAID)
  await expect(field(desk)).toHaveCSS('direction', 'rtl')
  await desk.keyboard.press('Escape')
  const text = onSheet(desk, 'desktop', 'זרעים')
  await text.click()
  await setValue(desk, /^Least width/, '400')
  const placed = async () => {
    const [box, line] = [await text.boundingBox(), await text.locator('.line').boundingBox()]
    return { left: line!.x - box!.x, right: box!.x + box!.width - line!.x - line!.width }
  }
  // It begins at the right.
  expect((await placed()).right).toBeCloseTo(0, 0)
  expect((await placed()).left).toBeGreaterThan(20)
  await choose(desk, /^Direction: right to left/, 'always left to right')
  await expect.poll(async () => Math.abs(Math.round((await placed()).left))).toBe(0)
  await saved(desk)
  expect(findNode((await stored(desk)).pages[0]!.sections, NAME)!.props.direction).toBe('ltr')
  await choose(desk, /^Direction: always left to right/, 'as the words run')
  await expect.poll(async () => Math.abs(Math.round((await placed()).right))).toBe(0)
  await desk.getByRole('combobox', { name: /^Text alignment: set right/ }).click()
  await desk.getByRole('option', { name: 'set left' }).click()
  await expect.poll(async () => Math.abs(Math.round((await placed()).left))).toBe(0)
})

test('Japanese is drawn in a font that comes when it is written, and breaks between characters', async ({
  desk,
}) => {
  await open(desk, LEAD)
  await write(desk, '図書館から借りた種子は、秋に返す。')
  await desk.keyboard.press('Escape')
  const text = onSheet(desk, 'desktop', '図書館')
  await text.click()
  await setValue(desk, /^Largest width/, '120')
  await expect.poll(async () => text.locator('.line').count()).toBeGreaterThan(1)
  await expect(desk.getByRole('note')).toHaveCount(0)
  const files = () =>
    desk.evaluate(
      () =>
        [...document.fonts].filter(
          ({ family, status }) => /Lattice Scripts/.test(family) && status === 'loaded',
        ).length,
    )
  await expect.poll(files).toBeGreaterThan(0)
  const lines = await text.locator('.line').allTextContents()
  expect(lines.join('')).toBe('図書館から借りた種子は、秋に返す。')
  // A line begins with no comma and no full stop.
  for (const line of lines) expect(line).not.toMatch(/^[、。]/)
})

test('words are parted at line ends by the rules of their language, while they are written, too', async ({
  desk,
}) => {
  const LONG = 'Germination underneath glasshouses notwithstanding, our gardeners recommend understanding'
  await open(desk, LEAD)
  await write(desk, LONG)
  await desk.keyboard.press('Escape')
  const text = onSheet(desk, 'desktop', 'Germination')
  await text.click()
  await setValue(desk, /^Largest width/, '260')
  const lines = async () => (await text.locator('.line').allTextContents()).map((line) => line.trim())
  const whole = await lines()
  expect(whole.some((line) => /[-‐]$/.test(line))).toBe(false)
  await choose(desk, /^Hyphens/, 'are parted')
  await expect
    .poll(async () => (await lines()).filter((line) => /[-‐]$/.test(line)).length)
    .toBeGreaterThan(0)
  const parted = await lines()
  await saved(desk)
  const stored1 = findNode((await stored(desk)).pages[0]!.sections, NAME)!
  expect(stored1.props.hyphens).toBe('auto')
  expect(JSON.stringify(stored1.props.words)).toContain(LONG)
  // Written in, it has the same lines; the hyphens are not in what is written.
  await text.click()
  await desk.keyboard.press('ControlOrMeta+0')
  await text.dblclick()
  await expect(field(desk)).toBeFocused()
  const height = async () => Math.round((await field(desk).boundingBox())!.height)
  await expect(field(desk).locator('[aria-hidden]').first()).toBeAttached()
  const written = await height()
  await desk.keyboard.press('Escape')
  await text.click()
  expect(Math.round(written / ((await text.boundingBox())!.height / parted.length))).toBe(parted.length)
  // In a language that has other rules, or none here.
  await choose(desk, /^Language: as the page/, 'Vietnamese')
  await expect(desk.getByText('not in Vietnamese: no rules')).toBeVisible()
  await expect.poll(lines).toEqual(whole)
})

test('writing goes closer where words are small, and back when it is done', async ({ desk }) => {
  const zoom = async () =>
    Number.parseInt(
      (await desk
        .getByText(/^\d+ %$/)
        .last()
        .textContent()) ?? '',
      10,
    ) / 100
  const before = await zoom()
  expect(before).toBeLessThan(0.5)
  await open(desk, LEAD)
  expect(await zoom()).toBeGreaterThanOrEqual(0.7)
  await expect(field(desk)).toBeInViewport()
  await desk.keyboard.press('Escape')
  await expect(field(desk)).toHaveCount(0)
  expect(await zoom()).toBe(before)
})
