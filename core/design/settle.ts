import { findSection } from '../lumber'
import { pitchAngle, radians } from '../measure'
import type { Design } from './design'
import { withValue } from './fields'
import { ownSections } from './lumber'
import { ledgerRise, peakSettled } from './peak'
import { hasOneSlope } from './roof'
import { type SideName, sideNames } from './sides'
import { heightOf } from './walls'

/** The low wall of one slope. */
export const lowSide = ({ roof }: Pick<Design, 'roof'>): 'south' | 'north' =>
  roof.high === 'north' ? 'south' : 'north'

/**
 * Level between the two heels of a rafter over a low and a high wall, mm: from the low wall's outside to the
 * high wall's inside, where their bird's mouths are cut plumb; null where the studs' section is not known.
 */
export function heelRun({ footprint, walls, lumber }: Design): number | null {
  const stud = findSection(walls.stud, ownSections(lumber))
  return stud ? footprint.width - stud.depth : null
}

/**
 * The design with what follows from its other fields worked out: under one slope the high wall's or the
 * ledger's height from the pitch, or, where that has its own height, the pitch from the two; and how far the
 * rafters reach over that wall, where it isn't asked; of a gable the pitches, where its peak is given; and
 * the rafters' spacing where panels lead. The same design where nothing follows.
 */
export function settled(asked: Design): Design {
  const { panel } = asked.roof
  const design = panel ? withValue(asked, 'roof.spacing', panel.cover / panel.per) : asked
  if (design.roof.shape === 'gable') return peakSettled(design)
  if (design.roof.shape === 'lean-to') return ledgerSettled(design)
  if (design.roof.shape === 'flat') return flatSettled(evened(design, ['south', 'north']))
  if (design.roof.shape === 'hip') return hipSettled(design)
  if (design.roof.shape === 'raised-ridge') return raisedSettled(design)
  if (design.roof.shape !== 'single-slope') return design
  const { overhang } = design.roof
  return slopeSettled(withValue(design, 'roof.overhang.high', overhang.high ?? overhang.eave))
}

function slopeSettled(design: Design): Design {
  const run = heelRun(design)
  if (run === null || run <= 0) return design
  const { roof, walls } = design
  const low = heightOf(walls, lowSide(design))
  const own = walls.sides[roof.high].height
  if (own === null)
    return withValue(
      design,
      `walls.sides.${roof.high}.height`,
      low + run * Math.tan(radians(pitchAngle(roof.pitch))),
    )
  return own > low ? withValue(design, 'roof.pitch', { rise: own - low, run }) : design
}

/**
 * A raised ridge's strip is in the middle, and its upper rafters reach over it as far as at the eaves, where
 * nothing else is asked; its slopes are carried, and not tied.
 */
function raisedSettled(design: Design): Design {
  const {
    roof: { raised, overhang },
    footprint,
  } = design
  return withValue(
    withValue(
      withValue(design, 'roof.raised.at', raised.at ?? footprint.width / 2),
      'roof.overhang.high',
      overhang.high ?? overhang.eave,
    ),
    'roof.ties',
    { rafter: null, collar: null, ceiling: null },
  )
}

/**
 * What a tape does not tell apart, mm: half a mark of a rule, and a little. A length typed as it is shown is
 * the length that was meant.
 */
const SAME = 1

/**
 * The design with walls exactly as high as all walls, or as the first of them, that are so to a mark of the
 * tape.
 */
function evened(design: Design, sides: readonly SideName[]): Design {
  return sides.reduce((each, side) => {
    const { walls } = each
    const own = walls.sides[side].height
    const like = [walls.height, heightOf(walls, sides[0] ?? side)].find(
      height => own !== null && Math.abs(own - height) < SAME,
    )
    return like === undefined ? each : withValue(each, `walls.sides.${side}.height`, like)
  }, design)
}

/**
 * A hip roof stands on four walls of one height; over a length that is the span to a mark of the tape its
 * hips meet at one point.
 */
function hipSettled(design: Design): Design {
  const { length, width } = design.footprint
  return evened(
    length !== width && Math.abs(length - width) < SAME
      ? withValue(design, 'footprint.length', width)
      : design,
    sideNames,
  )
}

/**
 * A flat roof's joists are level and end plumb: what leans with a slope, or is cut into it, is not looked at.
 */
function flatSettled(design: Design): Design {
  const { roof } = design
  const { blocking, overhang } = roof
  return {
    ...design,
    roof: {
      ...roof,
      tail: 'plumb',
      tails: { ...roof.tails, wild: 0, finish: null },
      soffit: null,
      ends: { ...roof.ends, hold: 'none' },
      purlins: null,
      overhang: { ...overhang, gable: 0, high: overhang.high ?? overhang.eave },
      blocking: { ...blocking, plate: blocking.plate === 'none' ? 'none' : 'plumb' },
    },
  }
}

/** Under a lean-to the ledger's top from the pitch, or the pitch from a ledger that is given. */
function ledgerSettled(design: Design): Design {
  const { roof, walls } = design
  const rise = ledgerRise(design)
  if (!rise) return design
  const path = `walls.sides.${roof.high}.height`
  const own = walls.sides[roof.high].height
  if (own === null) return withValue(design, path, rise.top(pitchAngle(roof.pitch)))
  const angle = rise.angle(own)
  return angle === null
    ? design
    : withValue(design, 'roof.pitch', { rise: 12 * Math.tan(radians(angle)), run: 12 })
}

/**
 * The design with one value changed, and what was asked for before and would stand against it let go: a pitch
 * asked for lets the high wall of a single slope follow it, and lets go of as much of a gable's peak as it
 * decides; a spacing asked for lets go of panels that led.
 */
export function changed(design: Design, path: string, value: unknown): Design {
  const next = withValue(design, path, value)
  if (path === 'roof.pitch' && hasOneSlope(next.roof))
    return withValue(next, `walls.sides.${next.roof.high}.height`, null)
  if (path === 'roof.pitch') return withValue(next, 'roof.peak.height', null)
  if (path === 'roof.spacing') return withValue(next, 'roof.panel', null)
  return path === 'roof.northPitch' ? withValue(next, 'roof.peak.at', null) : next
}
