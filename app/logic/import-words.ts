import type { FileReading } from './file-reading'
import type { Imported } from '../stores/shelf'

/** What is said of a file that had something wrong with it: each design's name with each of its faults. */
export interface Said {
  readonly title: string
  readonly reasons: readonly string[]
}

const designs = (count: number): string => `${count} ${count === 1 ? 'design' : 'designs'}`

/** What came of a file: a sentence where all went well, what was wrong, or null where storage says why. */
export function sayImport(
  { several, count }: Pick<FileReading, 'several' | 'count'>,
  { imports, there, stopped }: Imported,
): string | Said | null {
  if (count === 0)
    return {
      title: 'The file has no designs',
      reasons: ['Its list of designs is empty. Choose another file.'],
    }
  const taken = imports.flatMap(each => (each.ok ? [each] : []))
  const refused = imports.flatMap(each => (each.ok ? [] : [each]))
  const left = taken.flatMap(({ name, left: paths }) => paths.map(path => `“${name}”: ${path} was left out.`))
  const [only] = taken
  const far = stopped ? `Stopped: ${designs(taken.length)} of ${count} taken in` : null
  if (refused.length)
    return {
      title: several
        ? `${far ? `${far}. ` : ''}${refused.length} of ${designs(count)} ${refused.length === 1 ? 'was' : 'were'} not taken in`
        : 'The file was not taken in',
      reasons: [
        ...refused.flatMap(({ name, reasons }) => reasons.map(reason => named(name, reason))),
        ...left,
      ],
    }
  if (left.length)
    return {
      title: `${far ? `${far}. ` : ''}${taken.length === 1 ? `“${only?.name}” is` : `${taken.length} designs are`} on the shelf, without what is not known here`,
      reasons: left,
    }
  if (far) return `${far}.`
  if (taken.length === 1 && only && !there) return `“${only.name}” is on the shelf.`
  if (!taken.length && !there) return null
  return `${designs(taken.length)} ${taken.length === 1 ? 'is' : 'are'} back on the shelf${there ? `; ${there} stood there already` : ''}.`
}

const named = (name: string | null, reason: string): string => (name === null ? reason : `${name}: ${reason}`)
