import type { Building, BuildingTruss } from '../../design'
import { planeAcross, planeAt, flip, type Plane, vec } from '../../geometry'
import { pitchAngle, radians } from '../../measure'
import { type Eave, lowEaves, type RoofLines, type RoofLumber } from '../../lines'
import type { Bar } from './flat'

/**
 * A bottom chord that rises from a wall to the middle: its lower edge passes the plate's inner edge, so that
 * it is cut level on all of the plate; `upper` looks up and `lower` down.
 */
export interface VaultChord extends Bar {
  readonly side: 'south' | 'north'
  readonly eave: Eave
  readonly upper: Plane
  readonly lower: Plane
}

/**
 * The bottom chords of scissors, from both walls to the faces of the king post between them; none of other
 * trusses.
 */
export function vaultOf(
  { footprint: { width }, bearings }: Building,
  lines: RoofLines,
  { bottom, web }: RoofLumber,
  { ceiling }: BuildingTruss,
): readonly VaultChord[] {
  if (!ceiling) return []
  const slope = radians(pitchAngle(ceiling))
  return lowEaves(lines).flatMap((eave): VaultChord[] => {
    const { side, height, face, outside, heightAbovePlate } = eave
    if (side !== 'south' && side !== 'north') return []
    const way = side === 'south' ? 1 : -1
    const turned = (y: number): number => (way > 0 ? y : width - y)
    const up = vec(0, -way * Math.sin(slope), Math.cos(slope))
    const foot = vec(0, turned(bearings[side]), height)
    const under = planeAt(foot, up)
    const upper: Plane = { ...under, offset: under.offset + bottom.depth }
    const at = (y: number) => vec(0, y, (under.offset + bottom.depth / 2 - up.y * y) / up.z)
    const post = planeAcross('y', turned(width / 2 - web.depth / 2))
    return [
      {
        side,
        eave,
        upper,
        lower: flip(under),
        from: at(turned(0)),
        to: at(turned(width / 2)),
        half: bottom.depth / 2,
        cuts: [
          { normal: vec(0, 0, -1), offset: -height },
          outside,
          heightAbovePlate > 0 ? face.carrier.underside : face.top,
          way > 0 ? post : flip(post),
        ],
      },
    ]
  })
}
