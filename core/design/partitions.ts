import { lengthField } from './length-field'
import { limits } from './limits'
import { type SideName, sideNames } from './sides'
import { z } from './zod'

/**
 * A wall inside the building, from outside wall to outside wall: along its length or across it, `at` its face
 * nearer the south or the west from that outside, mm.
 */
export interface Partition {
  readonly runs: 'length' | 'width'
  readonly at: number
}

export type PartitionName = `partition-${number}`
/** A wall by its name: a side, or a partition by its number in the document, from 1. */
export type WallId = SideName | PartitionName

export const MOST_PARTITIONS = 6

export const partitionsSchema = z
  .array(z.strictObject({ runs: z.enum(['length', 'width']), at: lengthField(limits.onSite) }))
  .max(MOST_PARTITIONS)
  .default([])

export const wallIdSchema = z.custom<WallId>(value => isWallId(value), { params: { code: 'wall' } })

export const isSide = (name: string): name is SideName => (sideNames as readonly string[]).includes(name)

export const isWallId = (value: unknown): value is WallId =>
  typeof value === 'string' && (isSide(value) || /^partition-[1-9]\d?$/.test(value))

/** A partition's place in the document, from 0. */
export const partitionIndex = (name: PartitionName): number => Number(name.slice('partition-'.length)) - 1
