/**
 * What a control's title says, shown where it is pointed at and, unlike the browser's own tooltip, also where the focus comes by keys
 * (WCAG 2.2, 1.4.13). The title is taken off meanwhile, or the browser would show its own beside it.
 */

/** `point`: where the pointer was, px of the window, at what is too large for a tip beside it. */
export type Tip = { at: HTMLElement; words: string; point?: { x: number; y: number } }

/** ms until a tip shows, and until it goes: long enough to reach it with the pointer. */
const DELAY = 500
const LINGER = 120
/** What is larger has its tip at the pointer, px. */
const LARGE = 160
/** Of the tip's element. */
export const TIP = 'tip'

class TipWatch {
  private at: HTMLElement | undefined
  private words = ''
  private isShown = false
  /** Where the pointer is; undefined: the focus came by keys. */
  point: { x: number; y: number } | undefined
  private timer: ReturnType<typeof setTimeout> | undefined
  /** Somebody may give it another title while it is pointed at. */
  private readonly retitled = new MutationObserver(() => this.take())
  /** What is taken out of the page, or scrolled out of sight, has no tip. */
  private readonly sight = new IntersectionObserver((seen) => {
    if (!seen.at(-1)?.isIntersecting) this.leave()
  })

  constructor(private readonly show: (tip: Tip | undefined) => void) {}

  enter(element: HTMLElement) {
    clearTimeout(this.timer)
    if (element === this.at) return
    const wasShown = this.isShown
    this.leave()
    this.at = element
    this.take()
    this.retitled.observe(element, { attributeFilter: ['title'] })
    // From one to the next there is nothing to wait for.
    this.timer = setTimeout(() => this.appear(), wasShown ? 0 : DELAY)
  }

  private take() {
    if (!this.at?.title) return
    this.words = this.at.title
    this.at.removeAttribute('title')
    if (this.isShown) this.show(this.tip(this.at))
  }

  private tip(at: HTMLElement): Tip {
    const { width, height } = at.getBoundingClientRect()
    const { words, point } = this
    return point && Math.max(width, height) > LARGE ? { at, words, point } : { at, words }
  }

  private appear() {
    const { at, words } = this
    if (!at?.isConnected) return this.leave()
    this.isShown = true
    this.sight.observe(at)
    if (!at.hasAttribute('aria-describedby') && at.getAttribute('aria-label') !== words)
      at.setAttribute('aria-describedby', TIP)
    this.show(this.tip(at))
  }

  /** The tip goes; its title is not the browser's again before the pointer has left. */
  hide() {
    clearTimeout(this.timer)
    if (this.at?.getAttribute('aria-describedby') === TIP) this.at.removeAttribute('aria-describedby')
    if (this.isShown) this.show(undefined)
    this.isShown = false
    this.sight.disconnect()
  }

  /** The pointer is on the tip itself. */
  stay() {
    clearTimeout(this.timer)
  }

  leaveSoon() {
    if (!this.at) return
    clearTimeout(this.timer)
    this.timer = setTimeout(() => this.leave(), LINGER)
  }

  leave() {
    this.hide()
    this.retitled.disconnect()
    if (this.at && !this.at.title) this.at.title = this.words
    this.at = undefined
  }

  /** What has a title at `target`, or the one whose title is taken. */
  titled(target: EventTarget | null): HTMLElement | undefined {
    if (!(target instanceof Element)) return undefined
    const { at } = this
    const nearest = target.closest<HTMLElement>('[title]')
    if (at?.contains(target) && !(nearest && at.contains(nearest))) return at
    return nearest && nearest instanceof HTMLElement ? nearest : undefined
  }
}

/** What is pressed, and would be covered by a tip. */
const PRESSED = 'button, a, input, textarea, [role=treeitem], [role=slider], [role=option], [role=menuitem]'

/** Whether a point is on the tip. What is under it is pressed through it: it never stands between somebody and a control. */
function isOnTip(x: number, y: number): boolean {
  const box = document.getElementById(TIP)?.getBoundingClientRect()
  return box !== undefined && x >= box.left && x <= box.right && y >= box.top && y <= box.bottom
}

/** @param show told what to show; undefined: nothing @returns stops watching */
export function watchTips(show: (tip: Tip | undefined) => void): () => void {
  const watch = new TipWatch(show)
  const stop = new AbortController()
  const on = <K extends keyof DocumentEventMap>(kind: K, act: (event: DocumentEventMap[K]) => void) =>
    document.addEventListener(kind, act, { capture: true, signal: stop.signal })
  const reach = (target: EventTarget | null) => {
    const element = watch.titled(target)
    if (element) watch.enter(element)
    else watch.leaveSoon()
  }
  on('pointerover', ({ target, buttons, pointerType, clientX, clientY }) => {
    if (buttons !== 0 || pointerType === 'touch') return
    watch.point = { x: clientX, y: clientY }
    const isFree = !(target instanceof Element && target.closest(PRESSED))
    if (isFree && isOnTip(clientX, clientY)) watch.stay()
    else reach(target)
  })
  on('pointermove', ({ target, clientX, clientY }) => {
    watch.point = { x: clientX, y: clientY }
    if (watch.titled(target) || isOnTip(clientX, clientY)) return
    watch.leaveSoon()
  })
  on('focusin', ({ target }) => {
    if (!(target instanceof Element && target.matches(':focus-visible'))) return
    watch.point = undefined
    reach(target)
  })
  on('focusout', () => watch.leaveSoon())
  on('pointerdown', () => watch.hide())
  on('wheel', () => watch.hide())
  on('keydown', ({ key }) => key === 'Escape' && watch.hide())
  return () => {
    stop.abort()
    watch.leave()
  }
}
