import type { Dimension, Drawing, Ink, Point } from '../drawing'
import { formatAngle, formatLength, type Units } from '../measure'

const style = `text{font:12px "Atkinson Hyperlegible Mono",monospace;fill:#24313A}.wood{fill:#FFFDF8;stroke:#24313A}.end-grain{fill:#E9DDC3;stroke:#24313A}.behind{stroke:#A89F8C;stroke-dasharray:4 3;fill:none}`
  + `.ground{stroke:#24313A;stroke-width:2}.datum{stroke:#2F6F9F;stroke-dasharray:8 3 2 3}.mark{stroke:#C8402F}.dimension{stroke:#2F6F9F;fill:none}`

interface Sheet { readonly at: (p: Point) => Point, readonly units: Units, readonly drawing: Drawing, readonly left: number, readonly bottom: number, readonly right: number }

const MARGIN = 90
const ROW = 26

/** A drawing as a picture that stands alone, `width` in px; the scale is what fits. */
export function drawingSvg(drawing: Drawing, units: Units, width = 1000): string {
  const inner = width - 2 * MARGIN
  const scale = inner / Math.max(1, drawing.high.x - drawing.low.x)
  const tall = (drawing.high.y - drawing.low.y) * scale
  const height = Math.ceil(tall + 2 * MARGIN)
  const at = (p: Point): Point => ({ x: MARGIN + (p.x - drawing.low.x) * scale, y: MARGIN + (drawing.high.y - p.y) * scale })
  const sheet: Sheet = { at, units, drawing, left: MARGIN, bottom: MARGIN + tall, right: width - MARGIN }
  const body = [
    ...drawing.patches.map(patch => `<path class="${patch.ink}" fill-rule="evenodd" d="${patch.loops.map(loop => path(loop, at)).join('')}"/>`),
    ...drawing.lines.map(line => segment(at(line.from), at(line.to), line.ink)),
    ...drawing.dimensions.map(dimension => dimensionSvg(dimension, sheet)),
    ...drawing.running.map(mark => runningSvg(at(mark.at), formatLength(mark.value, { units }))),
    ...(drawing.pitch ? [text({ x: at(drawing.pitch.at).x + 10, y: at(drawing.pitch.at).y - 18 }, formatAngle(drawing.pitch.angle))] : []),
  ]
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}"><title>${escape(drawing.name)}</title><style>${style}</style><rect width="100%" height="100%" fill="#FFFDF8"/>${body.join('\n')}</svg>\n`
}

const px = (n: number): string => String(Math.round(n * 100) / 100)
const path = (loop: readonly Point[], at: (p: Point) => Point): string => `${loop.map((p, i) => `${i ? 'L' : 'M'}${px(at(p).x)} ${px(at(p).y)}`).join('')}Z`
const segment = (a: Point, b: Point, ink: Ink | 'dimension'): string => `<path class="${ink}" d="M${px(a.x)} ${px(a.y)}L${px(b.x)} ${px(b.y)}"/>`
const escape = (raw: string): string => raw.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')
const text = (at: Point, words: string, turn = 0): string => `<text x="${px(at.x)}" y="${px(at.y)}" text-anchor="middle"${turn ? ` transform="rotate(${turn} ${px(at.x)} ${px(at.y)})"` : ''}>${escape(words)}</text>`

function dimensionSvg(dimension: Dimension, { at, units, left, bottom, right }: Sheet): string {
  const words = formatLength(dimension.value, { units })
  const a = at(dimension.from)
  const b = at(dimension.to)
  if (dimension.side === 'below') {
    const y = bottom + dimension.row * ROW
    return segment({ x: a.x, y }, { x: b.x, y }, 'dimension') + segment({ x: a.x, y: y - 5 }, { x: a.x, y: y + 5 }, 'dimension') + segment({ x: b.x, y: y - 5 }, { x: b.x, y: y + 5 }, 'dimension') + text({ x: (a.x + b.x) / 2, y: y - 4 }, words)
  }
  const x = dimension.side === 'left' ? left - dimension.row * ROW : right + dimension.row * ROW
  return segment({ x, y: a.y }, { x, y: b.y }, 'dimension') + segment({ x: x - 5, y: a.y }, { x: x + 5, y: a.y }, 'dimension') + segment({ x: x - 5, y: b.y }, { x: x + 5, y: b.y }, 'dimension') + text({ x: x - 4, y: (a.y + b.y) / 2 }, words, -90)
}

function runningSvg(at: Point, words: string): string {
  return segment({ x: at.x, y: at.y }, { x: at.x, y: at.y + 8 }, 'mark') + text({ x: at.x + 4, y: at.y + 40 }, words, -90)
}
