/**
 * In the page: texts of drawings that lie on one another by more than a pixel or two, or that a field covers,
 * or that leave their drawing; a sentence each.
 */
export function wordsOnWords(): string[] {
  interface Word {
    readonly text: string
    readonly ink: DOMRect
    /** What covers others that it lies on: of a field, all of it. */
    readonly all: DOMRect
  }
  const TOO_MUCH = 2
  const faults: string[] = []
  const about = (x: number, y: number, wide: number, tall: number): DOMRect =>
    new DOMRect(x - wide / 2, y - tall / 2, wide, tall)
  const middle = (box: DOMRect): [number, number] => [box.x + box.width / 2, box.y + box.height / 2]
  const size = (of: Element): number => parseFloat(getComputedStyle(of).fontSize)
  const inSvg = (of: SVGTextElement): Word => {
    const box = of.getBoundingClientRect()
    const turned = of.hasAttribute('transform') && box.height > box.width
    const [wide, tall] = turned
      ? [Math.min(box.width, size(of)), box.height]
      : [box.width, Math.min(box.height, size(of))]
    const ink = about(...middle(box), wide, tall)
    return { text: of.textContent?.trim() ?? '', ink, all: ink }
  }
  const over = (of: HTMLElement): Word => {
    const field = of.querySelector('input')
    const box = (field ?? of.firstElementChild ?? of).getBoundingClientRect()
    const beside = field ? 14 : 12
    const ink = about(...middle(box), box.width - beside, size(field ?? of))
    return { text: field?.value ?? of.textContent?.trim() ?? '', ink, all: field ? box : ink }
  }
  const meet = (a: DOMRect, b: DOMRect): boolean =>
    Math.min(a.right, b.right) - Math.max(a.left, b.left) > TOO_MUCH &&
    Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > TOO_MUCH
  const isSeen = (of: Element): boolean => of.checkVisibility() && of.getBoundingClientRect().width > 0
  const sheets = [...document.querySelectorAll('.drawing')].filter(isSeen)
  const alone = [...document.querySelectorAll('svg')].filter(
    svg => isSeen(svg) && !svg.closest('.drawing') && svg.querySelector('text'),
  )
  for (const sheet of [...sheets, ...alone]) {
    const words = [
      ...[...sheet.querySelectorAll('text')].filter(isSeen).map(inSvg),
      ...[...sheet.querySelectorAll<HTMLElement>('.on')].filter(isSeen).map(over),
    ].filter(({ text }) => text)
    const edge = sheet.getBoundingClientRect()
    words.forEach((one, i) => {
      const { left, right, top, bottom } = one.ink
      if (
        left < edge.left - TOO_MUCH ||
        right > edge.right + TOO_MUCH ||
        top < edge.top - TOO_MUCH ||
        bottom > edge.bottom + TOO_MUCH
      )
        faults.push(`“${one.text}” leaves its drawing`)
      for (const other of words.slice(i + 1))
        if (meet(one.ink, other.ink) || meet(one.all, other.ink) || meet(one.ink, other.all))
          faults.push(`“${one.text}” and “${other.text}” lie on one another`)
    })
  }
  return faults
}
