import { isOpenEnd, roofHas, type SideName, sideNames, withValue } from '../../core/design'
import { type At, board, choice, head, length, lengths, looseOf, numbers, onOff, type Row } from './row'

/** Where one walks in through a railing. */
export const entry = (at: At, side: SideName): Row[] =>
  at.design.walls.sides[side].cover === 'rails' && at.design.walls.sides[side].build === 'posts'
    ? [
        choice(at, `walls.sides.${side}.entry`, [
          { value: 'none', label: 'Nowhere' },
          { value: 'low', label: `By the ${lowEndOf(side)} bay` },
          { value: 'middle', label: 'In the middle' },
          { value: 'high', label: `By the ${highEndOf(side)} bay` },
        ]),
      ]
    : []

/** What stands between the posts of a side. */
export const betweenOf = (at: At, side: SideName): Row[] => {
  const own = at.design.walls.sides[side]
  return own.build === 'posts' && own.cover !== 'rails'
    ? [
        choice(at, `walls.sides.${side}.girts`, onOff('None', 'Between the posts'), {
          value: own.girts ? 'yes' : 'no',
          change: to => design => withValue(design, `walls.sides.${side}.girts`, to === 'yes'),
        }),
        choice(at, `walls.sides.${side}.diagonals`, onOff('None', 'In the end bays'), {
          value: own.diagonals ? 'yes' : 'no',
          change: to => design => withValue(design, `walls.sides.${side}.diagonals`, to === 'yes'),
        }),
      ]
    : []
}

/** What all girts and diagonals between posts are made of. */
function between(at: At): Row[] {
  const { sides } = at.design.walls
  const asked = (what: 'girts' | 'diagonals'): boolean =>
    sideNames.some(
      side => sides[side].build === 'posts' && sides[side].cover !== 'rails' && sides[side][what],
    )
  return [
    ...(asked('girts') ? [board(at, 'walls.between.girt'), ...length(at, 'walls.between.spacing')] : []),
    ...(asked('diagonals') ? [board(at, 'walls.between.diagonal')] : []),
  ]
}

const lowEndOf = (side: SideName): string => (side === 'south' || side === 'north' ? 'west' : 'south')
const highEndOf = (side: SideName): string => (side === 'south' || side === 'north' ? 'east' : 'north')

/** What all railings are made of. */
function railing(at: At): Row[] {
  const { sides } = at.design.walls
  return sideNames.some(side => sides[side].cover === 'rails')
    ? [
        head('Railing'),
        board(at, 'walls.railing.rail', 'Rails'),
        board(at, 'walls.railing.baluster', 'Balusters'),
        ...lengths(at, 'walls.railing.height', 'walls.railing.gap', 'walls.railing.low'),
      ]
    : []
}

/** What all sides of posts are built of. */
export const posts = (at: At): Row[] => [
  board(at, 'walls.posts.post', 'Posts'),
  ...length(at, 'walls.posts.spacing'),
  board(at, 'walls.posts.beam', 'Beam'),
  choice(at, 'walls.posts.plies', numbers(1, 3)),
  choice(at, 'walls.posts.set', [
    { value: 'shoulder', label: 'In a shoulder outside' },
    { value: 'shoulders', label: 'In shoulders on both sides' },
    { value: 'fork', label: 'In a fork' },
    { value: 'on-top', label: 'On top' },
    { value: 'bolted', label: 'Bolted to the faces' },
  ]),
  ...(at.design.walls.posts.plies === 1
    ? [
        choice(at, 'walls.posts.joint', [
          { value: 'half-lap', label: 'Half-lapped' },
          { value: 'scarf', label: 'Scarfed' },
          { value: 'butt', label: 'Butted' },
        ]),
      ]
    : []),
  choice(at, 'walls.posts.plates', onOff('Rafters', 'Top plates'), {
    value: at.design.walls.posts.plates ? 'yes' : 'no',
    change: to => design => withValue(design, 'walls.posts.plates', to === 'yes'),
  }),
  ...(at.design.walls.posts.set === 'on-top'
    ? [
        choice(at, 'walls.posts.cap', onOff('Toenails', 'Metal caps'), {
          value: at.design.walls.posts.cap ? 'yes' : 'no',
          change: to => design => withValue(design, 'walls.posts.cap', to === 'yes'),
        }),
      ]
    : []),
  ...length(at, 'walls.posts.brace'),
  // posts in the ground stand in no base
  ...(at.design.base?.kind === 'poles' ? [] : length(at, 'walls.posts.gap')),
  ...(sideNames.some(side => isOpenEnd(at.design.walls.sides, roofHas(at.design.roof), side))
    ? length(at, 'walls.posts.inset')
    : []),
  ...between(at),
  ...railing(at),
  ...looseOf(at, code => code.startsWith('post-')),
]
