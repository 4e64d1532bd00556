import type { Subject, SubjectKind } from '../../core/design'
import { type Plan, firewoodIn } from '../../core/plan'
import { speciesNames } from '../../core/lumber'
import { sayLength, speciesWords } from '../../core/words'
import * as floor from './floor'
import * as ground from './ground'
import * as roof from './roof'
import { roofOpening } from './roof-opening'
import { loft } from './loft'
import { hung } from './hung'
import { cover, faceCover } from './cover'
import { setting } from './setting'
import { ties } from './ties'
import * as trusses from './trusses'
import { type At, block, choice, lengths, type Row, say } from './row'
import { posts } from './posts'
import * as walls from './walls'

const building = (at: At): Row[] => [
  ...hung(at),
  ...lengths(at, 'footprint.length', 'footprint.width', 'walls.height'),
  choice(at, 'units', [
    { value: 'imperial', label: 'Feet and inches' },
    { value: 'metric', label: 'Millimetres' },
  ]),
  ...firewood(at),
]

/** How much firewood a store takes. */
function firewood({ plan, units }: At): Row[] {
  const found = firewoodIn(plan.building)
  if (!found) return []
  const say = (mm: number): string => sayLength(mm, units)
  return [
    {
      kind: 'figures',
      rows: [
        {
          key: 'firewood',
          name: 'Firewood, stacked',
          value: `${found.cords.toFixed(1)} cords, ${found.volume.toFixed(1)} m³`,
          why: `${say(found.long)} by ${say(found.wide)} inside, ${say(found.high)} high to the lowest plate; a cord is 128 ft³ with the air in it.`,
        },
      ],
    },
  ]
}

const lumber = (at: At): Row[] => [
  choice(
    at,
    'lumber.species',
    speciesNames.map(value => ({ value, label: speciesWords[value] })),
  ),
  choice(
    at,
    'lumber.yard',
    [
      { value: 'imperial', label: 'Feet and inches' },
      { value: 'metric', label: 'Metric lengths' },
    ],
    { name: 'The yard sells' },
  ),
  block('sizes'),
]

const units = (): Row[] => [
  say(
    'Windows and doors you have, salvaged or bought: the frames measured outside. A wall can be sized from them.',
  ),
  block('units'),
]

/** The rows of each kind of subject. */
const tables: Readonly<Record<SubjectKind, (at: At) => Row[]>> = {
  building,
  lumber,
  roof: roof.roof,
  slope: roof.slope,
  ridge: roof.ridge,
  knees: trusses.knees,
  trusses: trusses.trusses,
  setting,
  tails: roof.tails,
  ends: roof.ends,
  ties,
  loft,
  purlins: roof.purlins,
  blocks: roof.blocks,
  firrings: roof.firrings,
  battens: roof.battens,
  cover,
  'face-cover': faceCover,
  'roof-opening': roofOpening,
  walls: walls.walls,
  wall: walls.wall,
  opening: walls.opening,
  sheets: walls.sheets,
  posts,
  partition: walls.partition,
  units,
  floor: floor.floor,
  joists: floor.joists,
  deck: floor.deck,
  porch: floor.porch,
  'floor-opening': floor.floorOpening,
  ground: ground.ground,
  site: ground.site,
  boundary: ground.boundary,
  find: ground.find,
  stakes: ground.stakes,
  levels: ground.levels,
  base: ground.base,
  rows: ground.rows,
  gravel: ground.gravel,
}

/** What a subject has to be typed, chosen, done and read, in the order it is thought of. */
export function rowsOf(plan: Plan, subject: Subject): Row[] {
  const { design } = plan
  return tables[subject.kind]({
    plan,
    design,
    units: design.units,
    subject,
  })
}
