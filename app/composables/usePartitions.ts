import { type Design, isSide, MOST_PARTITIONS, partitionIndex, type WallOpening } from '../../core/design'
import { useBench } from '../stores/bench'

/** The design without one partition: what was in it goes with it, and those behind it move up a number. */
export function withoutPartition(design: Design, i: number): Design {
  const openings = design.walls.openings.flatMap((opening): WallOpening[] => {
    if (isSide(opening.wall)) return [opening]
    const of = partitionIndex(opening.wall)
    return of === i ? [] : of > i ? [{ ...opening, wall: `partition-${of}` }] : [opening]
  })
  return {
    ...design,
    walls: { ...design.walls, openings, partitions: design.walls.partitions.filter((_, k) => k !== i) },
  }
}

/** What can be done to the partitions; each is one edit. */
export function usePartitions() {
  const bench = useBench()
  const most = MOST_PARTITIONS

  /** A partition across the building, in the middle of its length. */
  function add(): void {
    bench.edit(design =>
      design.walls.partitions.length >= most
        ? design
        : {
            ...design,
            walls: {
              ...design.walls,
              partitions: [
                ...design.walls.partitions,
                { runs: 'width', at: Math.round(design.footprint.length / 2) },
              ],
            },
          },
    )
  }
  const drop = (i: number): void => bench.edit(design => withoutPartition(design, i))
  const turn = (i: number, runs: 'length' | 'width'): void =>
    bench.edit(design => ({
      ...design,
      walls: {
        ...design.walls,
        partitions: design.walls.partitions.map((each, k) =>
          k === i
            ? {
                runs,
                at: Math.round((runs === 'width' ? design.footprint.length : design.footprint.width) / 2),
              }
            : each,
        ),
      },
    }))
  return { add, drop, turn, most }
}
