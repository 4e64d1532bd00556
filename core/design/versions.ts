import { FORMAT, VERSION } from './design'

/** Turns a document of one version into the next; works on a copy and need not stamp the version. */
export type Migration = (document: Record<string, unknown>) => Record<string, unknown>

/** Version 1 knew nothing below the walls. */
const withGround: Migration = document => ({ ...document, site: null, base: null, floor: null })

/** Version 2 knew one part. */
const withParts: Migration = document => ({ ...document, hang: null, parts: [] })

/** `migrations[0]` takes version 1 to 2, and so on without gaps. */
export const migrations: readonly Migration[] = [withGround, withParts]

export type VersionFault =
  | { code: 'not-an-object' }
  | { code: 'not-a-design'; found: string }
  | { code: 'version-missing' }
  | { code: 'version-newer'; found: number; known: number }

export type Current = { ok: true; document: Record<string, unknown> } | { ok: false; fault: VersionFault }

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/**
 * Brings a document of any known version to the newest, one step at a time; refuses what is not ours and what
 * is newer.
 */
export function toCurrent(
  value: unknown,
  steps: readonly Migration[] = migrations,
  newest: number = VERSION,
): Current {
  if (!isObject(value)) return { ok: false, fault: { code: 'not-an-object' } }
  if (value.format !== FORMAT)
    return {
      ok: false,
      fault: {
        code: 'not-a-design',
        found: typeof value.format === 'string' ? value.format.slice(0, 60) : '',
      },
    }
  const version = value.version
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return { ok: false, fault: { code: 'version-missing' } }
  if (version > newest) return { ok: false, fault: { code: 'version-newer', found: version, known: newest } }
  const start = JSON.parse(JSON.stringify(value)) as Record<string, unknown>
  const document = steps.slice(version - 1, newest - 1).reduce((step, migrate) => migrate(step), start)
  return { ok: true, document: { ...document, version: newest } }
}
