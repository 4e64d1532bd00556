import type { Design } from '../../core/design'
import { buildingSketch, fit as fitTo, frameSketch, type Ink, pathOf, roofSection } from '../../core/drawing'
import { plan, type Plan, whole } from '../../core/plan'

/** A face of a small picture: its outline as an SVG path, and what it is of. */
export interface SketchPath {
  readonly d: string
  readonly ink: Ink
}

/** A building's own section as one small path, true to its proportions; px. */
export const sectionSketch = (of: Plan, wide: number, tall: number): string =>
  sketch(roofSection(of), wide, tall)
    .map(({ d }) => d)
    .join('')

/**
 * A building's frame looked at from over its south-east corner, true to its proportions: each board's face as
 * a path, farthest first; px.
 */
export const roofSketch = (design: Design, wide: number, tall: number): string[] =>
  sketch(frameSketch(plan(design)), wide, tall).map(({ d }) => d)

/** The whole building looked at from over its south-east corner, as `roofSketch`. */
export const buildingPicture = (design: Design, wide: number, tall: number): SketchPath[] =>
  sketch(buildingSketch(whole(design)), wide, tall)

function sketch(drawing: ReturnType<typeof roofSection>, wide: number, tall: number): SketchPath[] {
  const on = fitTo(drawing, wide, tall, { left: 4, right: 4, top: 4, bottom: 4 })
  return drawing.patches.map(({ loops, ink }) => ({ d: pathOf(loops, on.at), ink }))
}
