import type { Design } from '../../core/design'
import { fit as fitTo, pathOf, roofSection } from '../../core/drawing'
import { plan } from '../../core/plan'

/** A building's own section as one small path, true to its proportions; px. */
export function sectionSketch(design: Design, wide: number, tall: number): string {
  const drawing = roofSection(plan(design))
  const on = fitTo(drawing, wide, tall, { left: 4, right: 4, top: 4, bottom: 4 })
  return drawing.patches.map(patch => pathOf(patch.loops, on.at)).join('')
}
