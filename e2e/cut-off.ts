/**
 * In the page: every text and control that is cut off, off the screen, or reached only by scrolling sideways,
 * in words; and a page that scrolls sideways.
 */
export function cutOff(): string[] {
  const SLACK = 1.5
  const { clientWidth: wide, scrollWidth, scrollHeight } = document.documentElement
  const tall = window.innerHeight
  const said = (of: Element): string =>
    `${of.tagName.toLowerCase()}.${of.getAttribute('class') ?? ''} “${(of.getAttribute('aria-label') ?? of.textContent ?? '').trim().slice(0, 40)}”`
  const hidden = (of: Element): boolean => {
    const { visibility, display, opacity } = getComputedStyle(of)
    return visibility === 'hidden' || display === 'none' || Number(opacity) === 0
  }
  const isText = (of: Element): boolean =>
    [...of.childNodes].some(each => each.nodeType === Node.TEXT_NODE && each.textContent?.trim())
  const isControl = (of: Element): boolean =>
    of.matches('a[href], button, input, textarea, select, [role=combobox], [role=slider]')

  const frames = new Map<Element, { x: string; y: string; fixed: boolean; frame: DOMRect }>()
  /** How an element cuts what stands in it. */
  function frameOf(of: Element): { x: string; y: string; fixed: boolean; frame: DOMRect } {
    const known = frames.get(of)
    if (known) return known
    const { overflowX: x, overflowY: y, position } = getComputedStyle(of)
    const found = { x, y, fixed: position === 'fixed', frame: of.getBoundingClientRect() }
    frames.set(of, found)
    return found
  }

  /** How it is cut by what it stands in; whether it can be scrolled to, up and down. */
  function cutBy(of: Element, box: DOMRect): string {
    let scrolls = scrollHeight > tall + 1
    for (let up = of.parentElement; up && up !== document.body; up = up.parentElement) {
      const { x, y, fixed, frame } = frameOf(up)
      if (fixed) break
      if (x === 'visible' && y === 'visible') continue
      if (box.left < frame.left - SLACK || box.right > frame.right + SLACK)
        return `cut sideways in ${said(up)}`
      if (/auto|scroll/.test(y)) {
        scrolls = true
        break
      }
      if (box.top < frame.top - SLACK || box.bottom > frame.bottom + SLACK)
        return `cut above or below in ${said(up)}`
    }
    if (box.left < -SLACK || box.right > wide + SLACK) return 'off the side'
    return !scrolls && (box.top < -SLACK || box.bottom > tall + SLACK) ? 'off the bottom' : ''
  }

  /** Whether its own text is longer than it shows. */
  const shortened = (of: Element): boolean =>
    of instanceof HTMLElement &&
    (/hidden|clip/.test(getComputedStyle(of).overflowX) || of.matches('input')) &&
    of.clientWidth > 0 &&
    of.scrollWidth > of.clientWidth + SLACK

  const faults = scrollWidth > wide ? [`the page scrolls sideways: ${scrollWidth} of ${wide}`] : []
  for (const each of document.body.querySelectorAll('*')) {
    if (each.closest('.visually-hidden, .skip, .p-hidden-accessible') || !(isText(each) || isControl(each)))
      continue
    if (hidden(each)) continue
    const box = each.getBoundingClientRect()
    if (!box.width || !box.height) continue
    const how = cutBy(each, box) || (shortened(each) ? 'shortened' : '')
    if (how) faults.push(`${said(each)} ${how}`)
  }
  return [...new Set(faults)]
}
