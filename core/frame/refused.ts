import type { Refused, Role } from './member'
import type { Problem, RefusedPath } from './problem'

/** The field that each role's boards hang on first. */
const fieldOf: Record<Role, RefusedPath> = {
  'rafter': 'roof.rafter', 'cripple-rafter': 'roof.rafter', 'roof-header': 'roof.rafter', 'stair-header': 'roof.ties', 'ledger': 'roof.ridge', 'roof-joist': 'roof.rafter', 'firring': 'roof.firring.section', 'wedge': 'roof.rafter', 'upper-header': 'roof.ridge', 'purlin': 'roof.purlins', 'purlin-brace': 'roof.purlins',
  'hip': 'roof.hip.section', 'jack-rafter': 'roof.spacing', 'fly-rafter': 'roof.rafter', 'rung': 'roof.rafter', 'lookout': 'roof.ends.lookout', 'barge': 'roof.ends.barge', 'roof-block': 'roof.rafter', 'finish-board': 'roof.tails.finish', 'soffit-ledger': 'roof.soffit', 'soffit-joist': 'roof.soffit', 'ceiling-joist': 'roof.ties', 'joist-ledger': 'roof.ties',
  'ridge': 'roof.ridge', 'ridge-beam': 'roof.ridge', 'ridge-post': 'roof.ridge', 'rafter-tie': 'roof.ties', 'collar-tie': 'roof.ties', 'sub-fascia': 'roof.fascia', 'fascia': 'roof.fascia', 'bottom-plate': 'walls.stud', 'top-plate': 'walls.stud', 'stud': 'walls.stud', 'king': 'walls.openings', 'jack': 'walls.openings', 'cripple': 'walls.openings', 'header': 'walls.openings', 'packing': 'walls.openings', 'sill': 'walls.openings',
  'gable-stud': 'walls.stud', 'wall-sheet': 'walls.sheathing', 'brace': 'walls.bracing', 'wall-post': 'walls.posts.post', 'wall-beam': 'walls.posts.beam', 'knee': 'walls.posts.beam', 'slat': 'walls.slats.section', 'rim': 'floor.joist', 'joist': 'floor.joist', 'floor-header': 'floor.joist', 'block': 'walls.bracing', 'deck-sheet': 'floor.deck', 'deck-board': 'floor.deck', 'border': 'base.kind', 'skid': 'base.kind', 'beam': 'base.kind', 'post': 'base.lift',
}

/** Boards that planes leave nothing of, or part in two, each with the field to change. */
export const refusedProblems = (refused: readonly Refused[]): Problem[] => refused.map(({ id, role, fault }): Problem => ({ code: 'not-cut', path: fieldOf[role], role, member: id, fault }))
