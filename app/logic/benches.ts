/** The benches there are, from the roof down, as the address names them. */
export const benches = ['roof', 'walls', 'floor', 'ground', 'saw'] as const
export type Bench = (typeof benches)[number]

/** The bench an address names; the roof for one that is not there. */
export const chosenBench = (name: string): Bench => benches.find(each => each === name) ?? 'roof'

/** What a bench's own view is called beside the frame in 3D. */
export const viewNames: Record<Bench, string> = {
  roof: 'Drawing',
  walls: 'Elevation',
  floor: 'Plan',
  ground: 'Plan',
  saw: 'List',
}

/** The key of each bench. */
export const benchKeys: Record<Bench, string> = { roof: 'R', walls: 'W', floor: 'F', ground: 'G', saw: 'S' }
