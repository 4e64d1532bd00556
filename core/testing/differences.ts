/**
 * The paths at which two values of plain data differ: numbers by more than `slack`, mm, anything else at all.
 * NaN differs from everything. Functions are passed over.
 */
export function differences(one: unknown, other: unknown, slack = 1e-6, path = ''): string[] {
  if (typeof one === 'function' || typeof other === 'function') return []
  if (typeof one === 'number' && typeof other === 'number')
    return one === other || Math.abs(one - other) <= slack ? [] : [`${path}: ${one}, ${other}`]
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null)
    return one === other ? [] : [`${path}: ${JSON.stringify(one)}, ${JSON.stringify(other)}`]
  const [a, b] = [one as Record<string, unknown>, other as Record<string, unknown>]
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys].flatMap(key => differences(a[key], b[key], slack, `${path}.${key}`)).slice(0, 5)
}
