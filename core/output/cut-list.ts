import { isCrowned, roles } from '../trade'
import Papa from 'papaparse'
import { formatAngle, formatLength } from '../measure'
import { isLumber } from '../lumber'
import { kneesOf } from '../lines'
import {
  kitsOf,
  northSlope,
  readFaces,
  type Piece,
  type Plan,
  plansOf,
  type RoofReading,
  slopesOf,
  weightOf,
  type Whole,
} from '../plan'
import { cautionsOf } from '../check'
import {
  capital,
  counted,
  cutNames,
  raisingNames,
  sayCaution,
  sayDetails,
  sayLength,
  sayLongLength,
  sayLoose,
  sayProblem,
  saySection,
  saySlope,
  sayWeight,
} from '../words'

const angle = (value: number): number => Number(value.toFixed(2))

/** A row of the cut list: lengths as read on a tape, and beside them in mm. */
function row(plan: Plan, { piece, count, step }: Listed): Record<string, string | number> {
  const {
    design: { units },
    density,
  } = plan
  const [start, end] = piece.ends
  const { cuts: lines, notches, inPlace, figures } = sayDetails(plan, piece)
  return {
    ...(step === null ? {} : { Step: step }),
    Mark: piece.mark,
    Count: count,
    Piece: roles[piece.role].one,
    Section: saySection(piece.section, units),
    'Thickness mm': Number(piece.section.thickness.toFixed(3)),
    'Depth mm': Number(piece.section.depth.toFixed(3)),
    [units === 'imperial' ? 'Length' : 'Length m']:
      units === 'imperial' ? formatLength(piece.length, { units }) : Number((piece.length / 1000).toFixed(3)),
    'Length mm': Number(piece.length.toFixed(3)),
    'Width mm': Number(piece.width.toFixed(1)),
    'First cut': cutNames[start.kind],
    'First mitre': angle(start.miter),
    'First bevel': angle(start.bevel),
    'Last cut': cutNames[end.kind],
    'Last mitre': angle(end.miter),
    'Last bevel': angle(end.bevel),
    ...endsOf(piece),
    'Cut from': piece.stock === null ? 'longer than stock' : formatLength(piece.stock, { units }),
    'Weight kg': Number(weightOf(piece.section, piece.volume, density).toFixed(2)),
    'Mirror of': piece.mirrorOf ?? '',
    'Cut lines': lines.join('; '),
    Notches: notches.join('; '),
    'In place': inPlace.join('; '),
    Figures: figures.join('; '),
  }
}

/** Ends as cut plans read them (docs/nest-file.md), and what a piece is cut of. */
function endsOf(piece: Piece): Record<string, string | number> {
  const slopes = slopesOf(piece)
  // to a hundredth of a millimetre across a board
  const degrees = (slope: number): number =>
    Number(((Math.atan2(slope, slopes?.depth ?? 1) * 180) / Math.PI).toFixed(4))
  const { kind } = piece.section
  return {
    Kind: kind === 'sheet' || kind === 'panel' ? kind : 'board',
    Left: slopes ? degrees(slopes.left) : 0,
    Right: slopes ? degrees(slopes.right) : 0,
    Crown: slopes?.crown ? 'yes' : '',
    Good: isCrowned(piece.role) ? 'yes' : '',
  }
}

/** How a list runs: by section, the largest first and lumber before sheets; or in the order of the work. */
export type ListOrder = 'section' | 'work'

/** A piece as it is listed: how many of it there, and in the order of the work under which step. */
interface Listed {
  readonly piece: Piece
  readonly count: number
  readonly step: string | null
}

/** By section each piece once; in the order of the work so many of it as go up in each step. */
const ordered = (plan: Plan, order: ListOrder): readonly Listed[] =>
  order === 'work'
    ? kitsOf(plan).flatMap(({ name, items }) =>
        items.map(({ piece, count }) => ({ piece, count, step: raisingNames[name] })),
      )
    : plan.pieces.map(piece => ({ piece, count: piece.count, step: null }))

/**
 * The cut list as CSV (RFC 4180, comma, CRLF), with a byte order mark so that spreadsheets read it as UTF-8.
 */
export function cutListCsv(plan: Plan, order: ListOrder = 'section'): string {
  const rows = ordered(plan, order).map(each => row(plan, each))
  return `\uFEFF${Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' })}\r\n`
}

/** The cut list of a building with all its parts, in the same form; with the part that each piece is of. */
export function wholeListCsv(all: Whole, order: ListOrder = 'section'): string {
  if (!all.parts.length) return cutListCsv(all.main, order)
  const rows = plansOf(all).flatMap(plan =>
    ordered(plan, order).map(each => ({ Part: plan.design.name, ...row(plan, each) })),
  )
  return `\uFEFF${Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' })}\r\n`
}

/**
 * A slope's numbers in two lines: without a bird's mouth, as of trusses, what it stands over the plate
 * alone.
 */
const slopeText = (name: string, roof: RoofReading, say: (mm: number) => string): string[] => {
  const { seat, heel, notch } = roof.birdsmouth
  const over = `height above plate ${say(roof.heightAbovePlate)}`
  return [
    `${name} ${formatAngle(roof.angle, 2)}; run ${say(roof.run)}, rise ${say(roof.rise)}, line length ${say(roof.lineLength)}${roof.ridgeDeduction ? `, ridge deduction ${say(roof.ridgeDeduction.along)}` : ''}`,
    notch > 0
      ? `Seat ${say(seat)}, heel ${say(heel)}, notch ${say(notch)}, ${over}`
      : `${seat > 0 ? `Seat ${say(seat)}, no notch, ` : ''}${over}`,
  ].map(capital)
}

/** Against a house out of line each rafter has numbers of its own: those of the roof are its first one's. */
const roofName = ({ building }: Plan): string =>
  building.roof.taper ? 'Roof, at its west rafter (each has its own run)' : 'Roof'

/** The plan to be read in a terminal or on paper. */
export function cutListText(plan: Plan, order: ListOrder = 'section'): string {
  const { design, roof, totals } = plan
  const { units } = design
  const say = (mm: number): string => sayLength(mm, units)
  const north = northSlope(plan)
  const faces = kneesOf(plan.frame.roof).length ? readFaces(plan) : []
  const head = faces.length
    ? faces.flatMap(({ face, reading }) => slopeText(`${capital(saySlope(face.id))} slope`, reading, say))
    : [
        ...(roof ? slopeText(north ? 'South slope' : roofName(plan), roof, say) : []),
        ...(north ? slopeText('North slope', north, say) : []),
      ]
  const listed = ordered(plan, order)
  const rows = listed.map(({ piece, count }) => [
    piece.mark,
    `${count}`,
    saySection(piece.section, units),
    piece.width < piece.section.depth - 0.05 || !isLumber(piece.section)
      ? `${say(piece.length)} × ${say(piece.width)}`
      : say(piece.length),
    cuts(piece),
    roles[piece.role].one,
  ])
  const widths = [0, 1, 2, 3, 4].map(column =>
    Math.max(...rows.map(cells => (cells[column] ?? '').length), 0),
  )
  const table = rows.map(cells =>
    cells
      .map((cell, i) => (i === 1 || i === 3 ? cell.padStart(widths[i] ?? 0) : cell.padEnd(widths[i] ?? 0)))
      .join('  ')
      .trimEnd(),
  )
  const lines = table.flatMap((line, i) => {
    const { step = null, piece } = listed[i] ?? {}
    const heading = step !== null && step !== listed[i - 1]?.step ? [...(i ? [''] : []), `${step}:`] : []
    return [...heading, line, ...furtherLine(plan, piece)]
  })
  const wood =
    units === 'imperial' ? `${totals.boardFeet.toFixed(1)} board feet` : `${totals.volume.toFixed(3)} m³`
  return [
    design.name,
    '',
    ...head,
    '',
    ...lines,
    '',
    `${counted(totals.pieces, 'piece')}, ${sayLongLength(totals.length, units)}, ${wood}, ${totals.sheets ? `${counted(totals.sheets, 'sheet')}, ` : ''}${totals.panels ? `${counted(totals.panels, 'panel')}, ` : ''}${sayWeight(totals.weight, units)}`,
    ...(totals.temporary.pieces
      ? [
          `Of those ${counted(totals.temporary.pieces, 'piece')}, ${sayLongLength(totals.temporary.length, units)} more, that trusses are set with and that come down again`,
        ]
      : []),
    ...section(
      'Loose',
      plan.loose.map(item => `${sayLoose(item, units).name}: ${sayLoose(item, units).value}`),
    ),
    ...section(
      'Problems',
      plan.frame.problems.map(problem => sayProblem(problem, units)),
    ),
    ...section(
      'Cautions',
      cautionsOf(plan).map(caution => sayCaution(caution, units)),
    ),
    '',
    'Check the first piece on the building before you cut the rest. Local code and the people licensed for it decide what holds.',
    '',
  ].join('\n')
}

/** A building with all its parts to be read in a terminal or on paper, one after another. */
export const wholeListText = (all: Whole, order: ListOrder = 'section'): string =>
  plansOf(all)
    .map(plan => cutListText(plan, order))
    .join('\n')

/** What the row of a piece has no room for, set in under it. */
function furtherLine(plan: Plan, piece: Piece | undefined): string[] {
  if (!piece) return []
  const { cuts: lines, notches, inPlace, figures } = sayDetails(plan, piece)
  const said = [
    ...(piece.mirrorOf ? [`mirror image of ${piece.mirrorOf}`] : []),
    ...lines,
    ...notches,
    ...figures,
  ]
  return [said, inPlace].flatMap(each => (each.length ? [`      ${each.join('; ')}`] : []))
}

const cuts = (piece: Piece): string =>
  piece.ends
    .map(end =>
      end.miter === 0 && end.bevel === 0
        ? 'square'
        : `${end.kind} ${formatAngle(end.miter)}${end.bevel ? `/${formatAngle(end.bevel)}` : ''}`,
    )
    .join(', ')

const section = (title: string, lines: readonly string[]): string[] =>
  lines.length ? ['', `${title}:`, ...lines.map(line => `- ${line}`)] : []
