import type { RoofChoice } from '../design'

/** A slope by its face: `south`, or of two that fall one way `lower south` and `upper south`. */
export function saySlope(face: string): string {
  const [side = '', which] = face.split('-')
  return which ? `${which === 'low' ? 'lower' : 'upper'} ${side}` : side
}

/** The first letter of a text made large. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** What a framer calls a roof that can be chosen, at length and in a word or two. */
export function sayRoof({ shape, high, unequal }: RoofChoice): {
  readonly label: string
  readonly short: string
} {
  const low = high === 'north' ? 'south' : 'north'
  switch (shape) {
    case 'gable':
      return unequal
        ? { label: 'Gable, two pitches', short: 'Two pitches' }
        : { label: 'Gable', short: 'Gable' }
    case 'single-slope':
      return { label: `Single slope, high on the ${high}`, short: 'Single slope' }
    case 'lean-to':
      return { label: `Lean-to, house on the ${high}`, short: 'Lean-to' }
    case 'flat':
      return { label: `Flat, falls to the ${low}`, short: 'Flat' }
    case 'raised-ridge':
      return { label: `Raised ridge, strip to the ${low}`, short: 'Raised ridge' }
    case 'gambrel':
      return { label: 'Gambrel', short: 'Gambrel' }
    case 'none':
      return { label: 'No roof: a floor alone', short: 'No roof' }
    case 'pergola':
      return { label: 'Pergola', short: 'Pergola' }
    case 'hip':
      return { label: 'Hip', short: 'Hip' }
  }
}
