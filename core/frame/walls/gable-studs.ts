import type { Design } from '../../design'
import type { Section } from '../../lumber'
import { underBeam } from '../roof'
import { withLayout } from '../layout'
import { upright, type WallBoard } from './board'
import { layoutOf, type StackLines } from './places'
import { endingUnder, type RoofLine } from './roof-line'
import { heightAt, levelAllRound, type Wall } from './wall'

/** Shortest stud that is cut for a gable, at its shorter side, mm. */
export const LEAST = 50

/** Studs of a gable, on the wall's own layout so that each stands over a stud below, from the wall's top plate up to the end rafters, each cut by their lower edges, and one under the ridge by the ridge's end. */
export function gableStuds(design: Design, wall: Wall, stud: Section, lines: StackLines, line: RoofLine): WallBoard[] {
  const t = stud.thickness
  const ends = levelAllRound(design) && !wall.step ? { from: 0, to: wall.overall } : { from: wall.from, to: wall.to }
  const posts = design.roof.beam && design.roof.shape === 'gable' ? underBeam(line.ridge, t) : []
  const places = withLayout(posts, layoutOf(design, { ...wall, ...ends }, lines), t).filter(each => each.from > ends.from + 1e-6 && each.to < ends.to - 1e-6)
  return places.flatMap((at): WallBoard[] => {
    const foot = heightAt(wall, (at.from + at.to) / 2)
    const { shorter, longer, cuts } = endingUnder(at, line)
    // none stands across a step, where one runs up beside it
    if (shorter - foot < LEAST || foot !== heightAt(wall, at.from) || foot !== heightAt(wall, at.to)) return []
    return [{ ...upright(stud, 'gable-stud', `walls/${wall.name}/gable/stud/${places.indexOf(at) + 1}`, at.from, { from: foot, to: longer }), open: true, cuts }]
  })
}
