/** The orders a shelf is shown in. */
export const shelfOrders = [
  { value: 'changed', label: 'Changed last' },
  { value: 'name', label: 'By name' },
] as const
export type ShelfOrder = (typeof shelfOrders)[number]['value']

interface Row {
  readonly name: string
  readonly updated: number
}

/** The designs that a search leaves, in an order; every word of the search is somewhere in the name. */
export function onShelf<T extends Row>(rows: readonly T[], search: string, order: ShelfOrder): T[] {
  const words = search.trim().toLowerCase().split(/\s+/).filter(Boolean)
  const left = rows.filter(({ name }) => words.every(word => name.toLowerCase().includes(word)))
  return order === 'name'
    ? [...left].sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }))
    : [...left].sort((a, b) => b.updated - a.updated)
}
