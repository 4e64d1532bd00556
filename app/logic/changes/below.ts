import {
  type Base,
  type BaseKind,
  type Design,
  type Find,
  type Floor,
  type FloorOpening,
  type Site,
  usualBase,
  usualBoards,
  usualFloors,
  usualSheets,
  usualSite,
  usualSkirt,
} from '../../../core/design'
import type { Change } from '../../storage/designs'

/** What can be done to a design below its walls; each is one edit, undone as one. */
const withFloor =
  (change: (floor: Floor, design: Design) => Floor): Change =>
  design =>
    design.floor ? { ...design, floor: change(design.floor, design) } : design
const withSite =
  (change: (site: Site, design: Design) => Site): Change =>
  design =>
    design.site ? { ...design, site: change(design.site, design) } : design
const withBase =
  (change: (base: Base) => Base): Change =>
  design =>
    design.base ? { ...design, base: change(design.base) } : design

/**
 * A base of a kind: one that carries a floor brings a floor with it, a slab takes it away; and so do the
 * sides' own posts in the ground, of which all sides are then built.
 */
export const chooseBase =
  (kind: BaseKind | 'none'): Change =>
  design =>
    kind === 'none'
      ? { ...design, base: null }
      : {
          ...design,
          base: usualBase(kind, design.lumber.yard),
          floor: hasNoFloor(kind) ? null : (design.floor ?? usualFloors[design.lumber.yard]),
          walls: kind === 'poles' ? allOfPosts(design.walls) : design.walls,
        }

const hasNoFloor = (kind: BaseKind | undefined): boolean => kind === 'slab' || kind === 'poles'

/** Walls whose sides are all of posts: what was to have sheets stays open. */
function allOfPosts(walls: Design['walls']): Design['walls'] {
  const ofPosts = (side: Design['walls']['sides']['south']): Design['walls']['sides']['south'] => ({
    ...side,
    build: 'posts',
    step: null,
    cover: side.cover === 'sheets' ? 'open' : side.cover,
  })
  const { south, east, north, west } = walls.sides
  return {
    ...walls,
    sides: { south: ofPosts(south), east: ofPosts(east), north: ofPosts(north), west: ofPosts(west) },
  }
}

export const frameFloor: Change = design => ({
  ...design,
  floor: usualFloors[design.lumber.yard],
  base: hasNoFloor(design.base?.kind) ? null : design.base,
})
export const takeFloor: Change = design => ({
  ...design,
  floor: null,
  base: hasNoFloor(design.base?.kind) || design.base?.kind === 'border' ? design.base : null,
})
export const chooseDeck = (kind: 'sheets' | 'boards'): Change =>
  withFloor((floor, { lumber: { yard } }) => ({
    ...floor,
    deck: kind === 'sheets' ? usualSheets[yard] : usualBoards[yard],
  }))
export const splitFloor = (on: boolean): Change =>
  withFloor((floor, { footprint }) => ({ ...floor, joint: on ? footprint.length / 2 : null }))

export const choosePorch = (side: 'none' | 'south' | 'east' | 'north' | 'west'): Change =>
  withFloor((floor, { lumber: { yard } }) => {
    const boards = usualBoards[yard]
    return {
      ...floor,
      porch:
        side === 'none'
          ? null
          : {
              side,
              depth: floor.porch?.depth ?? (yard === 'imperial' ? 1219.2 : 1200),
              board: floor.porch?.board ?? boards.section,
              gap: floor.porch?.gap ?? boards.gap,
            },
    }
  })

export const addFloorOpening: Change = withFloor((floor, { footprint, lumber: { yard } }) => {
  const side = yard === 'imperial' ? 609.6 : 600
  const opening: FloorOpening = {
    x: footprint.length / 2 - side / 2,
    y: footprint.width / 2 - side / 2,
    length: side,
    width: side,
  }
  return { ...floor, openings: [...floor.openings, opening] }
})

export const dropFloorOpening = (i: number): Change =>
  withFloor(floor => ({ ...floor, openings: floor.openings.filter((_, k) => k !== i) }))

/** mm. Joists are doubled where they stand; one as near as this is meant by the same. */
const SAME = 60

/** Doubles the joist that stands there along the rims, mm, or makes a doubled one single again. */
export const toggleDouble = (at: number): Change =>
  withFloor(floor => {
    const near = floor.doubled.filter(each => Math.abs(each - at) < SAME)
    return {
      ...floor,
      doubled: near.length ? floor.doubled.filter(each => !near.includes(each)) : [...floor.doubled, at],
    }
  })

export const setOutSite: Change = design => ({
  ...design,
  site: usualSite(design.footprint.length, design.lumber.yard),
})

export const addBoundary: Change = withSite((site, { footprint, lumber: { yard } }) => {
  const out = site.place.near + footprint.width + (yard === 'imperial' ? 3048 : 3000)
  return {
    ...site,
    boundaries: [
      ...site.boundaries,
      {
        name: `Line ${site.boundaries.length + 1}`,
        from: { along: 0, out },
        to: { along: site.reference.length, out },
        setback: yard === 'imperial' ? 1524 : 1500,
      },
    ],
  }
})

export const addFind = (buried: boolean): Change =>
  withSite((site, { lumber: { yard } }) => {
    const half = Math.hypot(site.reference.length / 2, site.place.near / 2)
    const place = { from: 'line' as const, toLeft: half, toRight: half, lies: 'ahead' as const }
    const find: Find = buried
      ? {
          name: `Service ${site.finds.length + 1}`,
          kind: 'drain',
          places: [
            { ...place, toLeft: half * 0.7, toRight: half * 1.4 },
            { ...place, toLeft: half * 1.4, toRight: half * 0.7 },
          ],
          clear: yard === 'imperial' ? 609.6 : 600,
        }
      : {
          name: `Find ${site.finds.length + 1}`,
          kind: 'tree',
          places: [place],
          clear: yard === 'imperial' ? 914.4 : 900,
        }
    return { ...site, finds: [...site.finds, find] }
  })

export const dropOfSite = (list: 'boundaries' | 'finds', i: number): Change =>
  withSite(site => ({ ...site, [list]: site[list].filter((_, k) => k !== i) }))
export const changeFind = (i: number, change: Partial<Find>): Change =>
  withSite(site => ({
    ...site,
    finds: site.finds.map((each, k) => (k === i ? { ...each, ...change } : each)),
  }))
export const nameBoundary = (i: number, name: string): Change =>
  withSite(site => ({
    ...site,
    boundaries: site.boundaries.map((each, k) => (k === i ? { ...each, name } : each)),
  }))

/** Takes a tape's reading over the stakes, or takes it back. */
export const setTape = (name: string, value: number | null): Change =>
  withSite(site => {
    const tapes = Object.fromEntries(
      Object.entries({ ...site.squaring.tapes, [name]: value }).filter(([, each]) => each !== null),
    )
    return { ...site, squaring: { ...site.squaring, tapes } }
  })

/** Readings of the ground still to be taken: at each corner without one, or one in the middle. */
export const addLevels = (corners: boolean): Change =>
  withSite((site, { footprint: { length, width } }) => {
    const known = site.levels.points
    const reading = known.at(-1)?.reading ?? (site.levels.method === 'rod' ? 1200 : 0)
    const places = corners
      ? [
          [0, 0],
          [length, 0],
          [length, width],
          [0, width],
        ].filter(([x, y]) => !known.some(each => each.x === x && each.y === y))
      : [[length / 2, width / 2]]
    return {
      ...site,
      levels: {
        ...site.levels,
        points: [...known, ...places.map(([x = 0, y = 0]) => ({ x, y, reading }))].slice(0, 60),
      },
    }
  })

export const dropLevel = (i: number): Change =>
  withSite(site => ({
    ...site,
    levels: { ...site.levels, points: site.levels.points.filter((_, k) => k !== i) },
  }))

/** A hole that stopped on rock, by its post's row and number; or that did not after all. */
export const setRock = (post: string, on: boolean): Change =>
  withBase(base =>
    base.kind !== 'posts' && base.kind !== 'poles'
      ? base
      : {
          ...base,
          rock: on
            ? [...base.rock, { post, reached: base.frost / 2 }]
            : base.rock.filter(each => each.post !== post),
        },
  )

/** The low wall round a slab, or none. */
export const lowWall =
  (on: boolean): Change =>
  design =>
    design.base?.kind !== 'slab'
      ? design
      : {
          ...design,
          base: {
            ...design.base,
            lowWall: on
              ? design.lumber.yard === 'imperial'
                ? { height: 304.8, thickness: 152.4 }
                : { height: 300, thickness: 150 }
              : null,
          },
        }

/** Skirt boards round posts in the ground, or none. */
export const skirt =
  (on: boolean): Change =>
  design =>
    design.base?.kind === 'poles'
      ? { ...design, base: { ...design.base, skirt: on ? usualSkirt[design.lumber.yard] : null } }
      : design
