import { coverHigh } from '../cover/high'
import {
  type Building,
  type Design,
  hungBy,
  ledgerRise,
  limits,
  lowSide,
  partDesign,
  type SideName,
  withValue,
  workedOut,
} from '../../design'
import { type Placement } from '../../geometry'
import { HAIR, pitchAngle } from '../../measure'
import { eaveOver, levelOver, type Problem } from '../../lines'
import { overlap } from '../../trade'
import { frameBelow } from '../below'
import type { Frame } from '../frame'
import { coverOn } from '../roof/cover'
import { skinOn } from '../walls/skins'
import { roofLumber, sectionsOf } from '../sections'
import { hangProblems } from './problems'
import { onGround } from './on-ground'
import { type HungDesign, poseOf } from './pose'
import { type Over, overOf, roomUnder } from './under-eave'

/** A part where it hangs: the design to frame, where its axes stand in the main part's, what is wrong. */
export interface Hung {
  readonly design: HungDesign
  readonly pose: Placement
  readonly problems: readonly Problem[]
}

/**
 * A part of a building worked out against the main part as it was framed: what its roof hangs at, the level
 * of its floor, and the ground under it. Throws RangeError where the building has no such part.
 */
export function hungOn(whole: Design, index: number, main: Frame): Hung {
  const typed = partDesign(whole, index) as HungDesign
  const { hang } = typed
  const off =
    coverOn(main.building, main.lumber, hang.side) +
    skinOn(main.building, sectionsOf(main.building), hang.side)
  const asked = onPorch(typed, main, off)
  const flat = poseOf(whole, asked, off, 0)
  const grounded = onGround(whole, asked, flat)
  const level = levelOf(grounded, main, flat)
  const pose = poseOf(whole, asked, off, level)
  const fitted = fit(besideSlab(grounded, main, off, level), main, off, pose, level)
  return {
    design: fitted.design,
    pose,
    problems: [
      ...fitted.problems,
      ...hangProblems(whole, fitted.design, main, fitted.ledger, { off, level }),
    ],
  }
}

/**
 * A part as deep as the porch that it stands on: its posts stand at that one's edge, what covers the main
 * part's wall taken off its depth.
 */
function onPorch(part: HungDesign, { building: { floor } }: Frame, off: number): HungDesign {
  const { by, side } = part.hang
  const porch = floor?.porch?.side === side ? floor.porch : null
  if (!porch || part.floor || part.base) return part
  const path = by === 'roof' ? 'length' : 'width'
  const past = part.footprint[path] + off - porch.depth
  return past > HAIR && past < off + HAIR
    ? { ...part, footprint: { ...part.footprint, [path]: porch.depth - off } }
    : part
}

/** The part, its slab laid up to the main part's, where that reaches under it at a level of its own. */
function besideSlab(part: HungDesign, main: Frame, off: number, level: number): HungDesign {
  const [theirs, mine] = [main.building.base, part.base]
  if (theirs?.kind !== 'slab' || mine?.kind !== 'slab') return part
  const clear = theirs.beyond - off
  const meets = overlap({ from: level - mine.thickness, to: level }, { from: -theirs.thickness, to: 0 })
  return meets && clear > 0 ? { ...part, hang: { ...part.hang, clear } } : part
}

/**
 * The level of a part's deck over the main part's, mm: as its base stands on the same ground; without floor
 * and base, on the main part's porch there, or as high as its deck.
 */
function levelOf(part: HungDesign, main: Frame, pose: Placement): number {
  if (!part.floor && !part.base)
    return main.building.floor?.porch?.side === part.hang.side ? (main.floor?.porchTop ?? 0) : 0
  const building = workedOut(part)
  const { ground } = frameBelow(building, sectionsOf(building), [])
  // both know the ground by the same readings: at any place it is one
  const spot = { x: part.footprint.length / 2, y: part.footprint.width / 2 }
  const there = {
    x: pose.origin.x + pose.along.x * spot.x + pose.depth.x * spot.y,
    y: pose.origin.y + pose.along.y * spot.x + pose.depth.y * spot.y,
  }
  return main.ground.at(there) - ground.at(spot)
}

interface Fitted {
  readonly design: HungDesign
  /** The ledger's top and underside over the main part's deck, mm; null without a ledger. */
  readonly ledger: { readonly top: number; readonly bottom: number } | null
  readonly problems: readonly Problem[]
}

const put = (part: HungDesign, path: string, value: unknown): HungDesign => withValue(part, path, value)

/** The part with its heights and its seat as what it hangs by gives them. */
function fit(part: HungDesign, main: Frame, off: number, pose: Placement, level: number): Fitted {
  if (part.hang.by === 'roof') {
    const low = Math.min(main.building.heights.south, main.building.heights.north) - level
    return {
      design: underRoof(part, main, level),
      ledger: null,
      problems:
        low < limits.wallHeight.min - HAIR ? [{ code: 'part-too-high', path: 'base.kind', comes: low }] : [],
    }
  }
  const building = workedOut(part)
  const lumber = roofLumber(building, sectionsOf(building))
  const house = hungBy(part)
  const ledgerOf = (top: number): NonNullable<Fitted['ledger']> => ({
    top: top + level,
    bottom: top + level - lumber.ridge.depth,
  })
  const own = ledgerOf(building.heights[house])
  const cover = Math.max(coverOn(building, lumber, 'east'), coverOn(building, lumber, 'west'))
  const high = coverHigh(building.cover, sectionsOf(building))
  const over = overOf(main, part, pose, {
    thick: lumber.ridge.thickness,
    past: cover + (lumber.barge?.thickness ?? 0),
    // so does what covers the slope
    rises: lumber.barge !== null || cover > 0 || high > 0,
    high,
  })
  if (part.hang.by === 'height')
    return { design: part, ledger: own, problems: ledgerProblems(part, building, over) }
  const rise = ledgerRise(building)
  if (!rise) return { design: part, ledger: own, problems: [] }
  const top = topAt(part, main, off, lumber.ridge.thickness, over, level)
  if (top === null)
    return {
      design: part,
      ledger: own,
      problems: [{ code: 'hang-no-eave', path: 'hang.by', side: part.hang.side }],
    }
  const { design, angle, problems } = under(part, building, rise, top)
  return { design, ledger: ledgerOf(top(angle)), problems }
}

/** The field that the height of a part's low side is asked in. */
const lowPath = ({ walls, roof }: HungDesign): LowPath => {
  const low = lowSide(roof)
  return walls.sides[low].height === null ? 'walls.height' : `walls.sides.${low}.height`
}
type LowPath = Extract<Problem, { readonly code: 'hang-no-room' }>['path']

/** Why a ledger can't be at the height that is asked for: its roof would run into the main one. */
function ledgerProblems(part: HungDesign, building: Building, over: Over): Problem[] {
  const house = hungBy(part)
  const { heights, roof } = building
  if (heights[house] <= roomUnder(over, pitchAngle(roof.pitch)) + HAIR) return []
  const flattest = flattestUnder(building, over)
  return heights[lowSide(part.roof)] > flattest + HAIR
    ? // from so high a wall not even the flattest roof goes under
      [{ code: 'hang-no-room', path: lowPath(part), most: flattest }]
    : [{ code: 'hang-into-eave', path: `walls.sides.${house}.height`, most: mostUnder(building, over) }]
}

/**
 * A part whose ledger is where the main roof has it, `top` by the slope's angle: its low side follows from
 * its pitch, or its pitch from its low side, where a height is asked for on the ledger's.
 */
function under(
  part: HungDesign,
  building: Building,
  rise: NonNullable<ReturnType<typeof ledgerRise>>,
  top: (angle: number) => number,
): { readonly design: HungDesign; readonly angle: number; readonly problems: readonly Problem[] } {
  const ledger = `walls.sides.${hungBy(part)}.height`
  const path = lowPath(part)
  const asked = part.walls.sides[hungBy(part)].height !== null
  const low = building.heights[lowSide(part.roof)]
  const heightAt = (angle: number): number => low + top(angle) - rise.top(angle)
  const flattest = heightAt(limits.roofAngle.min)
  if (asked && low < flattest) {
    const angle = meetingAngle(rise.top, top)
    return { design: put(part, ledger, top(angle)), angle, problems: [] }
  }
  const angle = pitchAngle(part.roof.pitch)
  const following = put(part, ledger, null)
  if (asked) return { design: following, angle, problems: [{ code: 'hang-no-room', path, most: flattest }] }
  const height = heightAt(angle)
  return {
    design: put(following, path, height),
    angle,
    problems:
      height < limits.wallHeight.min - HAIR
        ? [{ code: 'hang-too-low', path: 'roof.pitch', comes: height }]
        : [],
  }
}

/** How high the low side can be for the flattest roof to go under an eave, mm. */
function flattestUnder(building: Building, over: Over): number {
  const { min } = limits.roofAngle
  const rise = ledgerRise(building)
  const low = building.heights[lowSide(building.roof)]
  return rise ? low + roomUnder(over, min) - rise.top(min) : Infinity
}

/** The highest that a ledger can be asked for under an eave, the low side as it is: its pitch follows. */
function mostUnder(building: Building, over: Over): number {
  const rise = ledgerRise(building)
  const angle = rise ? meetingAngle(rise.top, at => roomUnder(over, at)) : pitchAngle(building.roof.pitch)
  return roomUnder(over, angle)
}

/** The level of the ledger's top over the part's deck by the slope's angle; null where there is no eave. */
function topAt(
  part: HungDesign,
  main: Frame,
  off: number,
  thick: number,
  over: Over,
  level: number,
): ((angle: number) => number) | null {
  const eave = eaveOver(main.roof, part.hang.side)
  if (part.hang.by === 'eave') {
    const plate = main.building.heights[part.hang.side] - level
    return angle => Math.min(roomUnder(over, angle), plate)
  }
  if (!eave || eave.points === 'up' || eave.kick || main.building.roof.hip) return null
  const { outside, face, tail } = eave
  // what reaches out past the wall can't be carried on from it
  if (tail.offset > outside.offset + HAIR) return null
  const at = levelOver(face.top, { ...outside, offset: outside.offset + off + thick }) - level
  return () => at
}

/** The angle at which a slope rises to a level that itself hangs on the angle. */
function meetingAngle(rise: (angle: number) => number, top: (angle: number) => number): number {
  let [low, high]: [number, number] = [limits.roofAngle.min, limits.roofAngle.max]
  for (let i = 0; i < 60; i++) {
    const angle = (low + high) / 2
    if (rise(angle) < top(angle)) low = angle
    else high = angle
  }
  return (low + high) / 2
}

/** A part under the main roof: walls as high as the main part's, rafters as high over them. */
function underRoof(part: HungDesign, main: Frame, level: number): HungDesign {
  const sides: readonly SideName[] = ['south', 'north']
  const { heights } = main.building
  const { house } = main.building.roof.has
  const { height: peak } = part.roof.peak
  const lifted = sides.reduce<HungDesign>(
    (at, side) =>
      side === house && part.walls.sides[side].height === null
        ? at
        : put(at, `walls.sides.${side}.height`, heights[side] - level),
    put(
      put(part, 'walls.height', Math.min(heights.south, heights.north) - level),
      'roof.peak.height',
      peak === null ? null : peak - level,
    ),
  )
  const [eave] = sides.map(side => eaveOver(main.roof, side)).filter(each => each !== undefined)
  const { rule } = main.building.roof.seat
  // on a beam that is narrower than the main part's plates a seat would let the roof down
  return eave && (rule === 'full-bearing' || rule === 'third') && !main.building.roof.truss
    ? put(lifted, 'roof.seat', { rule: 'height-above-plate', height: eave.heightAbovePlate })
    : lifted
}
