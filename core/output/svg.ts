import {
  type Dimension,
  type Drawing,
  fit,
  type Fit,
  marginsOf,
  pathOf,
  placeDimension,
  type Point,
  px,
  type Segment,
} from '../drawing'
import { formatAngle, formatLength, type Units } from '../measure'

const style =
  'text{font:13px "Atkinson Hyperlegible Mono",monospace;fill:#24313A;paint-order:stroke;stroke:#FFFDF8;stroke-width:6px}path{fill:none;stroke:#24313A}' +
  '.wood{fill:#F7EBCF}.end-grain{fill:#E3CC98}.behind{stroke:#8A8270;stroke-dasharray:4 3}.ground{stroke-width:2}.datum{stroke:#2F6F9F;stroke-dasharray:8 3 2 3}.mark{stroke:#C8402F}.sheet{fill:#FBF1DA}.concrete{fill:#DAD6CC}.gravel{fill:#ECE7DA;stroke-dasharray:2 4}.boundary{stroke-width:2;stroke-dasharray:14 4 3 4}.setback{stroke-dasharray:6 5}.buried{stroke:#C8402F;stroke-dasharray:10 4}.hole{stroke-dasharray:3 3}.dimension{stroke:#2F6F9F}'

/** A drawing as an SVG file that stands alone, `width` px wide. */
export function drawingSvg(drawing: Drawing, units: Units, width = 1000): string {
  const on = fit(drawing, width, null)
  const height = Math.ceil(on.bottom + marginsOf(drawing).bottom + 12)
  const body = [
    ...drawing.patches.map(
      patch => `<path class="${patch.ink}" fill-rule="evenodd" d="${pathOf(patch.loops, on.at)}"/>`,
    ),
    ...drawing.lines.map(line => segment([on.at(line.from), on.at(line.to)], line.ink)),
    ...drawing.dimensions.map(dimension => dimensionSvg(dimension, on, drawing, units)),
    ...drawing.running.map(mark => runningSvg(on.at(mark.at), formatLength(mark.value, { units }))),
    ...drawing.labels.map(label =>
      words(
        { x: on.at(label.at).x, y: on.at(label.at).y - 8 },
        label.value === undefined
          ? label.text
          : `${label.text} ${formatLength(label.value, { units })}`.trim(),
      ),
    ),
    ...drawing.pitches.map(({ at, falls, angle }) =>
      words({ x: on.at(at).x + (falls === 'left' ? -30 : 30), y: on.at(at).y - 20 }, formatAngle(angle)),
    ),
  ]
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}"><title>${escape(drawing.name)}</title><style>${style}</style>` +
    `<rect width="100%" height="100%" fill="#FFFDF8"/>\n${body.join('\n')}\n</svg>\n`
  )
}

/**
 * A text as XML may hold it: control characters and half a pair of surrogates have no place in XML 1.0, not
 * even escaped.
 */
const escape = (raw: string): string =>
  raw
    .replace(/[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu, '\uFFFD')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;')
const segment = ([a, b]: Segment, ink: string): string =>
  `<path class="${ink}" d="M${px(a.x)} ${px(a.y)}L${px(b.x)} ${px(b.y)}"/>`
const words = (at: Point, text: string, turn = 0): string =>
  `<text x="${px(at.x)}" y="${px(at.y)}" text-anchor="middle"${turn ? ` transform="rotate(${turn} ${px(at.x)} ${px(at.y)})"` : ''}>${escape(text)}</text>`

function dimensionSvg(dimension: Dimension, on: Fit, drawing: Drawing, units: Units): string {
  const placed = placeDimension(dimension, on, drawing)
  const lines = [placed.line, ...placed.ticks, ...placed.extensions]
    .map(each => segment(each, 'dimension'))
    .join('')
  return lines + words({ x: placed.words.x, y: placed.words.y + 4 }, formatLength(dimension.value, { units }))
}

function runningSvg(at: Point, text: string): string {
  return (
    segment(
      [
        { x: at.x, y: at.y },
        { x: at.x, y: at.y + 8 },
      ],
      'mark',
    ) + words({ x: at.x + 4, y: at.y + 42 }, text, -90)
  )
}
