import type { Design } from '../../core/design'
import { fit as fitTo, frameSketch, pathOf, roofSection } from '../../core/drawing'
import { plan } from '../../core/plan'

/** A building's own section as one small path, true to its proportions; px. */
export function sectionSketch(design: Design, wide: number, tall: number): string {
  return sketch(roofSection(plan(design)), wide, tall).join('')
}

/**
 * A building's frame looked at from over its south-east corner, true to its proportions: each board's face as
 * a path, farthest first; px.
 */
export const roofSketch = (design: Design, wide: number, tall: number): string[] =>
  sketch(frameSketch(plan(design)), wide, tall)

function sketch(drawing: ReturnType<typeof roofSection>, wide: number, tall: number): string[] {
  const on = fitTo(drawing, wide, tall, { left: 4, right: 4, top: 4, bottom: 4 })
  return drawing.patches.map(patch => pathOf(patch.loops, on.at))
}
