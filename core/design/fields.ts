import type { Design } from './design'

/** Paths of the lengths and the pitch that a drawing lets one change. */
export type LengthPath =
  | 'footprint.length' | 'footprint.width' | 'walls.height' | 'walls.spacing' | 'roof.spacing'
  | 'roof.overhang.eave' | 'roof.overhang.gable' | 'roof.seat.height'
export type FieldPath = LengthPath | 'roof.pitch'

/** The value at a dotted path; undefined where there is none. */
export function valueAt(design: Design, path: string): unknown {
  return path.split('.').reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], design)
}

/** The design with one value changed; the same design where nothing changes. Objects on the way are copied, the rest is shared. */
export function withValue(design: Design, path: string, value: unknown): Design {
  return Object.is(valueAt(design, path), value) ? design : put(design, path.split('.'), value) as Design
}

function put(at: unknown, keys: readonly string[], value: unknown): unknown {
  const [key, ...rest] = keys
  if (key === undefined) return value
  const record = at as Record<string, unknown>
  return { ...record, [key]: put(record[key], rest, value) }
}
