import { findSection } from '../../lumber'
import { type Pitch, pitchAngle, SAME_ANGLE } from '../../measure'
import type { Building, BuildingTruss } from '../building'
import { withRoof } from '../building'
import type { Design } from '../design'
import type { GambrelLine, GambrelWay } from '../gambrel'
import type { Roof } from '../roof'
import { settingWorkedOut } from '../setting'
import { evened } from './even'
import { ownSections } from '../lumber'
import { BRACES, trussSections, USUAL_LEG } from './truss-sections'
import { gambrelAsk, gambrelLine, legMost, pitchOf } from './gambrel-line'
import { kickOf } from './kick'
import type { RoofKind } from './kind'

/** A gambrel is carried by trusses where nothing is asked. */
const byRafters = ({ carried }: Pick<Roof, 'carried'>): boolean => carried === 'rafters'

/**
 * Two slopes on either side, steep below a knee and shallow above it, over two walls of one height: of
 * trusses, whose chords meet each other, or of rafters, to a ridge board and on a wall under the knee.
 */
export const gambrel: RoofKind = {
  has: roof => ({
    falls: ['south', 'north'],
    house: null,
    peak: roof.gambrel.by === 'knee' ? ['height'] : [],
    parts: ['knees', 'ends', 'sloped-tails', byRafters(roof) ? 'ridge' : 'trusses'],
    ties: !byRafters(roof) && roof.truss.kind === 'bottom-chord' ? [] : ['ceiling'],
    seats: [],
    carriers: ['trusses', 'rafters'],
    // a bottom chord lies on the end walls' plates
    endWalls: { rake: byRafters(roof) || roof.truss.kind !== 'bottom-chord', step: false },
  }),
  workOut: gambrelWorkedOut,
  choices: [{}],
  begun: begin,
}

function gambrelWorkedOut(plain: Building, asked: Roof): Building {
  const building = withRoof(evened(plain, ['south', 'north']), {
    carried: byRafters(asked) ? 'rafters' : 'trusses',
  })
  const ask = gambrelAsk(building, asked)
  if (!ask) return building
  const line = gambrelLine(ask)
  const { roof } = building
  const onPlate = line.foot.rule === 'on-plate'
  // nothing reaches past a wall that chords are cut on, but false tails
  const tailed = !onPlate || kickOf(line) !== null
  const faced = roof.fascia.sub !== null || roof.fascia.face !== null
  return withRoof(building, {
    gambrel: line,
    purlins: null,
    truss: byRafters(asked) ? null : trussOf(building, asked, line),
    pitch: pitchOf(line.upper),
    peak: { at: null, height: asked.gambrel.by === 'knee' ? asked.peak.height : null },
    seat: onPlate ? { rule: 'none' } : { rule: 'height-above-plate', height: line.heightAbovePlate },
    overhang: { ...roof.overhang, eave: onPlate && tailed ? roof.overhang.eave : line.foot.out },
    // without fascia a level cut of chords runs through the roof line's low corner
    tails: {
      ...roof.tails,
      face: faced || (onPlate && tailed) ? roof.tails.face : 0,
      ...(onPlate ? { wild: 0, finish: null } : {}),
    },
    tail: tailed ? roof.tail : 'plumb',
    soffit: tailed ? roof.soffit : null,
    fascia: tailed ? roof.fascia : { sub: null, face: null },
  })
}

/** Trusses with what follows of their line: their gussets no longer than the chords let them be. */
function trussOf(building: Building, { truss }: Roof, line: GambrelLine): BuildingTruss {
  const kind = truss.kind === 'bottom-chord' ? 'bottom-chord' : 'open'
  const sections = trussSections(building, truss)
  const bottom = findSection(sections.bottom, ownSections(building.lumber))?.depth ?? 0
  const lookout = findSection(building.roof.ends.lookout, ownSections(building.lumber))?.thickness ?? 0
  const drop = building.roof.ends.hold === 'lookouts' ? lookout : 0
  const most = legMost(line, kind === 'bottom-chord' ? bottom : null, drop)
  const { gusset } = truss
  return {
    ...truss,
    ...sections,
    kind,
    ceiling: null,
    heel: line.heightAbovePlate,
    gusset: { ...gusset, leg: Math.min(gusset.leg ?? USUAL_LEG, most), asked: gusset.leg, most },
    apart: Math.max(building.depths.west, building.depths.east) + BRACES + gusset.thickness,
    setting: settingWorkedOut(truss.setting, building.footprint.width, building.lumber.yard),
  }
}

/** Four equal chords, notched over the walls half a foot in from their feet, cut level. */
function begin(design: Design): Design {
  const { roof } = design
  return {
    ...design,
    walls: { ...design.walls, gables: design.walls.gables === 'notched' ? 'studs' : design.walls.gables },
    roof: {
      ...roof,
      pitch: pitchOf(22.5),
      overhang: { ...roof.overhang, eave: Math.min(Math.max(roof.overhang.eave, 150), 200) },
      tail: 'level',
    },
  }
}

const kept = (asked: Pitch, found: number): Pitch =>
  Math.abs(pitchAngle(asked) - found) < SAME_ANGLE ? asked : pitchOf(found)

/**
 * A design whose gambrel is found another way, that begins where the line lies now, so that nothing moves
 * until a number is changed; four equal chords lie where they must.
 */
export function foundAnotherWay(
  design: Design,
  { roof: { gambrel: line } }: Building,
  by: GambrelWay,
): Design {
  const { roof } = design
  if (!line || by === 'half-octagon')
    return { ...design, roof: { ...roof, gambrel: { ...roof.gambrel, by } } }
  const { knee, headroom } = line
  return {
    ...design,
    roof: {
      ...roof,
      pitch: kept(roof.pitch, line.upper),
      peak: { ...roof.peak, height: null },
      gambrel: {
        ...roof.gambrel,
        by,
        knee: { in: knee.in, up: knee.up, share: null },
        lower: kept(roof.gambrel.lower ?? pitchOf(line.lower), line.lower),
        headroom: { height: headroom.height, width: headroom.width },
      },
    },
  }
}
