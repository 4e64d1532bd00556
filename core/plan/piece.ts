import { type Role, roles } from '../trade'
import { boardLength, type CutBoard, type End, endsOf, type Likeness, likeness } from '../board'
import { NO_TURN, ONE_READING } from '../measure'
import { type Member, type Memory, newMemory } from '../frame'
import { boardFeet, type Section, stockFor } from '../lumber'

/** Members of one cut shape. */
export interface Piece {
  /** Short name a framer writes on the board: `R1`, `S3`. */
  readonly mark: string
  readonly role: Role
  readonly section: Section
  readonly count: number
  /** Long point to long point along the board, mm. */
  readonly length: number
  /** Across the face: the section's depth, or less where it is ripped all along; mm. */
  readonly width: number
  readonly ends: readonly [End, End]
  /** Ids, in the order framed. */
  readonly members: readonly string[]
  readonly board: CutBoard
  /** As it is in the end, where it is cut again in place; null for most. */
  readonly standing: Standing | null
  /** Mark of the piece this one is the mirror image of; null for most. */
  readonly mirrorOf: string | null
  /** Shortest stock length it comes out of, mm; null where none sold is long enough. */
  readonly stock: number | null
  /** Of one: mm³, and board feet as sold. */
  readonly volume: number
  readonly boardFeet: number
}

/**
 * A board as it is cut in place, and the level of its start over the deck where it stands upright, mm; null
 * where it doesn't.
 */
export interface Standing {
  readonly board: CutBoard
  readonly level: number | null
}

interface Group {
  readonly role: Role
  readonly section: Section
  readonly board: CutBoard
  readonly standing: Standing | null
  readonly members: Member[]
}

/**
 * Groups members into pieces: by section, deepest first, then longest first. `stock` in mm,
 * shortest first; `part` stands before their marks.
 */
export function piecesOf(
  all: readonly Member[],
  stock: readonly number[],
  memory: Memory = newMemory(),
  part = '',
): Piece[] {
  const { groups, mirrored } = merge(byShape(all))
  const at = new Map(all.map(({ id }, i) => [id, i]))
  for (const { members } of groups) members.sort((a, b) => (at.get(a.id) ?? 0) - (at.get(b.id) ?? 0))
  const numbers = new Map<Role, number>()
  const pieces: Piece[] = []
  const marks = new Map<Group, string>()
  for (const group of groups.sort(inOrder)) {
    const number = (numbers.get(group.role) ?? 0) + 1
    numbers.set(group.role, number)
    const mark = `${part}${roles[group.role].mark}${number}`
    // of a pair, the one that comes first in the list has no mark to point to yet
    const like = mirrored.get(group)?.find(other => marks.has(other))
    marks.set(group, mark)
    pieces.push(pieceOf(group, mark, like ? (marks.get(like) ?? null) : null, stock, memory))
  }
  return pieces
}

function pieceOf(
  { role, section, board, standing, members }: Group,
  mark: string,
  mirrorOf: string | null,
  stock: readonly number[],
  memory: Memory,
): Piece {
  const { length, width, ends } = memory.of('reading', board, () => ({
    length: boardLength(board),
    width: widthOf(board),
    ends: endsOf(board),
  }))
  return {
    mark,
    role,
    section,
    board,
    standing,
    mirrorOf,
    length,
    width,
    ends,
    count: members.length,
    members: members.map(member => member.id),
    stock: stockFor(length, section.sold === undefined ? stock : [section.sold]),
    volume: board.volume,
    boardFeet: boardFeet(section, length),
  }
}

/** What is left of a board's depth, at its widest, mm. */
export function widthOf(board: CutBoard): number {
  let [low, high] = [Infinity, -Infinity]
  for (const face of board.faces) {
    for (const p of face.loops[0] ?? []) {
      if (p.y < low) low = p.y
      if (p.y > high) high = p.y
    }
  }
  return high - low
}

function standingOf({ sawn, board, placement: { along, origin } }: Member): Standing | null {
  if (!sawn) return null
  return { board, level: along.z > 1 - NO_TURN ? origin.z + board.start : null }
}

/** Whether what is cut in place is the same board at the same level. */
const isAsStanding = (a: Standing | null, b: Standing | null): boolean =>
  a?.board === b?.board && isLevel(a?.level ?? 0, b?.level ?? 0)

const isLevel = (a: number, b: number): boolean => Math.abs(a - b) < ONE_READING

/** How two groups' boards are alike, as they are sawn and as they stand. */
function groupLikeness(a: Group, b: Group): Likeness {
  const sawn = likeness(a.board, b.board)
  if (!a.standing || !b.standing || sawn === 'different')
    return Boolean(a.standing) === Boolean(b.standing) ? sawn : 'different'
  if (!isLevel(a.standing.level ?? 0, b.standing.level ?? 0)) return 'different'
  const stood = likeness(a.standing.board, b.standing.board)
  return stood === 'same' ? sawn : stood
}

/** Members that share a cut board, which most do, fall together without being compared. */
function byShape(members: readonly Member[]): Group[] {
  const groups = new Map<CutBoard, Group[]>()
  for (const member of members) {
    const board = member.sawn ?? member.board
    const standing = standingOf(member)
    const known = groups.get(board) ?? []
    const group = known.find(each => each.role === member.role && isAsStanding(each.standing, standing))
    if (group) group.members.push(member)
    else
      groups.set(board, [
        ...known,
        { role: member.role, section: member.section, board, standing, members: [member] },
      ])
  }
  // boards that are equal may or may not be the same one: what order they come in does not hang on that
  const at = new Map(members.map(({ id }, i) => [id, i]))
  const first = (group: Group): number => at.get(group.members[0]?.id ?? '') ?? 0
  return [...groups.values()].flat().sort((a, b) => first(a) - first(b))
}

/** Groups of one shape put together; those left, and of each the ones that are its mirror image. */
function merge(all: readonly Group[]): {
  readonly groups: Group[]
  readonly mirrored: ReadonlyMap<Group, readonly Group[]>
} {
  const kinds = new Map<string, Group[]>()
  const mirrored = new Map<Group, Group[]>()
  for (const group of all) {
    const kind = `${group.role} ${group.section.name}`
    const others = kinds.get(kind) ?? []
    kinds.set(kind, others)
    const like = others.map(other => ({ other, is: groupLikeness(other, group) }))
    const same = like.find(({ is }) => is === 'same')
    if (same) {
      same.other.members.push(...group.members)
      continue
    }
    for (const { other, is } of like) {
      if (is !== 'mirrored') continue
      mirrored.set(group, [...(mirrored.get(group) ?? []), other])
      mirrored.set(other, [...(mirrored.get(other) ?? []), group])
    }
    others.push(group)
  }
  return { groups: [...kinds.values()].flat(), mirrored }
}

/** Lumber stands before sheets in a list, and those before panels. */
const rankOf = ({ kind }: Section): number => (kind === 'sheet' ? 1 : kind === 'panel' ? 2 : 0)

/** Lumber before sheets; by section, the largest first, and its longest pieces first. */
function inOrder(a: Group, b: Group): number {
  return (
    rankOf(a.section) - rankOf(b.section) ||
    b.section.depth - a.section.depth ||
    b.section.thickness - a.section.thickness ||
    compareText(a.section.name, b.section.name) ||
    micrometres(b.board) - micrometres(a.board) ||
    compareText(a.role, b.role)
  )
}

/** Lengths that differ by rounding alone are one length in the order of a list. */
const micrometres = (board: CutBoard): number => Math.round(boardLength(board) * 1000)

const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)
