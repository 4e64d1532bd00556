<script setup lang="ts">
import { cornerFrom, largestTriangle, stakeNames, type TriangleReading } from '../../../core/survey'
import { formatAngle } from '../../../core/measure'
import { sayCorner, sayLength, sayMove, sayShapeFault, sayVerdict, stakeWords } from '../../../core/words'

/** How square the stakes are, a 3-4-5 at a corner, and what to move. */
const bench = useBench()
const { units, size, squaring, result, shape, any, verdict, squareness, moves, remark } = useSquaring()
const corner = ref<TriangleReading['corner']>(squaring.value?.triangle?.corner ?? 'sw')
const sidesAt = computed(() => {
  const even = corner.value === 'sw' || corner.value === 'ne'
  return even
    ? ([size.value.length, size.value.width] as const)
    : ([size.value.width, size.value.length] as const)
})
const taped = computed(() =>
  squaring.value?.triangle?.corner === corner.value ? squaring.value.triangle : null,
)
/** The legs that were taped; before that, the largest that fit. */
const legs = computed(() =>
  taped.value
    ? {
        first: taped.value.first,
        second: taped.value.second,
        hypotenuse: Math.hypot(taped.value.first, taped.value.second),
      }
    : largestTriangle(sidesAt.value[0], sidesAt.value[1], units.value),
)
const cornerSays = computed(() => {
  if (!taped.value) return ''
  const reading = cornerFrom(taped.value, taped.value.hypotenuse, sidesAt.value[1])
  return reading ? sayCorner(reading, units.value) : ''
})
/** A 3-4-5 at another corner than the one that is shown. */
const other = computed(() =>
  squaring.value?.triangle && !taped.value
    ? ` The 3-4-5 at the ${stakeWords[squaring.value.triangle.corner].toLowerCase()} counts too.`
    : '',
)
const names: Record<TriangleReading['corner'], readonly [string, string]> = {
  sw: ['south', 'west'],
  se: ['east', 'south'],
  ne: ['north', 'east'],
  nw: ['west', 'north'],
}

function setTriangle(hypotenuse: number | null): void {
  if (hypotenuse === null || !legs.value) return bench.setValue('site.squaring.triangle', null)
  bench.setValue('site.squaring.triangle', {
    corner: corner.value,
    first: legs.value.first,
    second: legs.value.second,
    hypotenuse,
  })
}
</script>

<template>
  <div v-if="squaring" class="says">
    <p v-if="!any" class="quiet">
      Type on the drawing what the tape reads; what it should read stands in each field. Any five of the
      sides, the diagonals and a 3-4-5 fix the shape.
    </p>
    <p v-else-if="result && !result.ok" class="fault" role="alert">
      {{ sayShapeFault(result.fault, units) }}
    </p>
    <p v-else-if="verdict" class="verdict" :class="verdict.verdict" role="status">
      {{ sayVerdict(verdict.verdict, verdict.worst, units) }}
    </p>
    <template v-if="legs">
      <ChoiceField
        v-model="corner"
        label="3-4-5 at the"
        :options="stakeNames.map(value => ({ value, label: stakeWords[value] }))"
      />
      <p class="figures">
        {{ sayLength(legs.first, units) }} along the {{ names[corner][0] }},
        {{ sayLength(legs.second, units) }} along the {{ names[corner][1] }}:
      </p>
      <TapeField
        label="the tape reads"
        :value="taped?.hypotenuse ?? null"
        :meant="legs.hypotenuse"
        :units="units"
        @set="setTriangle"
      />
      <p v-if="cornerSays">{{ cornerSays }}</p>
    </template>
    <template v-if="moves && squareness && shape">
      <ul class="moves" aria-label="What to move">
        <li v-for="name in stakeNames" :key="name">
          <b>{{ stakeWords[name] }}</b>
          <span class="figures">{{ formatAngle(squareness.angles[name], 2) }}</span>
          <span>{{ sayMove(moves[name], squaring.held, units) }}</span>
        </li>
      </ul>
      <p class="quiet">{{ remark }}{{ other }}</p>
    </template>
  </div>
</template>

<style scoped>
.says {
  display: grid;
  gap: 8px;
}
.verdict,
.fault {
  font-size: 1.15rem;
  padding: 6px 12px;
  border-left: 5px solid var(--moss);
  background: var(--paper);
}
.verdict.fair {
  border-color: var(--sawdust);
  background: var(--dust);
}
.verdict.fix,
.fault {
  border-color: var(--crayon);
  background: var(--wash);
}
.moves {
  list-style: none;
  margin: 0;
  padding: 0;
}
.moves li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 8px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
  font-size: 1.05rem;
}
.moves li span:last-child {
  grid-column: 1 / -1;
}
</style>
