import { usualBase } from '../base'
import type { Design, Part } from '../design'
import { type Floor, usualBoards } from '../floor'
import type { Hang } from '../hang'
import { lengthOfSide, withNewPart } from '../parts'
import { isOpenEnd } from '../building'
import { roofHas } from '../roofs/kinds'
import { acrossFrom, type Side, type SideName, sideNames } from '../sides'
import { porchRoof } from './porch-roof'
import { beamOnTop, each } from './starter'

/** What can be hung on a building: a roof of its own on a ledger, or a porch that the roof runs on over. */
export type PartKind = 'lean-to' | 'porch'
export const partKinds: readonly PartKind[] = ['lean-to', 'porch']

/** The sides that a part of a kind can hang on. */
export const sidesFor = ({ roof, walls }: Design, kind: PartKind): readonly SideName[] => {
  const has = roofHas(roof)
  return sideNames.filter(side =>
    kind === 'porch'
      ? (side === 'east' || side === 'west') && !has.falls.includes(side)
      : side !== has.house && !isOpenEnd(walls.sides, has, side),
  )
}

/**
 * A building with a new part on one of its sides, with what it stands on: a lean-to as long as the side; or a
 * porch as wide as the building, on the floor's own where there is a floor.
 */
export function withPartOf(whole: Design, kind: PartKind, side: SideName, name: string): Design {
  return kind === 'porch' ? withPorch(whole, side, name) : withLeanTo(whole, side, name)
}

const hangOf = (side: SideName, by: Hang['by'], yard: Design['lumber']['yard']): Hang => ({
  side,
  by,
  along: 0,
  gap: each(yard, 2, 50),
})

const partOf = (
  { name, footprint, base, floor, walls, roof, cut }: Omit<Design, 'hang'>,
  hang: Hang,
): Part => ({ name, footprint, base, floor, walls, roof, cut, hang })

function withLeanTo(whole: Design, side: SideName, name: string): Design {
  const { yard } = whole.lumber
  const length = lengthOfSide(whole, side)
  const width = each(yard, 72, 1800)
  // how high it stands follows from what it hangs under
  const height = each(yard, 78, 2000)
  const begun = porchRoof.design(name, yard, { length, width, height })
  const base = whole.base ? usualBase('poles', yard) : null
  const part = partOf(
    { ...begun, base, walls: { ...begun.walls, stud: whole.walls.stud } },
    hangOf(side, 'eave', yard),
  )
  return withNewPart(whole, part)
}

const bareSide = (side: Side, build: Side['build']): Side => ({
  ...side,
  ...{ build, cover: 'open', step: null, layout: 'low' },
})

function withPorch(whole: Design, side: SideName, name: string): Design {
  const { yard } = whole.lumber
  const depth = each(yard, 60, 1500)
  const { sides } = whole.walls
  const far = side
  const near = acrossFrom[side]
  const house = roofHas(whole.roof).house
  const walls: Part['walls'] = {
    ...whole.walls,
    ...{
      openings: [],
      partitions: [],
      units: [],
      sheathing: null,
      siding: null,
      gables: 'open',
      stack: 'own',
    },
    posts: { ...beamOnTop(yard, { brace: 0, inset: 0 }), set: 'on-top', plates: true },
    sides: {
      ...sides,
      south: house === 'south' ? sides.south : bareSide(sides.south, 'posts'),
      north: house === 'north' ? sides.north : bareSide(sides.north, 'posts'),
      [far]: { ...bareSide(sides[far], 'posts'), height: null },
      [near]: { ...bareSide(sides[near], 'open'), height: null },
    },
  }
  const part: Part = {
    name,
    footprint: { length: depth, width: whole.footprint.width },
    floor: null,
    base: whole.floor || !whole.base ? null : usualBase('poles', yard),
    walls,
    roof: { ...whole.roof, openings: [], loft: null, joistBeam: null },
    cut: [],
    hang: hangOf(side, 'roof', yard),
  }
  const floor = whole.floor && withDeck(whole.floor, side, depth, yard)
  return withNewPart({ ...whole, floor }, part)
}

/** A floor with a deck for a porch to stand on, where it has none. */
const withDeck = (floor: Floor, side: SideName, depth: number, yard: Design['lumber']['yard']): Floor =>
  floor.porch
    ? floor
    : {
        ...floor,
        // a little more than the posts stand out, whatever covers the wall behind them
        porch: {
          side,
          depth: depth + each(yard, 1, 25),
          board: usualBoards[yard].section,
          gap: usualBoards[yard].gap,
        },
      }
