import { mayHaveLoft } from './building'
import type { Design } from './design'
import { isSide, partitionIndex } from './partitions'
import { roofHas } from './roofs/kinds'
import { type SideName, sideNames } from './sides'

/** What of a building can be taken in hand and changed, by what it is. */
export const subjectKinds = [
  'building',
  'lumber',
  'roof',
  'slope',
  'ridge',
  'tails',
  'ends',
  'knees',
  'trusses',
  'setting',
  'ties',
  'loft',
  'purlins',
  'blocks',
  'firrings',
  'battens',
  'cover',
  'face-cover',
  'roof-opening',
  'walls',
  'wall',
  'opening',
  'sheets',
  'posts',
  'partition',
  'units',
  'floor',
  'joists',
  'deck',
  'porch',
  'floor-opening',
  'ground',
  'site',
  'boundary',
  'find',
  'stakes',
  'levels',
  'base',
  'rows',
  'gravel',
] as const
export type SubjectKind = (typeof subjectKinds)[number]
/** The bench that a subject is drawn on; null of what is on all. */
export type SubjectBench = 'roof' | 'walls' | 'floor' | 'ground' | null

/** A part of a building that can be taken in hand: what of the document is set there. */
export interface Subject {
  /** Unlike every other subject's of the design. */
  readonly key: string
  readonly kind: SubjectKind
  readonly bench: SubjectBench
  /** The key of what it is part of; null of the building. */
  readonly within: string | null
  /** The places of the document that are set there, each with all below it. */
  readonly paths: readonly string[]
  /** The side it is on; null of what is on none. */
  readonly side: SideName | null
  /** Its number in the document's list, from 0; null of what is in none. */
  readonly index: number | null
}

/** A wall's subject, by its name; a partition's is its place in the list. */
export const wallSubject = (wall: Design['walls']['openings'][number]['wall']): string =>
  isSide(wall) ? `walls.${wall}` : `walls.partitions.${partitionIndex(wall)}`

type Rest = Partial<Pick<Subject, 'paths' | 'side' | 'index'>>
const subject = (
  bench: SubjectBench,
  kind: SubjectKind,
  key: string,
  within: string | null,
  { paths = [key], side = null, index = null }: Rest = {},
): Subject => ({ key, kind, bench, within, paths, side, index })

/** Everything of a design that can be taken in hand, what holds others before them. */
export function subjectsOf(design: Design): Subject[] {
  return [
    subject(null, 'building', 'building', null, { paths: ['footprint', 'name', 'units', 'hang'] }),
    ...roofSubjects(design),
    ...wallSubjects(design),
    ...floorSubjects(design),
    ...groundSubjects(design),
    subject(null, 'lumber', 'lumber', 'building'),
  ]
}

function roofSubjects({ roof }: Design): Subject[] {
  const has = roofHas(roof)
  const of = (kind: SubjectKind, key: string, rest?: Rest): Subject =>
    subject('roof', kind, `roof.${key}`, 'roof', rest)
  const carried = ['ridge', 'hips', 'strip', 'ledger'] as const
  // no roof has nothing but its shape
  if (!has.falls.length) return [subject('roof', 'roof', 'roof', 'building')]
  return [
    subject('roof', 'roof', 'roof', 'building'),
    ...(has.parts.includes('battens') ? [] : has.falls).map(side =>
      of('slope', `slopes.${side}`, { paths: side === 'north' ? ['roof.northPitch'] : [], side }),
    ),
    ...(carried.some(part => has.parts.includes(part))
      ? [
          of('ridge', 'ridge', {
            paths: ['roof.ridge', 'roof.hip', 'roof.beam', 'roof.raised', 'roof.taper'],
          }),
        ]
      : []),
    ...(has.parts.includes('firrings') ? [of('firrings', 'firring')] : []),
    ...(has.parts.includes('battens') ? [of('battens', 'pergola')] : []),
    ...(has.parts.includes('knees') ? [of('knees', 'knees', { paths: ['roof.gambrel', 'roof.peak'] })] : []),
    ...(has.parts.includes('trusses')
      ? [
          of('trusses', 'truss', { paths: ['roof.truss'] }),
          of('setting', 'setting', { paths: ['roof.truss.setting'] }),
        ]
      : []),
    of('tails', 'tails', { paths: ['roof.tail', 'roof.tails', 'roof.fascia', 'roof.soffit'] }),
    ...(has.parts.includes('ends')
      ? [of('ends', 'ends', { paths: ['roof.ends', 'roof.overhang.gable'] })]
      : []),
    ...(has.ties.some(kind => roof.ties[kind])
      ? [of('ties', 'ties', { paths: ['roof.ties', 'roof.joistBeam'] })]
      : []),
    ...(roof.loft && mayHaveLoft(has) ? [of('loft', 'loft')] : []),
    ...(roof.purlins && !has.parts.includes('firrings') && !has.parts.includes('battens')
      ? [of('purlins', 'purlins')]
      : []),
    ...(!has.parts.includes('battens') && (roof.blocking.plate !== 'none' || roof.blocking.rows > 0)
      ? [of('blocks', 'blocking')]
      : []),
    // a pergola is open as it is
    ...(has.parts.includes('battens')
      ? []
      : [
          of('cover', 'cover'),
          ...roof.cover.own.map((_, index) =>
            subject('roof', 'face-cover', `roof.cover.own.${index}`, 'roof.cover', { index }),
          ),
        ]),
    ...(has.parts.includes('battens') ? [] : roof.openings).map((_, index) =>
      of('roof-opening', `openings.${index}`, { index }),
    ),
  ]
}

function wallSubjects({ walls, roof }: Design): Subject[] {
  const { house } = roofHas(roof)
  const of = (kind: SubjectKind, key: string, within = 'walls', rest?: Rest): Subject =>
    subject('walls', kind, `walls.${key}`, within, rest)
  const stands = (wall: string): boolean => wall !== house
  return [
    subject('walls', 'walls', 'walls', 'building'),
    ...sideNames
      .filter(stands)
      .map(side => of('wall', side, 'walls', { paths: [`walls.sides.${side}`], side })),
    ...walls.partitions.map((_, index) => of('partition', `partitions.${index}`, 'walls', { index })),
    ...walls.openings.flatMap(({ wall }, index) =>
      stands(wall)
        ? [of('opening', `openings.${index}`, wallSubject(wall), { side: isSide(wall) ? wall : null, index })]
        : [],
    ),
    of('sheets', 'sheathing', 'walls', {
      paths: ['walls.sheathing', 'walls.siding', 'walls.trim', 'walls.paint', 'walls.slats'],
    }),
    ...(sideNames.some(side => walls.sides[side].build === 'posts')
      ? [of('posts', 'posts', 'walls', { paths: ['walls.posts', 'walls.railing', 'walls.between'] })]
      : []),
    of('units', 'units'),
  ]
}

function floorSubjects({ floor }: Design): Subject[] {
  const of = (kind: SubjectKind, key: string, rest?: Rest): Subject =>
    subject('floor', kind, `floor.${key}`, 'floor', rest)
  return [
    subject('floor', 'floor', 'floor', 'building'),
    ...(floor
      ? [
          of('joists', 'joists', {
            paths: ['joist', 'spacing', 'runs', 'ends', 'doubled', 'blocking', 'hold'].map(
              each => `floor.${each}`,
            ),
          }),
          of('deck', 'deck'),
          ...(floor.porch ? [of('porch', 'porch', { side: floor.porch.side })] : []),
          ...floor.openings.map((_, index) => of('floor-opening', `openings.${index}`, { index })),
        ]
      : []),
  ]
}

function groundSubjects({ site, base, hang }: Design): Subject[] {
  const of = (kind: SubjectKind, key: string, within: string, rest?: Rest): Subject =>
    subject('ground', kind, key, within, rest)
  return [
    of('ground', 'ground', 'building', { paths: [] }),
    // the ground that a part stands on is measured for the main one
    ...(site && !hang
      ? [
          of('site', 'site', 'ground'),
          ...site.boundaries.map((_, index) => of('boundary', `site.boundaries.${index}`, 'site', { index })),
          ...site.finds.map((_, index) => of('find', `site.finds.${index}`, 'site', { index })),
          of('stakes', 'site.squaring', 'ground'),
          of('levels', 'site.levels', 'ground'),
        ]
      : []),
    of('base', 'base', 'ground'),
    ...(base && base.kind !== 'border' && base.kind !== 'slab'
      ? [
          of('rows', 'base.rows', 'base', {
            paths: [
              'beams',
              'spacing',
              'post',
              'hole',
              'pad',
              'long',
              'fill',
              'rock',
              'diameter',
              'block',
              'count',
              'runs',
              'ends',
              'timber',
            ].map(each => `base.${each}`),
          }),
        ]
      : []),
    ...(base && 'gravel' in base
      ? [of('gravel', 'base.gravel', 'base', { paths: ['base.gravel', 'base.skirt'] })]
      : []),
  ]
}

/** The subject with a key; null where the design has none, or no more. */
export const subjectBy = (subjects: readonly Subject[], key: string | null): Subject | null =>
  subjects.find(each => each.key === key) ?? null

/** Where a place of the document is set: the subject that names most of its path; the building without. */
export function subjectAt(subjects: readonly Subject[], path: string): Subject {
  const [building] = subjects
  if (!building) throw new RangeError('a design without subjects')
  const fits = (at: string): boolean => path === at || path.startsWith(`${at}.`)
  const longest = (each: Subject): number => Math.max(0, ...each.paths.filter(fits).map(at => at.length))
  return subjects.reduce((best, each) => (longest(each) > longest(best) ? each : best), building)
}

/** What a subject is part of, and that in turn, the building first and itself last. */
export function lineOf(subjects: readonly Subject[], of: Subject): Subject[] {
  const outer = subjectBy(subjects, of.within)
  return [...(outer ? lineOf(subjects, outer) : []), of]
}
