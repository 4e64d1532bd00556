import { findSection, type Section } from '../lumber'
import { HAIR } from '../measure'
import { type Design, designSchema, type Part } from './design'
import { baseKinds } from './base'
import { kindOfPath, pathInPart } from './fields'
import { defaultLumber, ownSections } from './lumber'
import { tieKinds } from './roof'
import { roofHas } from './roofs/kinds'
import { sideNames } from './sides'
import type { OwnSiding } from './siding'
import { toCurrent, type VersionFault } from './versions'

/**
 * What is wrong with one place of a document. `path` is dotted, as in `roof.pitch.rise`; empty for the whole.
 */
export type DesignFault = { readonly path: string } & (
  | VersionFault
  | { code: 'not-json'; near: string }
  | { code: 'missing' }
  | { code: 'wrong-type'; expected: string }
  | { code: 'too-small'; min: number }
  | { code: 'not-above'; min: number }
  | { code: 'too-large'; max: number }
  | { code: 'not-one-of'; allowed: readonly string[] }
  | { code: 'too-long'; max: number; of: 'characters' | 'entries' }
  | { code: 'too-deep'; max: number }
  | { code: 'pitch' }
  | { code: 'no-section'; name: string }
  | { code: 'section-twice'; name: string }
  | { code: 'log-not-post'; name: string }
  | { code: 'log-not-round'; thickness: number }
  | { code: 'other' }
)

export type DesignRead =
  | {
      ok: true
      design: Design
      /** Paths of fields that were not known and were left out. */
      dropped: readonly string[]
    }
  | { ok: false; faults: readonly DesignFault[] }

/** Largest file that is read, in characters: a thousand times a usual design. */
export const MAX_FILE = 4_000_000

/** How many lists and objects may stand in each other: a design's own are six. */
export const MAX_DEPTH = 40

/**
 * Whether a value has lists and objects in each other more than MAX_DEPTH deep; goes by levels, so that no
 * depth exhausts the stack.
 */
function tooDeep(value: unknown): boolean {
  let level: unknown[] = [value]
  for (let depth = 0; level.length; depth++) {
    if (depth > MAX_DEPTH) return true
    level = level
      .flatMap((each): unknown[] => (typeof each === 'object' && each !== null ? Object.values(each) : []))
      .filter(each => typeof each === 'object' && each !== null)
  }
  return false
}

/** Reads a design from the text of a file. */
export function parseDesign(text: string): DesignRead {
  if (text.length > MAX_FILE)
    return { ok: false, faults: [{ path: '', code: 'too-long', max: MAX_FILE, of: 'characters' }] }
  let value: unknown
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return { ok: false, faults: [{ path: '', code: 'not-json', near: text.trim().slice(0, 40) }] }
  }
  return readDesign(value)
}

/** Checks a value in full and gives a design, or every fault with its path. */
export function readDesign(value: unknown): DesignRead {
  if (tooDeep(value)) return { ok: false, faults: [{ path: '', code: 'too-deep', max: MAX_DEPTH }] }
  const current = toCurrent(value)
  if (!current.ok) return { ok: false, faults: [{ path: '', ...current.fault }] }
  const document = withYard(current.document)
  const dropped: string[] = []
  let result = designSchema.safeParse(document)
  for (let round = 0; !result.success && round < 8; round++) {
    const unknown = unknownKeys(result.error.issues)
    if (unknown.length === 0) break
    for (const path of unknown) {
      dropped.push(path.join('.'))
      remove(document, path)
    }
    result = designSchema.safeParse(document)
  }
  if (!result.success)
    return { ok: false, faults: tidy(result.error.issues.flatMap(issue => faultOf(issue))) }
  const faults = crossFaults(result.data)
  return faults.length ? { ok: false, faults } : { ok: true, design: result.data, dropped }
}

/**
 * A document that does not say how its yard sells: as its units are written, which decided it before it was
 * asked.
 */
function withYard(document: Record<string, unknown>): Record<string, unknown> {
  const { units, lumber = { ...defaultLumber, yard: units } } = document
  if (typeof lumber !== 'object' || lumber === null || Array.isArray(lumber)) return { ...document, lumber }
  return { ...document, lumber: { yard: units === 'metric' ? 'metric' : 'imperial', ...lumber } }
}

/** What of zod's issues is looked at; which of it is there depends on the code. */
interface Issue {
  readonly code?: string
  readonly path: readonly PropertyKey[]
  readonly message?: string
  readonly keys?: readonly string[]
  readonly errors?: readonly (readonly Issue[])[]
  readonly expected?: string
  readonly origin?: string
  readonly minimum?: number | bigint
  readonly inclusive?: boolean
  readonly maximum?: number | bigint
  readonly values?: readonly unknown[]
  readonly params?: Record<string, unknown>
  readonly input?: unknown
}

function unknownKeys(issues: readonly Issue[]): PropertyKey[][] {
  return issues.flatMap(issue => {
    if (issue.code === 'unrecognized_keys') return (issue.keys ?? []).map(key => [...issue.path, key])
    if (issue.code === 'invalid_union')
      return (issue.errors ?? []).flatMap(each => unknownKeys(each)).map(path => [...issue.path, ...path])
    return []
  })
}

function remove(document: Record<string, unknown>, path: readonly PropertyKey[]): void {
  let at: unknown = document
  for (const key of path.slice(0, -1)) at = (at as Record<PropertyKey, unknown> | undefined)?.[key]
  if (at && typeof at === 'object') Reflect.deleteProperty(at, path[path.length - 1] as PropertyKey)
}

function faultOf(issue: Issue): DesignFault[] {
  const path = issue.path.map(String).join('.')
  switch (issue.code) {
    case 'unrecognized_keys':
      return []
    case 'invalid_type':
      return [
        issue.input === undefined && String(issue.message).includes('undefined')
          ? { path, code: 'missing' }
          : { path, code: 'wrong-type', expected: String(issue.expected) },
      ]
    case 'too_small':
      return [
        issue.origin === 'string'
          ? { path, code: 'missing' }
          : { path, code: issue.inclusive === false ? 'not-above' : 'too-small', min: Number(issue.minimum) },
      ]
    case 'too_big':
      return [
        issue.origin === 'number'
          ? { path, code: 'too-large', max: Number(issue.maximum) }
          : {
              path,
              code: 'too-long',
              max: Number(issue.maximum),
              of: issue.origin === 'string' ? 'characters' : 'entries',
            },
      ]
    case 'invalid_value':
      return [{ path, code: 'not-one-of', allowed: (issue.values ?? []).map(String) }]
    case 'invalid_union':
      return [{ path, code: 'not-one-of', allowed: unionChoices(path) }]
    case 'custom':
      return [
        issue.params?.code === 'wall'
          ? { path, code: 'not-one-of', allowed: [...sideNames, 'partition-1 …'] }
          : { path, code: issue.params?.code === 'pitch' ? 'pitch' : 'other' },
      ]
    default:
      return [{ path, code: 'other' }]
  }
}

const sidingKinds = ['lapped', 'boards', 'panels', 'glazed'] as const
const unions: Record<string, readonly string[]> = {
  'walls.topPlates': ['1', '2'],
  'roof.openings.*.plies': ['1', '2'],
  'floor.ends': ['1', '2'],
  'floor.blocking': ['0', '1', '2', '3'],
  'floor.deck.kind': ['sheets', 'boards'],
  'base.kind': baseKinds,
  'base.beams.plies': ['1', '2', '3'],
  'header.plies': ['1', '2', '3'],
  'roof.panel.per': ['1', '2', '3'],
  'walls.siding.kind': sidingKinds,
  'walls.paint.coats': ['1', '2', '3'],
  'walls.openings.*.door.leaves': ['1', '2'],
  'roof.cover.deck.kind': ['sheets', 'boards'],
  'roof.cover.top.kind': ['panels', 'shingles', 'roll', 'membrane'],
  'roof.beam.plies': ['1', '2', '3'],
  'walls.posts.plies': ['1', '2', '3'],
  'roof.joistBeam.plies': ['1', '2', '3'],
  'roof.gambrel.purlin.plies': ['1', '2', '3'],
  'roof.raised.plies': ['1', '2', '3'],
  'roof.blocking.vents': ['0', '1', '2', '3'],
  'roof.blocking.rows': ['0', '1', '2'],
}

const unionChoices = (of: string): readonly string[] => choicesAt(pathInPart(of).path)

const choicesAt = (path: string): readonly string[] =>
  (/^walls\.sides\.\w+\.(?:siding|gable)(?:\.kind)?$/.test(path) ? ['none', ...sidingKinds] : undefined) ??
  unions[kindOfPath(path)] ??
  unions[`${path}.kind`] ??
  unions[path.split('.').slice(-2).join('.')] ?? [
    'full-bearing',
    'third',
    'height-above-plate',
    'none',
    'wedge',
  ]

/** Each fault once, and none of a whole whose parts are at fault. */
const tidy = (faults: readonly DesignFault[]): DesignFault[] =>
  faults.filter(
    (fault, i) =>
      faults.findIndex(other => other.path === fault.path && other.code === fault.code) === i &&
      !(fault.code === 'pitch' && faults.some(other => other.path.startsWith(`${fault.path}.`))),
  )

/** The sections a design names, each with the path it is named at. */
export const sectionsUsed = (design: Design): [string, string][] => [
  ...sectionsOfPart(design),
  ...design.parts.flatMap((part, i) =>
    sectionsOfPart(part).map(([path, name]): [string, string] => [`parts.${i}.${path}`, name]),
  ),
]

const sectionsOfPart = (part: Design | Part): [string, string][] => [
  ['walls.stud', part.walls.stud],
  ['roof.rafter', part.roof.rafter],
  ['roof.ridge', part.roof.ridge],
  ...furtherSections(part),
]

/** Sections named in openings and below the walls, with where. */
function furtherSections({ floor, base, walls, roof }: Part | Design): [string, string][] {
  const out: [string, string][] = walls.openings.flatMap(({ header, door }, i): [string, string][] => [
    [`walls.openings.${i}.header.section`, header.section],
    ...(door
      ? ([
          [`walls.openings.${i}.door.boards`, door.boards],
          [`walls.openings.${i}.door.frame`, door.frame],
          ...(door.lining ? [[`walls.openings.${i}.door.lining`, door.lining]] : []),
        ] as [string, string][])
      : []),
  ])
  out.push(
    ['walls.posts.post', walls.posts.post],
    ['walls.posts.beam', walls.posts.beam],
    ['walls.slats.section', walls.slats.section],
    ['walls.railing.rail', walls.railing.rail],
    ['walls.railing.baluster', walls.railing.baluster],
    ['walls.between.girt', walls.between.girt],
    ['walls.between.diagonal', walls.between.diagonal],
  )
  for (const kind of tieKinds)
    if (roof.ties[kind]) out.push([`roof.ties.${kind}.section`, roof.ties[kind].section])
  for (const part of ['sub', 'face'] as const)
    if (roof.fascia[part]) out.push([`roof.fascia.${part}`, roof.fascia[part]])
  if (roof.tails.finish) out.push(['roof.tails.finish', roof.tails.finish])
  if (roof.soffit) out.push(['roof.soffit.section', roof.soffit.section])
  if (roof.beam) out.push(['roof.beam.post', roof.beam.post])
  for (const [path, beam] of [
    ['roof.joistBeam', roof.joistBeam],
    ['roof.gambrel.purlin', roof.gambrel.purlin],
  ] as const)
    if (beam) out.push([`${path}.section`, beam.section], [`${path}.post`, beam.post])
  if (roof.purlins)
    out.push(['roof.purlins.section', roof.purlins.section], ['roof.purlins.brace', roof.purlins.brace])
  for (const part of ['bottom', 'web'] as const)
    if (roof.truss[part]) out.push([`roof.truss.${part}`, roof.truss[part]])
  if (roof.loft?.deck.kind === 'boards') out.push(['roof.loft.deck.section', roof.loft.deck.section])
  if (roof.truss.setting?.section) out.push(['roof.truss.setting.section', roof.truss.setting.section])
  out.push(['roof.raised.post', roof.raised.post])
  out.push(['roof.firring.section', roof.firring.section])
  if (roof.cover.soffit) out.push(['roof.cover.soffit.section', roof.cover.soffit.section])
  for (const [path, { deck, battens }] of [
    ['roof.cover', roof.cover] as const,
    ...roof.cover.own.map((each, i) => [`roof.cover.own.${i}`, each] as const),
  ]) {
    if (deck?.kind === 'boards') out.push([`${path}.deck.section`, deck.section])
    if (battens) out.push([`${path}.battens.section`, battens.section])
  }
  if (roof.pergola.battens) out.push(['roof.pergola.battens.section', roof.pergola.battens.section])
  out.push(['roof.ends.lookout', roof.ends.lookout])
  if (roof.ends.barge) out.push(['roof.ends.barge', roof.ends.barge])
  if (roof.hip.section) out.push(['roof.hip.section', roof.hip.section])
  out.push(...sidingSections('walls.siding', walls.siding))
  for (const side of sideNames)
    for (const part of ['siding', 'gable'] as const)
      out.push(...sidingSections(`walls.sides.${side}.${part}`, walls.sides[side][part]))
  for (const part of ['corner', 'casing', 'frieze', 'skirt'] as const)
    if (walls.trim[part]) out.push([`walls.trim.${part}`, walls.trim[part]])
  if (floor) out.push(['floor.joist', floor.joist])
  if (floor?.deck.kind === 'boards') out.push(['floor.deck.section', floor.deck.section])
  if (floor?.porch) out.push(['floor.porch.board', floor.porch.board])
  if (base && 'timber' in base) out.push(['base.timber', base.timber])
  if (base && 'beams' in base) out.push(['base.beams.section', base.beams.section])
  if (base?.kind === 'posts') out.push(['base.post', base.post])
  if (base?.kind === 'poles' && base.skirt)
    out.push(['base.skirt.board', base.skirt.board], ['base.skirt.stake', base.skirt.stake])
  return out
}

function sidingSections(path: string, siding: OwnSiding | null): [string, string][] {
  if (!siding || siding.kind === 'none' || siding.kind === 'panels') return []
  if (siding.kind === 'glazed') return [[`${path}.stop`, siding.stop]]
  const batten = siding.kind === 'boards' ? siding.batten : null
  return [
    [`${path}.section`, siding.section],
    ...(batten ? [[`${path}.batten`, batten] as [string, string]] : []),
  ]
}

/** Faults between fields: names of sections, and of walls that openings are in, that must exist. */
function crossFaults(design: Design): DesignFault[] {
  const own = ownSections(design.lumber)
  const twice = own
    .filter((section, i) => own.findIndex(other => other.name === section.name) !== i)
    .map((section): DesignFault => ({ path: 'lumber.sections', code: 'section-twice', name: section.name }))
  const lost = sectionsUsed(design)
    .filter(([, name]) => !findSection(name, own))
    .map(([path, name]): DesignFault => ({ path, code: 'no-section', name }))
  const nowhere = [
    ...openingsNowhere(design, ''),
    ...design.parts.flatMap((part, i) => openingsNowhere(part, `parts.${i}.`)),
  ]
  return [...twice, ...lost, ...logFaults(design, own), ...nowhere, ...design.parts.flatMap(hangFaults)]
}

/** The fields that may name a log: what stands as a post. */
export const mayBeLog = (path: string): boolean => /(^|\.)(walls\.posts\.post|base\.post)$/.test(path)

/** Logs that are no rounder than a timber, and those that stand where only sawn wood does. */
function logFaults(design: Design, own: readonly Section[]): DesignFault[] {
  const uneven = design.lumber.sections.flatMap(({ round, thickness, depth }, i): DesignFault[] =>
    round && Math.abs(thickness - depth) > HAIR
      ? [{ path: `lumber.sections.${i}.depth`, code: 'log-not-round', thickness }]
      : [],
  )
  const flat = sectionsUsed(design)
    .filter(([path, name]) => findSection(name, own)?.round && !mayBeLog(path))
    .map(([path, name]): DesignFault => ({ path, code: 'log-not-post', name }))
  return [...uneven, ...flat]
}

/** Openings in walls that a part has not; `at` stands before their paths. */
function openingsNowhere({ walls }: Design | Part, at: string): DesignFault[] {
  const standing = [...sideNames, ...walls.partitions.map((_, i) => `partition-${i + 1}`)]
  return walls.openings.flatMap(({ wall }, i): DesignFault[] =>
    standing.includes(wall)
      ? []
      : [{ path: `${at}walls.openings.${i}.wall`, code: 'not-one-of', allowed: standing }],
  )
}

/** A roof runs on over an end; a ledger is a lean-to's. */
function hangFaults({ hang, roof }: Part, i: number): DesignFault[] {
  if (hang.by === 'roof' && hang.side !== 'west' && hang.side !== 'east')
    return [{ path: `parts.${i}.hang.side`, code: 'not-one-of', allowed: ['east', 'west'] }]
  if (hang.by !== 'roof' && roofHas(roof).house === null)
    return [{ path: `parts.${i}.roof.shape`, code: 'not-one-of', allowed: ['lean-to'] }]
  return []
}
