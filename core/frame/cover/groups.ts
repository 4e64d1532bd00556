import { type Building, type CoverGroup, coverOfFace } from '../../design'
import type { CoverField } from './field'

/** Faces that are covered alike. */
export interface FacesAlike extends CoverGroup {
  readonly fields: readonly CoverField[]
}

/** The faces of a roof by what covers them, those that are covered as all first. */
export function coverGroups({ cover }: Pick<Building, 'cover'>, fields: readonly CoverField[]): FacesAlike[] {
  const all: FacesAlike[] = []
  for (const field of fields) {
    const found = coverOfFace(cover, field.face.id)
    const at = all.findIndex(({ path }) => path === found.path)
    const group = all[at]
    if (group) all[at] = { ...group, fields: [...group.fields, field] }
    else all.push({ ...found, fields: [field] })
  }
  return all.sort((a, b) => (a.path < b.path ? -1 : 1))
}

/** A building whose whole roof is covered as some of its faces are. */
export const coveredAs = <B extends Pick<Building, 'cover'>>(building: B, { cover }: CoverGroup): B => ({
  ...building,
  cover,
})
