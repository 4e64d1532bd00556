import { HAIR } from '../measure'
import type { Mark } from '../board'
import { cutNames } from './fields'

const places: Record<Mark['edge'], string> = { top: 'top edge', bottom: 'bottom edge', face: 'on the face' }

/** What a mark is, as read aloud: `plumb cut, top edge`. */
export function sayMark(mark: Mark, of: { readonly length: number }): string {
  const cuts = [...new Set(mark.cuts)].map(cut => cutNames[cut])
  const far = { up: '', under: ', on the side under', middle: ', in the middle of its thickness' }[mark.face]
  const longPoint = mark.at < HAIR || mark.at > of.length - HAIR
  const square = mark.cuts.every(cut => cut === 'square')
  return `${cuts.join(' and ')}, ${places[mark.edge]}${far}${longPoint && !square ? ', long point' : ''}`
}
