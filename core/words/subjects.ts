import { type Design, roofHas, type Subject, type SubjectKind } from '../design'
import { baseWords, openingWords, roofOpeningWords } from './ground'
import { saySlope } from './roofs'
import { sideWords } from './squaring'

/** Subjects that are called alike in every design. */
const plain: Partial<Record<SubjectKind, string>> = {
  building: 'Building',
  lumber: 'Lumber',
  roof: 'Roof',
  tails: 'Tails',
  ends: 'Over the gables',
  trusses: 'Trusses',
  setting: 'Setting the trusses',
  knees: 'Knees',
  loft: 'Loft',
  ties: 'Ties',
  purlins: 'Purlins',
  blocks: 'Blocks',
  firrings: 'Firrings',
  battens: 'Battens',
  cover: 'Covering',
  walls: 'Walls',
  sheets: 'Sheets',
  posts: 'Posts, beam',
  units: 'Windows you have',
  floor: 'Floor',
  joists: 'Joists',
  deck: 'Deck',
  porch: 'Porch',
  ground: 'Ground',
  site: 'Site',
  stakes: 'Stakes',
  levels: 'Levels',
  gravel: 'Gravel',
}

/** What the framer calls a part of the building that is taken in hand: `South slope`, `Window 2`. */
export function saySubject(design: Design, { kind, side, index }: Subject): string {
  const at = index ?? 0
  switch (kind) {
    case 'building':
      return design.hang ? 'Part' : 'Building'
    case 'slope':
      return roofHas(design.roof).falls.length === 1 ? 'Slope' : `${sideWords[side ?? 'south']} slope`
    case 'ridge':
      return sayCarrier(design)
    case 'roof-opening':
      return `${roofOpeningWords[design.roof.openings[at]?.kind ?? 'light']} ${at + 1}`
    case 'face-cover':
      return `Covering, ${saySlope(design.roof.cover.own[at]?.face ?? '')} slope`
    case 'wall':
      return `${sideWords[side ?? 'south']} wall`
    case 'partition':
      return `Partition ${at + 1}`
    case 'opening':
      return `${openingWords[design.walls.openings[at]?.kind ?? 'window']} ${at + 1}`
    case 'floor-opening':
      return `Opening ${at + 1}`
    case 'boundary':
      return design.site?.boundaries[at]?.name ?? 'Plot line'
    case 'find':
      return design.site?.finds[at]?.name ?? 'Find'
    case 'base':
      return design.base ? baseWords[design.base.kind] : 'Base'
    case 'rows':
      return design.base?.kind === 'poles'
        ? 'Posts in the ground'
        : design.base?.kind === 'posts'
          ? 'Posts, beams'
          : design.base?.kind === 'piers'
            ? 'Piers, beams'
            : design.base?.kind === 'skids'
              ? 'Timbers'
              : 'Blocks, beams'
    default:
      return plain[kind] ?? kind
  }
}

function sayCarrier({ roof }: Design): string {
  const { parts } = roofHas(roof)
  if (parts.includes('ledger')) return 'Ledger'
  if (parts.includes('strip')) return 'Strip'
  return parts.includes('hips') ? 'Ridge, hips' : 'Ridge'
}
