<script setup lang="ts">
import {
  cornerFrom,
  largestTriangle,
  rectangle,
  stakeNames,
  type TapeName,
  tapeNames,
  tapesOf,
  type TriangleReading,
} from '../../core/survey'
import { movesTo, squarenessOf, verdictOn } from '../../core/survey/squareness'
import { shapeFrom } from '../../core/survey/squaring'
import { formatAngle } from '../../core/measure'
import {
  sayArea,
  sayCorner,
  sayLength,
  sayMove,
  sayShapeFault,
  sayShort,
  sayVerdict,
  sideWords,
  stakeWords,
  tapeWords,
} from '../../core/words'
import { stakePicture } from '../logic/stakes'

const bench = useBench()
const below = useBelow()
const held = useChoice<'south' | 'east' | 'north' | 'west'>('site.squaring.held')
const box = useTemplateRef<HTMLElement>('box')
const { width, height } = useElementSize(box)
const design = computed(() => bench.design)
const units = computed(() => design.value?.units ?? 'imperial')
const size = computed(() => ({
  length: design.value?.footprint.length ?? 1,
  width: design.value?.footprint.width ?? 1,
}))
const squaring = computed(() => design.value?.site?.squaring)
const meant = computed(() => tapesOf(rectangle(size.value.length, size.value.width)))
const result = computed(() =>
  squaring.value ? shapeFrom(squaring.value, size.value.length, size.value.width) : null,
)
const shape = computed(() => (result.value?.ok ? result.value.shape : null))
const any = computed(
  () => squaring.value && (Object.keys(squaring.value.tapes).length > 0 || squaring.value.triangle),
)
const verdict = computed(() =>
  shape.value && squaring.value
    ? verdictOn(shape.value.stakes, size.value.length, size.value.width, squaring.value.tolerance)
    : null,
)
const squareness = computed(() => (shape.value ? squarenessOf(shape.value.stakes) : null))
const moves = computed(() =>
  shape.value ? movesTo(shape.value.stakes, size.value.length, size.value.width, held.value) : null,
)
const picture = computed(() =>
  stakePicture(
    size.value.length,
    size.value.width,
    shape.value?.stakes ?? null,
    width.value,
    height.value,
    width.value < 520 ? 70 : 84,
  ),
)
const remark = computed(() => {
  if (!shape.value || !squareness.value) return ''
  const area = sayArea(squareness.value.area * 1e-6, units.value)
  const spare = shape.value.spare
    ? `The readings agree within ${sayShort(shape.value.misfit, units.value)}.`
    : 'Nothing is spare: one more tape would check the others.'
  const other =
    squaring.value?.triangle && !taped.value
      ? ` The 3-4-5 at the ${stakeWords[squaring.value.triangle.corner].toLowerCase()} counts too.`
      : ''
  const drawn = picture.value.times > 1 ? ` Drawn ${picture.value.times} times as far out.` : ''
  return `Diagonals differ by ${sayShort(Math.abs(squareness.value.diagonals), units.value)}; each should read ${sayLength(meant.value.swNe, units.value)}. The stakes enclose ${area}. ${spare}${other}${drawn}`
})
const outline = (points: readonly { x: number; y: number }[]): string =>
  `M${points.map(p => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}Z`
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

/** Where each tape's field stands: over the middle of its side, or a third along its diagonal. */
const places = computed(() => {
  const [sw, se, ne, nw] = picture.value.meant
  if (!sw || !se || !ne || !nw) return null
  const at = (a: { x: number; y: number }, b: { x: number; y: number }, t: number, dx = 0, dy = 0) => ({
    left: `${a.x + (b.x - a.x) * t + dx}px`,
    top: `${a.y + (b.y - a.y) * t + dy}px`,
  })
  const narrow = width.value < 520
  return {
    south: at(sw, se, 0.5, 0, 38),
    north: at(nw, ne, 0.5, 0, -38),
    west: at(sw, nw, 0.5, narrow ? 0 : -20),
    east: at(se, ne, 0.5, narrow ? 0 : 20),
    swNe: at(sw, ne, 0.24, narrow ? 6 : 40),
    seNw: at(se, nw, 0.76, narrow ? 6 : 40),
  } satisfies Record<TapeName, object>
})
const tapes = computed(() => squaring.value?.tapes ?? {})
</script>

<template>
  <Teleport defer to="#ground-strip">
    <ChoiceField
      v-model="held"
      label="String held"
      :options="
        (['south', 'east', 'north', 'west'] as const).map(value => ({ value, label: sideWords[value] }))
      "
    />
    <MeasureField v-if="squaring" path="site.squaring.tolerance.good" :value="squaring.tolerance.good" />
    <MeasureField v-if="squaring" path="site.squaring.tolerance.fair" :value="squaring.tolerance.fair" />
  </Teleport>
  <div v-if="squaring" class="square">
    <div ref="box" class="ground">
      <svg
        v-if="width"
        :width="width"
        :height="height"
        role="img"
        :aria-label="`The stakes: the rectangle that is meant${shape ? `, and the true shape, its errors ${picture.times} times as large` : ''}`"
      >
        <path class="meant" :d="outline(picture.meant)" />
        <template v-if="picture.real">
          <path class="real" :d="outline(picture.real)" />
          <path
            v-for="(to, i) in picture.meant"
            :key="i"
            class="move"
            :d="`M${picture.real[i]?.x ?? 0} ${picture.real[i]?.y ?? 0}L${to.x} ${to.y}`"
          />
        </template>
        <g v-for="(p, i) in picture.meant" :key="`s${i}`">
          <circle class="stake" :cx="p.x" :cy="p.y" r="4" />
          <text
            class="name"
            :x="p.x + (i === 0 || i === 3 ? -12 : 12)"
            :y="p.y + (i < 2 ? 18 : -10)"
            :text-anchor="i === 0 || i === 3 ? 'end' : 'start'"
          >
            {{ stakeNames[i]?.toUpperCase() }}
          </text>
        </g>
      </svg>
      <template v-if="width && places">
        <span v-for="name in tapeNames" :key="name" class="at" :style="places[name]">
          <TapeField
            bare
            :label="tapeWords[name]"
            :value="tapes[name] ?? null"
            :meant="meant[name]"
            :units="units"
            @set="below.setTape(name, $event)"
          />
        </span>
      </template>
    </div>
    <div class="says">
      <p v-if="!any" class="quiet">
        Type what the tape reads; what it should read stands in each field. Any five of the sides, the
        diagonals and a 3-4-5 fix the shape.
      </p>
      <p v-else-if="result && !result.ok" class="fault" role="alert">
        {{ sayShapeFault(result.fault, units) }}
      </p>
      <p v-else-if="verdict" class="verdict" :class="verdict.verdict" role="status">
        {{ sayVerdict(verdict.verdict, verdict.worst, units) }}
      </p>
      <p v-if="legs" class="corner">
        <ChoiceField
          v-model="corner"
          label="3-4-5 at the"
          :options="stakeNames.map(value => ({ value, label: stakeWords[value] }))"
        />
        <span class="figures"
          >{{ sayLength(legs.first, units) }} along the {{ names[corner][0] }},
          {{ sayLength(legs.second, units) }} along the {{ names[corner][1] }}:</span
        >
        <TapeField
          label="the tape reads"
          :value="taped?.hypotenuse ?? null"
          :meant="legs.hypotenuse"
          :units="units"
          @set="setTriangle"
        />
        <span v-if="cornerSays" class="slide">{{ cornerSays }}</span>
      </p>
      <template v-if="moves && squareness && shape">
        <ul class="moves" aria-label="What to move">
          <li v-for="name in stakeNames" :key="name">
            <b>{{ stakeWords[name] }}</b>
            <span class="figures">{{ formatAngle(squareness.angles[name], 2) }}</span>
            <span>{{ sayMove(moves[name], held, units) }}</span>
          </li>
        </ul>
        <p class="quiet">{{ remark }}</p>
      </template>
    </div>
  </div>
</template>

<style scoped>
.square {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-rows: minmax(340px, 1fr) auto;
  overflow: auto;
}
.ground {
  position: relative;
  min-height: 280px;
  overflow: hidden;
}
svg {
  display: block;
  position: absolute;
  inset: 0;
}
path {
  fill: none;
}
.meant {
  stroke: var(--chalk);
  stroke-dasharray: 8 5;
  fill: var(--pine);
  fill-opacity: 0.35;
}
.real {
  stroke: var(--crayon);
  stroke-width: 2;
}
.move {
  stroke: var(--crayon);
  stroke-width: 1.5;
  stroke-dasharray: 2 3;
}
.stake {
  fill: var(--ink);
}
.name {
  font: 600 16px var(--head);
  fill: var(--ink);
}
.at {
  position: absolute;
  transform: translate(-50%, -50%);
}
.at :deep(input) {
  width: 7.4rem;
}
.at:focus-within,
.at:has([role='alert']) {
  z-index: 5;
}
.says {
  border-top: 1px solid var(--line);
  padding: 10px 16px 14px;
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
.corner {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
}
.slide {
  flex-basis: 100%;
}
.moves {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 0 24px;
}
.moves li {
  display: grid;
  grid-template-columns: 6.5rem 5rem 1fr;
  gap: 8px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
  font-size: 1.05rem;
}
@media (max-width: 720px) {
  .square {
    grid-template-rows: 300px auto;
  }
  .at :deep(input) {
    width: 6.6rem;
    font-size: 0.9rem;
  }
}
</style>
