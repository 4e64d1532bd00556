import type { Problem } from '../lines'

const limitOf = (problem: Problem, name: 'least' | 'most' | 'by'): number | null => {
  const value = (problem as { readonly [key in typeof name]?: unknown })[name]
  return typeof value === 'number' ? value : null
}

/** Whether a problem asks for more than another of the same field. */
function isStricter(a: Problem, b: Problem): boolean {
  const [least, other] = [limitOf(a, 'least'), limitOf(b, 'least')]
  if (least !== null && other !== null && least !== other) return least > other
  const [most, second] = [limitOf(a, 'most'), limitOf(b, 'most')]
  if (most !== null && second !== null) return most < second
  const [by, third] = [limitOf(a, 'by'), limitOf(b, 'by')]
  return by !== null && third !== null && by > third
}

/** Told of each slope by itself: one field, that all slopes share, does not solve the other's too. */
const ofTheirSide: readonly Problem['code'][] = ['purlin-too-low', 'purlin-brace-flat']

/** What several boards ask of one field is said once, by the strictest of them, at the first one's place. */
export function once(problems: readonly Problem[]): Problem[] {
  const byField = new Map<string, Problem>()
  for (const problem of problems) {
    const numbered = (['least', 'most', 'by'] as const).some(name => limitOf(problem, name) !== null)
    const key =
      numbered && !ofTheirSide.includes(problem.code)
        ? `${problem.code} ${problem.path}`
        : JSON.stringify(problem)
    const before = byField.get(key)
    if (!before || isStricter(problem, before)) byField.set(key, problem)
  }
  return [...byField.values()]
}
