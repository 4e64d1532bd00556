import type { Building } from '../../design'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import type { Problem } from '../problem'
import type { Rake, RoofFace, RoofLay, RoofLines, RoofLumber } from './form'

/** A roof as laid, framed unless one of its problems leaves nothing to frame. */
export const layUnless = (
  stops: readonly Problem['code'][],
  lines: RoofLines,
  problems: readonly Problem[],
): RoofLay => ({ lines, problems, framed: !problems.some(({ code }) => stops.includes(code)) })

/** Where faces end over both gables. */
export const rakesOf = (faces: readonly RoofFace[], { ends }: Building['roof']['overhang']): Rake[] =>
  faces.flatMap(face =>
    (['west', 'east'] as const).map((end): Rake => ({
      kind: 'rake',
      id: `${face.id}/${end}`,
      face,
      end,
      reach: { value: ends[end], field: 'roof.overhang.gable' },
    })),
  )

/**
 * How far under the faces a gable's cover ends, square to them, so that lookouts pass over it; mm.
 */
export const setbackOf = ({ roof }: Building, { lookout }: Pick<RoofLumber, 'lookout'>): number =>
  roof.ends.hold === 'lookouts' ? lookout.thickness : 0

/** Rafters so close that none is left between two. */
export const tightSpacing = ({ roof }: Building, rafter: Section): Problem[] =>
  roof.spacing < 2 * rafter.thickness - HAIR
    ? [{ code: 'spacing-too-tight', path: 'roof.spacing', least: 2 * rafter.thickness }]
    : []
