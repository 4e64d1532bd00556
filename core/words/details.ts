import { depthOf, type Reach, tell, type Told, type ToldCorner, type ToldCut, type ToldNotch } from '../board'
import { isLumber } from '../lumber'
import { formatAngle, formatLength, ONE_READING, type Units } from '../measure'
import { detailsOf, type Piece, type PieceDetails, type Plan } from '../plan'
import { cutNames } from './fields'
import { figureNames, sayFigure } from './figures'
import { sayShort } from './measures'

/**
 * What a list says of a piece besides its section, length and width: cuts with their corners, notches, and
 * the numbers it is made by; each a few words. Together they are all that the piece is made by.
 */
export interface SaidDetails {
  readonly cuts: string[]
  readonly notches: string[]
  /** What is cut of it where it stands. */
  readonly inPlace: string[]
  readonly figures: string[]
}

export function sayDetails(plan: Plan, piece: Piece): SaidDetails {
  const { units } = plan.design
  const details = detailsOf(plan, piece)
  return {
    ...sayTold(piece, details, units),
    inPlace: sayInPlace(piece, details, units),
    figures: details.figures.map(
      figure => `${figureNames[figure.name].toLowerCase()} ${sayFigure(figure, units)}`,
    ),
  }
}

/** What is cut again in place: of an upright board by its level over the deck. */
export function sayInPlace(piece: Piece, { inPlace }: Pick<PieceDetails, 'inPlace'>, units: Units): string[] {
  if (!inPlace || !piece.standing) return []
  const standing = { ...piece, board: piece.standing.board }
  const before = sayTold(piece, tell(piece.board), units)
  const { cuts, notches } = sayTold(standing, inPlace, units)
  const words = [...cuts, ...notches].filter(each => ![...before.cuts, ...before.notches].includes(each))
  return inPlace.upright
    ? [`where it stands, from the deck up: top at ${along(inPlace.along.to, units)}`, ...words]
    : words.map((each, i) => (i ? each : `where it stands: ${each}`))
}

/** A piece's rips, cuts and notches in words. */
export const sayTold = (
  piece: Piece,
  told: Told | PieceDetails,
  units: Units,
): Pick<SaidDetails, 'cuts' | 'notches'> => ({
  cuts: [...sayBox(piece, told, units), ...told.cuts.map(cut => sayCut(cut, told, units))],
  notches: told.notches.map(notch => sayNotch(notch, told, units)),
})

const along = (mm: number, units: Units): string => formatLength(mm, { units, unit: true })
const same = (a: number, b: number): boolean => Math.abs(a - b) < ONE_READING

/** What is ripped off all along: of the width, where that leaves less than the board's; of the thickness. */
function sayBox({ section, board }: Piece, { across, down }: Told, units: Units): string[] {
  const { depth, thickness } = board.blank
  const said: string[] = []
  const [below, above] = [!same(across.from, 0), !same(across.to, depth)]
  if (below || (above && isLumber(section)))
    said.push(
      `ripped to ${sayShort(across.to - across.from, units)}, ${
        below && above
          ? `${sayShort(across.from, units)} of it off the bottom edge`
          : `off the ${below ? 'bottom' : 'top'} edge`
      }`,
    )
  const [over, under] = [!same(down.from, 0), !same(down.to, thickness)]
  if (over || under)
    said.push(
      `thinned to ${sayShort(down.to - down.from, units)}, ${
        over && under
          ? `${sayShort(down.from, units)} of it off the face up`
          : `off the face ${over ? 'up' : 'under'}`
      }`,
    )
  return said
}

const sideNames = {
  start: 'the start',
  end: 'the end',
  bottom: 'the bottom edge',
  top: 'the top edge',
  up: 'the face up',
  under: 'the face under',
} as const

function sayCut(cut: ToldCut, told: Told, units: Units): string {
  const { name, off, miter, bevel } = cut
  const tilt = bevel ? `, bevel ${formatAngle(bevel)}` : ''
  const across = off === 'start' || off === 'end'
  const what = across
    ? `${cutNames[name]} ${formatAngle(miter)}${tilt}`
    : name === 'backing'
      ? `backed ${formatAngle(bevel)}`
      : miter > 89.99
        ? `bevelled ${formatAngle(bevel)}`
        : `ripped on the slant, ${formatAngle(90 - miter)} to the edge${tilt}`
  return `${what} off ${sideNames[off]}: ${sayCorners(cut.corners, told, units)}`
}

/**
 * Corners of a cut or a notch, those of both faces once where they are over each other. A corner on an edge
 * is told by it, another by how far up from the bottom edge it is; a line square across the board, or all
 * along it, once.
 */
function sayCorners(corners: readonly ToldCorner[], told: Told, units: Units): string {
  const { down } = told
  const up = corners.filter(each => same(each.down, down.from))
  const under = corners.filter(each => same(each.down, down.to))
  const within = corners.filter(each => !up.includes(each) && !under.includes(each))
  const over = (a: ToldCorner, b: ToldCorner): boolean => same(a.along, b.along) && same(a.across, b.across)
  const alike = up.length === under.length && up.every(a => under.some(b => over(a, b)))
  if (alike && !within.length) return sayFace(up, told, units)
  const deep = (each: ToldCorner): string =>
    `${sayCorner(each, told, units)} ${sayShort(each.down - down.from, units)} down`
  return [
    ...(up.length ? [`face up ${sayFace(up, told, units)}`] : []),
    ...(under.length ? [`face under ${sayFace(under, told, units)}`] : []),
    ...(within.length ? [`between them ${inOrder(within).map(deep).join(', ')}`] : []),
  ].join(' / ')
}

/** The start's first, and of two beside each other the one nearer the top edge. */
const inOrder = (corners: readonly ToldCorner[]): ToldCorner[] =>
  [...corners].sort((a, b) => (same(a.along, b.along) ? b.across - a.across : a.along - b.along))

function sayFace(corners: readonly ToldCorner[], told: Told, units: Units): string {
  const all = inOrder(corners)
  const [first, second] = all
  if (first && second && all.length === 2) {
    const { across, along: long } = told
    if (same(first.along, second.along) && same(first.across, across.to) && same(second.across, across.from))
      return `at ${along(first.along, units)}`
    if (same(first.across, second.across) && same(first.along, long.from) && same(second.along, long.to))
      return `${place(first, told, units)} all along`
  }
  return all.map(each => sayCorner(each, told, units)).join(', ')
}

const sayCorner = (corner: ToldCorner, told: Told, units: Units): string =>
  `${place(corner, told, units)} at ${along(corner.along, units)}`

const place = (corner: ToldCorner, { across }: Told, units: Units): string =>
  same(corner.across, across.from)
    ? 'bottom edge'
    : same(corner.across, across.to)
      ? 'top edge'
      : `${sayShort(corner.across - across.from, units)} up`

function sayNotch(notch: ToldNotch, told: Told, units: Units): string {
  const { name, along: at } = notch
  const short = (mm: number): string => sayShort(mm, units)
  const where = `${cutNames[name]} at ${along(at.from, units)}`
  // marked from a template, and its depth is the radius
  if (name === 'cove')
    return `${where}: a quarter circle of ${short(depthOf(notch))} about the bottom corner at the ${at.from < ONE_READING ? 'start' : 'end'}`
  if (notch.square) {
    const whole = same(at.from, 0) && same(at.to, told.along.to)
    const long = whole ? [] : [`${along(at.to - at.from, units)} long`]
    const parts = [...long, ...sayAcross(notch, told, short), ...sayDown(notch, told, short)]
    return `${whole ? `${cutNames[name]} all along` : where}: ${parts.join(', ')}`
  }
  const sides = notch.sides
    .filter(side => side.length > 0.05 && side.name !== name)
    .map(side => `${cutNames[side.name]} ${short(side.length)}`)
  const deep = `${short(depthOf(notch))} deep`
  return `${where}: ${[...sides, deep].join(', ')}; corners ${sayCorners(notch.corners, told, units)}`
}

const touches = (inner: Reach, outer: Reach): [boolean, boolean] => [
  same(inner.from, outer.from),
  same(inner.to, outer.to),
]

/** How a square notch lies across the board. */
function sayAcross({ across }: ToldNotch, told: Told, short: (mm: number) => string): string[] {
  const [bottom, top] = touches(across, told.across)
  const size = short(across.to - across.from)
  if (bottom && top) return ['across the board']
  return [
    bottom || top
      ? `${size} deep from the ${bottom ? 'bottom' : 'top'} edge`
      : `${size} across from ${short(across.from - told.across.from)} up`,
  ]
}

/** How a square notch lies in the board's thickness; nothing of one that goes through. */
function sayDown({ down }: ToldNotch, told: Told, short: (mm: number) => string): string[] {
  const [up, under] = touches(down, told.down)
  const size = short(down.to - down.from)
  if (up && under) return []
  return [
    up || under
      ? `${size} into the face ${up ? 'up' : 'under'}`
      : `${size} of the thickness from ${short(down.from - told.down.from)} down`,
  ]
}
