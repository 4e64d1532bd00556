import type { RaisingName } from '../trade'

/** What goes up in a step. */
export const raisingNames: Record<RaisingName, string> = {
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
  ridge: 'Ridge or ledger',
  rafters: 'Rafters',
  trusses: 'Trusses',
  hips: 'Hips',
  jacks: 'Jacks',
  ties: 'Ties, ceiling joists, purlins',
  blocks: 'Blocks between rafters',
  ends: 'Over the gables',
  fascia: 'Fascia and soffit',
  gables: 'Gables',
  sheets: 'Sheets and slats on the walls',
}
