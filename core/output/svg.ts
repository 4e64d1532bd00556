import { type Drawing, fit, layOut, type LaidPath, type LaidText, marginsOf, px } from '../drawing'
import type { Units } from '../measure'

const style =
  'text{font:13px "Atkinson Hyperlegible Mono",monospace;fill:#24313A;paint-order:stroke;stroke:#FFFDF8;stroke-width:6px}path{fill:none;stroke:#24313A}' +
  '.wood{fill:#F7EBCF}.end-grain{fill:#E3CC98}.behind{stroke:#8A8270;stroke-dasharray:4 3}.ground{stroke-width:2}.datum{stroke:#2F6F9F;stroke-dasharray:8 3 2 3}.mark{stroke:#C8402F}.sheet{fill:#FBF1DA}.panel{fill:#DDE5E8}.concrete{fill:#DAD6CC}.gravel{fill:#ECE7DA;stroke-dasharray:2 4}.boundary{stroke-width:2;stroke-dasharray:14 4 3 4}.setback{stroke-dasharray:6 5}.buried{stroke:#C8402F;stroke-dasharray:10 4}.hole{stroke-dasharray:3 3}.dimension{stroke:#2F6F9F}.extension{stroke:#2F6F9F;opacity:.45}.running{stroke:#C8402F}.fault{fill:#A32A1B;font-weight:700}'

/**
 * A drawing as an SVG file that stands alone, `width` px wide; numbers of `faults`, the fields of problems,
 * are marked.
 */
export function drawingSvg(
  drawing: Drawing,
  units: Units,
  width = 1000,
  faults: readonly string[] = [],
): string {
  const on = fit(drawing, width, null)
  const height = Math.ceil(on.bottom + marginsOf(drawing).bottom + 12)
  const laid = layOut(drawing, { on, units, faults, room: width })
  const body = [
    ...laid.patches.map(patch => path(patch, ' fill-rule="evenodd"')),
    ...laid.lines.map(line => path(line)),
    ...laid.texts.map(words),
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
const path = ({ d, ink }: LaidPath, more = ''): string => `<path class="${ink}"${more} d="${d}"/>`

function words({ at, text, upright, atFault }: LaidText): string {
  const [x, y] = [px(at.x), px(upright ? at.y : at.y + 4)]
  const turn = upright ? ` transform="rotate(-90 ${x} ${y})" dy="4"` : ''
  return `<text x="${x}" y="${y}" text-anchor="${upright ? 'end' : 'middle'}"${turn}${atFault ? ' class="fault"' : ''}>${escape(text)}</text>`
}
