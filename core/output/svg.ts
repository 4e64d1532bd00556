import { type Drawing, layOut, type LaidPath, type LaidText, px } from '../drawing'
import type { Units } from '../measure'

const style =
  'text{font:13px "Atkinson Hyperlegible Mono",monospace;fill:#24313A;paint-order:stroke;stroke:#FFFDF8;stroke-width:6px}path{fill:none;stroke:#24313A}' +
  '.wood{fill:#F7EBCF}.end-grain{fill:#E3CC98}.behind{stroke:#8A8270;stroke-dasharray:4 3}.ground{stroke-width:2}.datum{stroke:#2F6F9F;stroke-dasharray:8 3 2 3}.mark{stroke:#C8402F}.sheet{fill:#FBF1DA}.panel{fill:#DDE5E8}.concrete{fill:#DAD6CC}.gravel{fill:#ECE7DA;stroke-dasharray:2 4}.boundary{stroke-width:2;stroke-dasharray:14 4 3 4}.setback{stroke-dasharray:6 5}.buried{stroke:#C8402F;stroke-dasharray:10 4}.hole{stroke-dasharray:3 3}.dimension{stroke:#2F6F9F}.extension{stroke:#2F6F9F;opacity:.45}.running{stroke:#C8402F}.fault{fill:#A32A1B;font-weight:700}'

/** What is measured, to stand beside a drawing: its rows under their names. */
export interface Table {
  readonly caption: string
  readonly rows: readonly (readonly string[])[]
}

/**
 * A drawing as an SVG file that stands alone, `width` px wide; numbers of `faults`, the fields of problems,
 * are marked, and `tables` stand under it.
 */
export function drawingSvg(
  drawing: Drawing,
  units: Units,
  width = 1000,
  faults: readonly string[] = [],
  tables: readonly Table[] = [],
): string {
  const laid = layOut(drawing, { width, height: null, units, setting: 'file', faults })
  const set = setTables(tables, width, laid.sheet.height)
  const { height } = set
  const body = [
    ...laid.patches.map(patch => path(patch, ' fill-rule="evenodd"')),
    ...laid.lines.map(line => path(line)),
    ...laid.texts.map(words),
    ...set.texts,
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

/** A line of a table, a letter of its type, and what stands about one; px. */
const LINE = 20
const LETTER = 8
const ROOM = 24

/** Tables side by side under a drawing that ends at `foot`, and below each other where they have no room. */
function setTables(
  tables: readonly Table[],
  width: number,
  foot: number,
): { readonly texts: readonly string[]; readonly height: number } {
  let [left, top, low] = [ROOM, foot, foot]
  const texts = tables.flatMap(({ caption, rows }) => {
    const columns = Math.max(...rows.map(row => row.length), 0)
    const wide = Array.from({ length: columns }, (_, i) =>
      Math.max(...rows.map(row => (row[i] ?? '').length)),
    )
    const lines = [
      caption,
      ...rows.map(row =>
        row
          .map((cell, i) => cell.padEnd(wide[i] ?? 0))
          .join('  ')
          .trimEnd(),
      ),
    ]
    const across = Math.max(...lines.map(line => line.length)) * LETTER + ROOM
    if (left > ROOM && left + across > width) [left, top] = [ROOM, low + ROOM]
    const [x, y] = [left, top]
    left += across
    low = Math.max(low, top + lines.length * LINE)
    return lines.map(
      (line, i) =>
        `<text x="${x}" y="${y + i * LINE}" xml:space="preserve"${i ? '' : ' font-weight="700"'}>${escape(line)}</text>`,
    )
  })
  return { texts, height: tables.length ? low + ROOM : foot }
}
