/** A stretch along a wall or roof, mm. */
export interface Stretch { readonly from: number, readonly to: number }

/** Centres on the layout from 0, strictly within a length: spacing, twice spacing, … mm. */
export function onCentre(spacing: number, length: number): number[] {
  const count = Math.ceil(length / spacing - 1e-9) - 1
  return Array.from({ length: Math.max(0, count) }, (_, i) => (i + 1) * spacing)
}

/**
 * Where members stand, in order: those given at fixed places, and one on each layout centre. One that would run into a fixed
 * member is left out when its centre is on that member, and else stands against it, so that a sheet edge on the layout
 * still lands on wood.
 */
export function withLayout(fixed: readonly Stretch[], centres: readonly number[], thickness: number): Stretch[] {
  const out = [...fixed]
  for (const centre of centres) {
    const wanted = { from: centre - thickness / 2, to: centre + thickness / 2 }
    const place = clearOf(wanted, centre, out, thickness)
    if (place) out.push(place)
  }
  return out.sort((a, b) => a.from - b.from)
}

const overlap = (a: Stretch, b: Stretch): boolean => a.from < b.to - 1e-6 && b.from < a.to - 1e-6

/** Where a member goes that is wanted at a place: there, against one in its way, or nowhere. */
export function clearOf(wanted: Stretch, centre: number, taken: readonly Stretch[], thickness: number): Stretch | null {
  const hit = taken.find(each => overlap(each, wanted))
  if (!hit) return wanted
  if (centre > hit.from - 1e-6 && centre < hit.to + 1e-6) return null
  const beside = centre > hit.to ? { from: hit.to, to: hit.to + thickness } : { from: hit.from - thickness, to: hit.from }
  return taken.some(each => overlap(each, beside)) ? null : beside
}

/** mm. No piece of a row is shorter than this. */
const SLIVER = 12

/** The pieces that a row is laid of end to end: each as long as `longest` lets it be and ending on one of `breaks`, the first no longer than `first`; mm. One that no break shortens runs on. */
export function rowOf(u: Stretch, breaks: readonly number[], longest: number, first: number): Stretch[] {
  const out: Stretch[] = []
  let from = u.from
  let reach = first
  while (u.to - from > reach + 1e-6) {
    const end = Math.max(...breaks.filter(at => at <= from + reach + 1e-6 && at > from + SLIVER))
    if (!Number.isFinite(end)) break
    out.push({ from, to: end })
    from = end
    reach = longest
  }
  return [...out, { from, to: u.to }]
}
