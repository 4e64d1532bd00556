import { existsSync, readFileSync, statSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'

/*
 * A rule for ESLint: no file imports itself by way of others. Imports of types count, since a circle of types
 * is as hard to read as one of values. The standard rules for this pass over types.
 */

const importOf =
  /^\s*(?:import|export)\s[^'"`;]*?from\s+'([^']+)'|^\s*import\s+'([^']+)'|\bimport\('([^']+)'\)/gm
const known = new Map()

/** The file that a path written in another names; null of a package. */
function resolved(from, path, root) {
  const alias = /^(~~|@@|~|@)\//.exec(path)
  if (!alias && !path.startsWith('.')) return null
  const base = alias
    ? join(root, alias[1].length === 2 ? '' : 'app', path.slice(alias[0].length))
    : resolve(dirname(from), path)
  return (
    [base, `${base}.ts`, `${base}.vue`, join(base, 'index.ts')].find(
      each => existsSync(each) && statSync(each).isFile(),
    ) ?? null
  )
}

function importsOf(file, root) {
  const stamp = statSync(file).mtimeMs
  const before = known.get(file)
  if (before?.stamp === stamp) return before.files
  const text = readFileSync(file, 'utf8')
  const files = [...text.matchAll(importOf)]
    .map(match => resolved(file, match[1] ?? match[2] ?? match[3], root))
    .filter(each => each !== null)
  known.set(file, { stamp, files })
  return files
}

/** The way from a file back to `goal`, both ends named; null where there is none. */
function wayTo(goal, from, root) {
  const seen = new Set([from])
  const queue = [[from]]
  for (let way = queue.shift(); way; way = queue.shift()) {
    for (const next of importsOf(way[way.length - 1], root)) {
      if (next === goal) return [...way, goal]
      if (seen.has(next)) continue
      seen.add(next)
      queue.push([...way, next])
    }
  }
  return null
}

export default {
  meta: { type: 'problem', schema: [], messages: { circle: 'imports itself: {{way}}' } },
  create(context) {
    const { filename, cwd } = context
    const check = node => {
      if (!node.source) return
      const target = resolved(filename, node.source.value, cwd)
      const way = target && wayTo(filename, target, cwd)
      if (!way) return
      const named = way.map(each => each.slice(cwd.length + 1)).join(' → ')
      context.report({ node: node.source, messageId: 'circle', data: { way: named } })
    }
    return { ImportDeclaration: check, ExportNamedDeclaration: check, ExportAllDeclaration: check }
  },
}
