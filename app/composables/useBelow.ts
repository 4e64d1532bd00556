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
} from '../../core/design'
import { stretchOf } from '../../core/plan'
import { useBench } from '../stores/bench'

/** What can be done to a design below its walls; each is one edit, undone as one. */
export function useBelow() {
  const bench = useBench()
  const edit = (change: (design: Design) => Design): void => bench.edit(change)
  const withFloor = (change: (floor: Floor, design: Design) => Floor): void =>
    edit(design => (design.floor ? { ...design, floor: change(design.floor, design) } : design))
  const withSite = (change: (site: Site, design: Design) => Site): void =>
    edit(design => (design.site ? { ...design, site: change(design.site, design) } : design))
  const withBase = (change: (base: Base) => Base): void =>
    edit(design => (design.base ? { ...design, base: change(design.base) } : design))

  /** A base of a kind: one that carries a floor brings a floor with it, a slab takes it away. */
  function chooseBase(kind: BaseKind | 'none'): void {
    edit(design => {
      if (kind === 'none') return { ...design, base: null }
      return {
        ...design,
        base: usualBase(kind, design.lumber.yard),
        floor: kind === 'slab' ? null : (design.floor ?? usualFloors[design.lumber.yard]),
      }
    })
  }

  const frameFloor = (): void =>
    edit(design => ({
      ...design,
      floor: usualFloors[design.lumber.yard],
      base: design.base?.kind === 'slab' ? null : design.base,
    }))
  const takeFloor = (): void =>
    edit(design => ({ ...design, floor: null, base: design.base?.kind === 'slab' ? design.base : null }))
  const chooseDeck = (kind: 'sheets' | 'boards'): void =>
    withFloor((floor, { lumber: { yard } }) => ({
      ...floor,
      deck: kind === 'sheets' ? usualSheets[yard] : usualBoards[yard],
    }))
  const splitFloor = (on: boolean): void =>
    withFloor((floor, { footprint }) => ({ ...floor, joint: on ? footprint.length / 2 : null }))

  function choosePorch(side: 'none' | 'south' | 'east' | 'north' | 'west'): void {
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
  }

  function addOpening(): void {
    withFloor((floor, { footprint, lumber: { yard } }) => {
      const side = yard === 'imperial' ? 609.6 : 600
      const opening: FloorOpening = {
        x: footprint.length / 2 - side / 2,
        y: footprint.width / 2 - side / 2,
        length: side,
        width: side,
      }
      return { ...floor, openings: [...floor.openings, opening] }
    })
  }

  const dropOpening = (i: number): void =>
    withFloor(floor => ({ ...floor, openings: floor.openings.filter((_, k) => k !== i) }))

  /**
   * Where the floor's joist in hand stands along the rims; null for the porch's, and for what is no joist.
   */
  function joistInHand(): number | null {
    const { member } = bench
    if (member?.role !== 'joist' || member.where.in !== 'floor' || !bench.design?.floor) return null
    const { from, to } = stretchOf(member, bench.design.floor.runs === 'width' ? 'x' : 'y')
    return (from + to) / 2
  }

  /** Doubles the joist in hand, or makes a doubled one single again. */
  function toggleDouble(): void {
    const at = joistInHand()
    if (at === null) return
    withFloor(floor => {
      const near = floor.doubled.filter(each => Math.abs(each - at) < 60)
      return {
        ...floor,
        doubled: near.length ? floor.doubled.filter(each => !near.includes(each)) : [...floor.doubled, at],
      }
    })
  }

  const setOutSite = (): void =>
    edit(design => ({ ...design, site: usualSite(design.footprint.length, design.lumber.yard) }))

  function addBoundary(): void {
    withSite((site, { footprint, lumber: { yard } }) => {
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
  }

  function addFind(buried: boolean): void {
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
  }

  const drop = (list: 'boundaries' | 'finds', i: number): void =>
    withSite(site => ({ ...site, [list]: site[list].filter((_, k) => k !== i) }))
  const changeFind = (i: number, change: Partial<Find>): void =>
    withSite(site => ({
      ...site,
      finds: site.finds.map((each, k) => (k === i ? { ...each, ...change } : each)),
    }))
  const nameBoundary = (i: number, name: string): void =>
    withSite(site => ({
      ...site,
      boundaries: site.boundaries.map((each, k) => (k === i ? { ...each, name } : each)),
    }))

  /** Takes a tape's reading over the stakes, or takes it back. */
  function setTape(name: string, value: number | null): void {
    withSite(site => {
      const tapes = Object.fromEntries(
        Object.entries({ ...site.squaring.tapes, [name]: value }).filter(([, each]) => each !== null),
      )
      return { ...site, squaring: { ...site.squaring, tapes } }
    })
  }

  function addLevels(corners: boolean): void {
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
  }

  const dropLevel = (i: number): void =>
    withSite(site => ({
      ...site,
      levels: { ...site.levels, points: site.levels.points.filter((_, k) => k !== i) },
    }))

  /** A hole that stopped on rock, by its post's row and number; or that did not after all. */
  function setRock(post: string, on: boolean): void {
    withBase(base =>
      base.kind !== 'posts'
        ? base
        : {
            ...base,
            rock: on
              ? [...base.rock, { post, reached: base.frost / 2 }]
              : base.rock.filter(each => each.post !== post),
          },
    )
  }

  return {
    chooseBase,
    frameFloor,
    takeFloor,
    chooseDeck,
    splitFloor,
    choosePorch,
    addOpening,
    dropOpening,
    joistInHand,
    toggleDouble,
    setOutSite,
    addBoundary,
    addFind,
    drop,
    changeFind,
    nameBoundary,
    setTape,
    addLevels,
    dropLevel,
    setRock,
  }
}
