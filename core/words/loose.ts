import { FOOT, type Units } from '../measure'
import type { Loose, LooseCode } from '../plan'
import { sayWeight } from './figures'
import { sayArea } from './ground'
import { sayLength } from './measures'

export const looseNames: Record<LooseCode, string> = {
  gravel: 'Gravel, loose',
  'hole-gravel': 'Gravel in the holes',
  concrete: 'Concrete',
  blocks: 'Concrete blocks',
  'low-wall': 'Masonry of the low wall',
  spoil: 'Earth to move',
  hangers: 'Joist hangers',
  nails: 'Nails, 16d or 90 mm, at the rims',
  wrap: 'House wrap',
  siding: 'Siding boards',
}

const YARD3 = ((3 * FOOT) / 1000) ** 3

/** A volume given in m³: cubic yards, or cubic metres. */
export const sayVolume = (m3: number, units: Units): string =>
  units === 'imperial' ? `${(m3 / YARD3).toFixed(2)} yd³` : `${m3.toFixed(2)} m³`

/** A loose quantity: its name, how much, and in one sentence by which rule. */
export function sayLoose(
  { code, amount, unit, from }: Loose,
  units: Units,
): { name: string; value: string; why: string } {
  const n = (name: string): number => from[name] ?? 0
  const mm = (name: string): string => sayLength(n(name), units)
  const volume = sayVolume(amount, units)
  return { name: looseNames[code], value: unit === 'count' ? String(amount) : valueOf(), why: whyOf() }

  function valueOf(): string {
    switch (code) {
      case 'gravel':
        return `${volume}, ${sayWeight(n('weight'), units)}`
      case 'concrete':
        return `${volume}, ${n('bags')} bags`
      case 'wrap':
        return sayArea(amount, units)
      default:
        return volume
    }
  }

  function whyOf(): string {
    switch (code) {
      case 'gravel':
        return `${sayArea(n('area'), units)} at ${mm('depth')}${n('fill') > 0.005 ? ` and ${sayVolume(n('fill'), units)} to fill low ground` : ''}, and ${n('compaction')} % more for what it settles: ${n('barrows')} barrows or ${n('buckets')} buckets, ${n('loads')} ${n('loads') === 1 ? 'delivery' : 'deliveries'} of ${sayWeight(n('load'), units)}.`
      case 'hole-gravel':
        return `Under and about the posts of ${n('holes')} holes, less the posts: ${n('barrows')} barrows, ${sayWeight(n('weight'), units)}.`
      case 'concrete':
        return `What is cast, at ${units === 'imperial' ? `${(n('makes') / (FOOT / 1000) ** 3).toFixed(2)} ft³` : `${(n('makes') * 1000).toFixed(0)} l`} from a bag of ${sayWeight(n('bag'), units)}. Buy one more.`
      case 'blocks':
        return `${n('stacks')} stacks, each as high as its ground asks, in blocks of ${mm('height')}.`
      case 'low-wall':
        return 'The volume of the low wall, door openings not taken out.'
      case 'spoil':
        return `Above the beds' undersides ${sayVolume(n('beds'), units)}, out of the holes ${sayVolume(n('holes'), units)}, as it lies: ${n('barrows')} barrows and a third more once loose.`
      case 'hangers':
        return `Two for each of ${n('joists')} joists${n('headers') ? `, and two as wide for each of ${n('headers')} doubled headers` : ''}.`
      case 'wrap':
        return `The sheets' ${sayArea(n('sheets'), units)} and ${sayArea(n('openings'), units)} of openings, which are wrapped over and cut afterwards; laps come on top, a tenth or more.`
      case 'siding':
        return `${n('rows')} rows of which ${mm('exposure')} shows, ${mm('length')} end to end with openings left out, and ${n('waste')} % for ends, in boards of ${mm('stock')}.`
      case 'nails':
        return `${n('each')} through the rim into each end of ${n('joists')} joists${n('plies') ? `, and through the joists beside openings into each end of ${n('plies')} header plies` : ''}.`
    }
  }
}
