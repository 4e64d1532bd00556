import Papa from 'papaparse'
import { formatAngle, formatLength, roundTo, type Units } from '../measure'
import { northSlope, type Piece, type Plan, type RoofReading, weightOf } from '../plan'
import { cautionsOf } from '../check'
import { cutNames, roleNames, sayCaution, sayLength, sayLoose, sayProblem, sayWeight } from '../words'

const angle = (value: number): number => Number(value.toFixed(2))

/** A row of the cut list: lengths as read on a tape, and beside them in mm. */
function row(piece: Piece, units: Units, density: number): Record<string, string | number> {
  const [start, end] = piece.ends
  return {
    'Mark': piece.mark, 'Count': piece.count, 'Piece': roleNames[piece.role].one, 'Section': piece.section.name,
    'Thickness mm': roundTo(piece.section.thickness, 0.1), 'Depth mm': roundTo(piece.section.depth, 0.1),
    [units === 'imperial' ? 'Length' : 'Length m']: units === 'imperial' ? formatLength(piece.length, { units }) : Number((piece.length / 1000).toFixed(3)),
    'Length mm': Number(piece.length.toFixed(1)), 'Width mm': Number(piece.width.toFixed(1)),
    'First cut': cutNames[start.kind], 'First mitre': angle(start.miter), 'First bevel': angle(start.bevel),
    'Last cut': cutNames[end.kind], 'Last mitre': angle(end.miter), 'Last bevel': angle(end.bevel),
    'Cut from': piece.stock === null ? 'longer than stock' : formatLength(piece.stock, { units }),
    'Weight kg': Number(weightOf(piece.section, piece.volume, density).toFixed(2)), 'Mirror of': piece.mirrorOf ?? '',
  }
}

/** The cut list as CSV (RFC 4180, comma, CRLF), with a byte order mark so that spreadsheets read it as UTF-8. */
export function cutListCsv(plan: Plan): string {
  const rows = plan.pieces.map(piece => row(piece, plan.design.units, plan.density))
  return `\uFEFF${Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' })}\r\n`
}

/** A slope's numbers in two lines. */
const slopeText = (name: string, roof: RoofReading, say: (mm: number) => string): string[] => [
  `${name} ${formatAngle(roof.angle, 2)}; run ${say(roof.run)}, rise ${say(roof.rise)}, line length ${say(roof.lineLength)}${roof.ridgeDeduction ? `, ridge deduction ${say(roof.ridgeDeduction.along)}` : ''}`,
  `Seat ${say(roof.birdsmouth.seat)}, heel ${say(roof.birdsmouth.heel)}, notch ${say(roof.birdsmouth.notch)}, height above plate ${say(roof.heightAbovePlate)}`,
]

/** The plan to be read in a terminal or on paper. */
export function cutListText(plan: Plan): string {
  const { design, roof, totals } = plan
  const { units } = design
  const say = (mm: number): string => sayLength(mm, units)
  const north = northSlope(plan)
  const head = [...(roof ? slopeText(north ? 'South slope' : 'Roof', roof, say) : []), ...(north ? slopeText('North slope', north, say) : [])]
  const rows = plan.pieces.map(piece => [piece.mark, `${piece.count}`, piece.section.name, piece.width < piece.section.depth - 0.05 || piece.section.kind === 'sheet' ? `${say(piece.length)} × ${say(piece.width)}` : say(piece.length), cuts(piece), roleNames[piece.role].one])
  const widths = [0, 1, 2, 3, 4].map(column => Math.max(...rows.map(cells => (cells[column] ?? '').length), 0))
  const table = rows.map(cells => cells.map((cell, i) => i === 1 || i === 3 ? cell.padStart(widths[i] ?? 0) : cell.padEnd(widths[i] ?? 0)).join('  ').trimEnd())
  const wood = units === 'imperial' ? `${totals.boardFeet.toFixed(1)} board feet` : `${totals.volume.toFixed(3)} m³`
  return [
    design.name, '', ...head, '', ...table, '', `${totals.pieces} pieces, ${say(totals.length)}, ${wood}, ${totals.sheets ? `${totals.sheets} sheets, ` : ''}${sayWeight(totals.weight, units)}`,
    ...section('Loose', plan.loose.map(item => `${sayLoose(item, units).name}: ${sayLoose(item, units).value}`)), ...section('Problems', plan.frame.problems.map(problem => sayProblem(problem, units))), ...section('Cautions', cautionsOf(plan).map(caution => sayCaution(caution, units))),
    '', 'Check the first piece on the building before you cut the rest. Local code and the people licensed for it decide what holds.', '',
  ].join('\n')
}

const cuts = (piece: Piece): string => piece.ends.map(end => end.miter === 0 && end.bevel === 0 ? 'square' : `${end.kind} ${formatAngle(end.miter)}${end.bevel ? `/${formatAngle(end.bevel)}` : ''}`).join(', ')

const section = (title: string, lines: readonly string[]): string[] => lines.length ? ['', `${title}:`, ...lines.map(line => `- ${line}`)] : []

