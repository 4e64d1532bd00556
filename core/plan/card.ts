import { type FlatPoint, type Mark, marks, outlines, type SawSetting, sawSetting, cutOfFace, type CutName } from '../board'
import type { Piece } from './piece'
import type { Plan } from './plan'
import { type Stepping, stepping } from './stepping'
import { readRoof, type RoofReading } from './roof'
import { densityOf, weightOf } from './weight'

/** A number a card shows, and the numbers it comes from; `core/words` says it in a sentence. Lengths mm, angles degrees. */
export interface Figure {
  readonly name: FigureName
  readonly kind: 'length' | 'angle' | 'weight'
  readonly value: number
  readonly from: Readonly<Record<string, number>>
}

export type FigureName =
  | 'length' | 'stock' | 'angle' | 'run' | 'rise' | 'line-length' | 'unit-length' | 'ridge-deduction' | 'seat' | 'heel' | 'notch'
  | 'height-above-plate' | 'bearing' | 'weight'

/** One cut as the saw is set for it. */
export interface SawCut extends SawSetting { readonly name: CutName, /** Where it begins, running from the start. */ readonly at: number }

/** What a framer would nail to the saw horse. */
export interface Card {
  readonly piece: Piece
  /** Outline of the near face as it lies on the bench, bottom edge down. */
  readonly outline: readonly (readonly FlatPoint[])[]
  readonly marks: readonly Mark[]
  readonly cuts: readonly SawCut[]
  readonly stepping: Stepping | null
  readonly figures: readonly Figure[]
}

/** The card of a piece of the plan. */
export function cardOf(plan: Plan, piece: Piece): Card {
  const roof = piece.role === 'rafter' ? readRoof(plan.frame, plan.design.units, piece.members[0]?.startsWith('roof/north/') ? 'north' : 'south') : null
  return {
    piece, outline: outlines(piece.board, 'near'), marks: marks(piece.board), cuts: sawCuts(piece),
    stepping: roof ? stepping(roof, plan.design.roof.overhang.eave, plan.design.units) : null,
    figures: [...common(plan, piece), ...(roof ? rafterFigures(plan, roof) : [])],
  }
}

/** Each cut face of the board, by where it begins. */
function sawCuts({ board }: Piece): SawCut[] {
  const seen = new Set<string>()
  return board.faces.flatMap((face) => {
    const cut = cutOfFace(face)
    if (!cut || seen.has(face.tag)) return []
    seen.add(face.tag)
    const at = Math.min(...face.loops.flat().map(p => p.x)) - board.start
    return [{ name: cut.name, at, ...sawSetting(face.plane.normal) }]
  }).sort((a, b) => a.at - b.at)
}

function common({ density }: Plan, piece: Piece): Figure[] {
  const length: Figure = { name: 'length', kind: 'length', value: piece.length, from: { depth: piece.section.depth } }
  const stock: Figure[] = piece.stock === null ? [] : [{ name: 'stock', kind: 'length', value: piece.stock, from: { length: piece.length } }]
  return [length, ...stock, { name: 'weight', kind: 'weight', value: weightOf(piece.section, piece.volume, density), from: { volume: piece.volume * 1e-9, density: densityOf(piece.section, density), sheet: piece.section.kind === 'sheet' ? 1 : 0 } }]
}

function rafterFigures({ design, frame }: Plan, roof: RoofReading): Figure[] {
  const { angle, run, rise, birdsmouth } = roof
  const figure = (name: FigureName, value: number, from: Record<string, number>, kind: Figure['kind'] = 'length'): Figure => ({ name, value, from, kind })
  const notched: Figure[] = birdsmouth.notch > 0
    ? [
        figure('seat', birdsmouth.seat, { angle, heel: birdsmouth.heel }),
        figure('heel', birdsmouth.heel, { angle, seat: birdsmouth.seat }),
        figure('notch', birdsmouth.notch, { angle, seat: birdsmouth.seat, depth: frame.lumber.rafter.depth }),
      ]
    : []
  return [
    figure('angle', angle, { rise: design.roof.pitch.rise, run: design.roof.pitch.run }, 'angle'),
    figure('run', run, frame.roof.ridgeCentre ? { width: design.footprint.width, off: run - design.footprint.width / 2 } : { width: design.footprint.width, plate: frame.lumber.plate.depth }),
    figure('rise', rise, { run, angle }),
    figure('line-length', roof.lineLength, { run, angle }),
    figure('unit-length', roof.unitLength, { unitRun: roof.unitRun, angle }),
    ...(roof.ridgeDeduction ? [figure('ridge-deduction', roof.ridgeDeduction.along, { level: roof.ridgeDeduction.level, ridge: frame.lumber.ridge.thickness, angle })] : []),
    ...notched,
    figure('height-above-plate', roof.heightAbovePlate, { plumb: roof.plumbFace, heel: roof.plumbFace - roof.heightAbovePlate }),
    figure('bearing', roof.bearing, { plate: frame.lumber.plate.depth }),
  ]
}
