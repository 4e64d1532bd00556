import type { RaisingStep } from '../plan'
import type { RaisingName } from '../trade'

/** What goes up in a step. */
export const raisingNames: Record<RaisingName, string> = {
  ledger: 'Ledger on the house',
  supports: 'Posts, blocks and concrete',
  base: 'Base timbers and beams',
  floor: 'Floor frame',
  porch: 'Porch',
  deck: 'Deck',
  'south-wall': 'South wall',
  'north-wall': 'North wall',
  'east-wall': 'East wall',
  'west-wall': 'West wall',
  partitions: 'Partitions',
  caps: 'Second top plates',
  braces: 'Braces between posts',
  'wall-braces': 'Wall braces',
  'inner-beams': 'Beams inside, on their posts',
  joists: 'Joists in the roof',
  ridge: 'Ridge',
  rafters: 'Rafters',
  trusses: 'Trusses',
  rows: 'Rows on the trusses',
  diagonals: 'Diagonals on the trusses',
  hips: 'Hips',
  jacks: 'Jacks',
  ties: 'Ties and purlins',
  loft: 'Loft deck',
  blocks: 'Blocks between rafters',
  ends: 'Over the gables',
  fascia: 'Fascia and soffit',
  gables: 'Gables',
  sheets: 'Sheets and slats on the walls',
  clearing: 'Braces down, as the roof is covered',
  'roof-deck': 'Roof deck',
  'roof-battens': 'Battens on the roof',
  roofing: 'Roofing',
  soffit: 'Soffit boards',
  siding: 'Siding and trim',
  rails: 'Rails',
  doors: 'Doors',
}

/** A step as it is called: of trusses by its number. */
export const sayStep = ({ name, number }: Pick<RaisingStep, 'name' | 'number'>): string =>
  number === null ? raisingNames[name] : number === 1 ? 'First truss' : `Truss ${number}`
