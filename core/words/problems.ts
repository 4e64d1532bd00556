import type { BoardFault } from '../board'
import type { Problem } from '../frame'
import type { Units } from '../measure'
import { sayLength } from './measures'

/** Why the building can't be framed as drawn, and what to change. */
export function sayProblem(problem: Problem, units: Units): string {
  const mm = (value: number): string => sayLength(value, units)
  switch (problem.code) {
    case 'wall-too-low': return `The walls are too low for plates and studs. Make them at least ${mm(problem.least)}.`
    case 'wall-too-short': return `${problem.path === 'footprint.length' ? 'The length' : 'The span'} leaves no room for the corners. Make it at least ${mm(problem.least)}.`
    case 'spacing-too-tight': return `${problem.path === 'walls.spacing' ? 'Studs' : 'Rafters'} this close would touch. Space them at least ${mm(problem.least)}.`
    case 'rafter-no-length': return `Nothing is left of the rafter between plate and ridge. Make the span at least ${mm(problem.least)}.`
    case 'ridge-into-wall': return `The ridge board reaches ${mm(problem.by)} below the top of the walls. Use a shallower ridge or a steeper pitch.`
    case 'rafter-off-plate': return `At this height above plate the rafter does not touch the wall. Make it ${mm(problem.most)} at most.`
    case 'seat-through-rafter': return `The seat takes the whole rafter. Make the height above plate at least ${mm(problem.least)}, the rafter deeper or the slope less.`
    case 'tail-lost': return `Cut level along the bottom, the rafter runs out before the overhang ends. Make the overhang ${mm(problem.most)} at most, or cut a bird's mouth.`
    case 'tail-below-deck': return `The tails would reach below the deck. Make the overhang ${mm(problem.most)} at most.`
    case 'not-cut': return `${problem.member}: ${sayBoardFault(problem.fault)}`
  }
}

function sayBoardFault(fault: BoardFault): string {
  switch (fault.code) {
    case 'no-size': return 'the board has no size.'
    case 'all-removed': return `the ${fault.name} cut leaves nothing of the board.`
    case 'in-two': return `the ${fault.name} cut parts the board in two.`
  }
}
