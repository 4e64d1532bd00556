import { boxOf, downFace, everyBoard, type Member } from '../frame'
import { isTemporary, middleOf, type Role } from '../trade'
import type { Plan } from './plan'
import { raising } from './raising'

/** The steps of setting a row of trusses. */
export type SettingStepName = 'walls' | 'first' | 'others' | 'rows' | 'diagonals' | 'covering'

/** Boards of one shape that a step takes. */
export interface SettingBoards {
  readonly mark: string
  readonly role: Role
  readonly count: number
  /** mm */
  readonly length: number
  readonly stays: boolean
}

/**
 * Where boards of a step go, each by its nearer edge, mm from the building's corner at the west or at the
 * south, or down the slope from a face's head; `of` the wall or the face.
 */
export interface SettingPlaces {
  readonly role: Role
  readonly from: 'west' | 'south' | 'head'
  readonly of: string | null
  readonly at: readonly number[]
}

/** A step of setting a row of trusses; `raised` its place in the order of raising, from 1. */
export interface SettingStep {
  readonly name: SettingStepName
  readonly raised: number
  readonly boards: readonly SettingBoards[]
  readonly places: readonly SettingPlaces[]
}

/** What each step puts up; what comes down in the last was put up before. */
const rolesOf: Readonly<Record<SettingStepName, readonly Role[]>> = {
  walls: ['wall-brace'],
  first: ['strongback', 'truss-brace'],
  others: ['spacer', 'scrap-block'],
  rows: ['top-row', 'flat-purlin', 'bottom-row', 'web-row'],
  diagonals: ['row-diagonal', 'top-diagonal'],
  covering: [],
}

/** Whether there is a row of trusses, and its setting is planned. */
export const isSet = ({ frame, building }: Pick<Plan, 'frame' | 'building'>): boolean =>
  Boolean(building.roof.truss?.setting) && frame.across.some(({ role }) => role === 'upper-chord')

/** How a row of trusses is set, in its order; nothing where there are none, or where it isn't planned. */
export function settingOf(plan: Plan): SettingStep[] {
  const { frame } = plan
  if (!isSet(plan)) return []
  const boards = everyBoard(frame)
  const steps = raising(plan)
  const raisedWith = (roles: readonly Role[]): number => {
    const ids = new Set(boards.filter(({ role }) => roles.includes(role)).map(({ id }) => id))
    return steps.findIndex(({ members }) => members.some(id => ids.has(id))) + 1
  }
  const names = Object.keys(rolesOf) as SettingStepName[]
  return names.flatMap((name): SettingStep[] => {
    const roles = rolesOf[name]
    const mine = boards.filter(({ role }) => roles.includes(role))
    const raised =
      name === 'covering'
        ? steps.findIndex(step => step.name === 'clearing') + 1
        : name === 'others'
          ? steps.findIndex(step => step.name === 'trusses' && step.number === 2) + 1
          : name === 'first'
            ? steps.findIndex(step => step.name === 'trusses') + 1
            : raisedWith(roles)
    if (raised === 0 || (!mine.length && name !== 'first' && name !== 'covering')) return []
    return [{ name, raised, boards: boardsOf(plan, mine), places: placesOf(plan, mine) }]
  })
}

function boardsOf({ pieces }: Plan, members: readonly Member[]): SettingBoards[] {
  const ids = new Set(members.map(({ id }) => id))
  return pieces.flatMap(({ mark, role, length, members: of }): SettingBoards[] => {
    const count = of.filter(id => ids.has(id)).length
    return count ? [{ mark, role, count, length, stays: !isTemporary(role) }] : []
  })
}

/** Each row and brace once: pieces of one row are at one place. */
function placesOf({ frame }: Plan, members: readonly Member[]): SettingPlaces[] {
  const found = new Map<
    string,
    { role: Role; from: SettingPlaces['from']; of: string | null; at: number[] }
  >()
  const add = (role: Role, from: SettingPlaces['from'], of: string | null, at: number): void => {
    const key = `${role} ${of ?? ''}`
    const known = found.get(key) ?? { role, from, of, at: [] }
    found.set(key, known)
    if (!known.at.some(each => Math.abs(each - at) < 1)) known.at.push(at)
  }
  for (const member of members) {
    const { role, where } = member
    const [first] = where.run
    const { x, y } = boxOf(member)
    if (role === 'wall-brace') add(role, 'west', String(first), x.from)
    if (role === 'strongback' && where.run[1] === 'flat') add(role, 'south', null, y.from)
    if (role === 'truss-brace') add(role, 'south', null, middleOf(y))
    if (role === 'bottom-row') add(role, 'south', null, y.from)
    if (role === 'row-diagonal' || role === 'top-diagonal') add(role, 'west', String(first), x.from)
    if (role === 'top-row' || role === 'flat-purlin') {
      const face = frame.roof.faces.find(({ id }) => id === first)
      if (face) add(role, 'head', face.id, downFace(frame.roof, face, member))
    }
  }
  return [...found.values()].map(each => ({ ...each, at: each.at.sort((a, b) => a - b) }))
}
