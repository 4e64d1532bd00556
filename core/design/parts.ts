import { sideAgainst } from './building'
import type { Design, Part } from './design'
import { valueAt, withValue } from './fields'
import { limits } from './limits'
import { roofHas } from './roofs/kinds'
import { type Side, type SideName } from './sides'

/** The side of a part that is turned to the main one: where its ledger hangs, or where the roof runs on. */
export const hungBy = ({ hang, roof }: Pick<Part, 'hang' | 'roof'>): SideName =>
  sideAgainst(hang, roofHas(roof))

/** What of a roof a part under the main part's own roof has to itself: all else is the main part's. */
const ownRoof = ['openings', 'ties', 'loft', 'joistBeam'] as const

const heightsFollowed = ['walls.height', 'walls.sides.south.height', 'walls.sides.north.height'] as const

/** What a part there has of the main part besides the roof. */
const followed = [
  ...['footprint.width', 'walls.longest', 'walls.topPlates', 'walls.stud'],
  ...heightsFollowed,
] as const

/** Whether a place of a part's document is the main part's: changed there, it is changed for both. */
export function isFollowed({ hang }: Pick<Design, 'hang'>, path: string): boolean {
  if (hang?.by !== 'roof') return false
  const under = (at: string): boolean => path === at || path.startsWith(`${at}.`)
  if (path.startsWith('roof.'))
    return !under('roof.truss.setting') && !ownRoof.some(each => under(`roof.${each}`))
  return followed.some(under)
}

/**
 * A part as a design of its own, as it is asked for: what it shares with the building stands in it. Throws
 * RangeError where the building has no such part.
 */
export function partDesign(whole: Design, index: number): Design {
  const part = partOf(whole, index)
  const { format, version, units, lumber } = whole
  const own: Design = { format, version, units, lumber, site: null, parts: [], ...part }
  if (part.hang.by !== 'roof') return own
  const { openings, ties, truss } = part.roof
  const under = followed.reduce<Design>((at, path) => withValue(at, path, valueAt(whole, path)), own)
  return {
    ...under,
    // what hangs in the main part's roof is not in this one's
    roof: {
      ...whole.roof,
      ...{ openings, ties, loft: null, joistBeam: null },
      truss: { ...whole.roof.truss, setting: truss.setting },
    },
  }
}

function partOf({ parts }: Design, index: number): Part {
  const part = parts[index]
  if (!part) throw new RangeError('the building has no such part')
  return part
}

/**
 * The building with one of its parts changed, as a design of its own, `before` and `after` that: what the
 * part shares with the building is changed there, heights by how far its deck lies over the main one, `level`
 * mm.
 * The same building where nothing is changed.
 */
export function withPart(
  whole: Design,
  index: number,
  before: Design,
  after: Design,
  level: number = 0,
): Design {
  if (after === before) return whole
  const { units, lumber } = after
  const { name, footprint, base, floor, walls, roof, cut } = after
  const was = partOf(whole, index)
  const hang = after.hang ?? was.hang
  const part: Part = { name, footprint, base, floor, walls: withinLimits(walls), roof, cut, hang }
  const shared: Design = { ...whole, units, lumber }
  const back =
    before.hang?.by === 'roof' && hang.by === 'roof' ? withFollowed(shared, before, after, level) : shared
  const kept = before.hang?.by === 'roof' ? { ...part, roof: ownRoofOf(was.roof, roof) } : part
  return { ...back, parts: whole.parts.map((each, i) => (i === index ? kept : each)) }
}

const within = (height: number): number =>
  Math.min(limits.wallHeight.max, Math.max(limits.wallHeight.min, height))

/** Walls whose heights are such as a document takes: those that follow from the main part may be none. */
function withinLimits(walls: Part['walls']): Part['walls'] {
  const side = (name: SideName): Side => {
    const { height } = walls.sides[name]
    return height === null ? walls.sides[name] : { ...walls.sides[name], height: within(height) }
  }
  return {
    ...walls,
    height: within(walls.height),
    sides: { south: side('south'), east: side('east'), north: side('north'), west: side('west') },
  }
}

/** A roof that follows another's, as the document has it: what it has to itself is as it was changed. */
const ownRoofOf = (was: Part['roof'], { openings, ties, truss }: Part['roof']): Part['roof'] => ({
  ...was,
  ...{ openings, ties },
  truss: { ...was.truss, setting: truss.setting },
})

/** The building with what was changed of it in a part under its roof. */
function withFollowed(whole: Design, before: Design, after: Design, level: number): Design {
  const next = followed.reduce<Design>((at, path) => {
    const value = valueAt(after, path)
    if (value === valueAt(before, path)) return at
    const lifted =
      heightsFollowed.some(each => each === path) && typeof value === 'number' ? within(value + level) : value
    return withValue(at, path, lifted)
  }, whole)
  const changed = Object.fromEntries(
    Object.entries(after.roof).filter(
      ([key, value]) =>
        !ownRoof.some(own => own === key) && value !== before.roof[key as keyof Design['roof']],
    ),
  )
  const roof = { ...next.roof, ...changed }
  const { height } = roof.peak
  const peak = changed.peak && height !== null ? { ...roof.peak, height: height + level } : roof.peak
  // each part sets its trusses by itself
  return { ...next, roof: { ...roof, peak, truss: { ...roof.truss, setting: next.roof.truss.setting } } }
}

/** The building with another part, its last. */
export const withNewPart = (whole: Design, part: Part): Design => ({
  ...whole,
  parts: [...whole.parts, part],
})

/** The building without one of its parts. */
export const withoutPart = (whole: Design, index: number): Design => ({
  ...whole,
  parts: whole.parts.filter((_, i) => i !== index),
})

/** How long a side of a building is, mm. */
export const lengthOfSide = ({ footprint }: Pick<Design, 'footprint'>, side: SideName): number =>
  side === 'south' || side === 'north' ? footprint.length : footprint.width

/** How far a part reaches along the side it hangs on, mm. */
export const reachAlong = (part: Pick<Part, 'hang' | 'roof' | 'footprint'>): number =>
  lengthOfSide(part, hungBy(part))
