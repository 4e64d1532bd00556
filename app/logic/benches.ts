/** The benches there are, as the address names them. */
export const benches = ['roof', 'walls', 'saw'] as const
export type Bench = typeof benches[number]

/** The bench an address names; the roof for one that is not there. */
export const chosenBench = (name: string): Bench => benches.find(each => each === name) ?? 'roof'

/** What a bench's own view is called beside the frame in 3D. */
export const viewNames: Record<Bench, string> = { roof: 'Section', walls: 'Elevation', saw: 'List' }
