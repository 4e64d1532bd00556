import type { Roof } from '../roof'

/** The side that a roof of one slope falls to. */
export const lowSide = ({ high }: Pick<Roof, 'high'>): 'south' | 'north' =>
  high === 'north' ? 'south' : 'north'
