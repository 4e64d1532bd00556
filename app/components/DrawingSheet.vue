<script setup lang="ts">
import { type Drawing, px } from '../../core/drawing'
import { saySubject } from '../../core/words'
import { useLaid } from '../composables/useLaid'
import { useWalk } from '../composables/useWalk'

/** `still`: to be read and printed, not changed. */
const { drawing: whole, label, still } = defineProps<{ drawing: Drawing; label: string; still?: boolean }>()
const bench = useBench()
const box = useTemplateRef<HTMLElement>('box')
const { width, height } = useElementSize(box)
/** Of the list at the corner, px. */
const corner = ref({ wide: 0, tall: 0 })
const { drawing, units, faults, drag, laid, least } = useLaid(() => ({
  drawing: whole,
  still,
  width: width.value,
  height: height.value,
  corner: corner.value,
}))
const fit = computed(() => laid.value.sheet.on)
const written = computed(() => laid.value.texts.filter(({ kind }) => kind === 'label' || kind === 'running'))
const figures = computed(() =>
  laid.value.texts.filter(({ kind }) => kind === 'figure' || (kind === 'pitch' && !still)),
)
/** What can be touched besides boards; one that is part of another lies over it. */
const areas = computed(() => {
  const named = still
    ? []
    : laid.value.areas.flatMap(area => {
        const subject = bench.subjects.find(({ key }) => key === area.subject)
        return subject && bench.design ? [{ ...area, name: saySubject(bench.design, subject) }] : []
      })
  return { under: named.filter(({ over }) => !over), over: named.filter(({ over }) => over) }
})

const { here, key } = useWalk(drawing, at => fit.value.at(at))

/** What this drawing shows, to be typed over or dragged. */
const shown = computed(() => [
  ...laid.value.texts.flatMap(({ field }) => (field ? [field] : [])),
  ...laid.value.rings.map(({ handle }) => handle.field),
])
</script>

<template>
  <div ref="box" class="drawing" :style="width ? { minHeight: `${least}px` } : undefined">
    <TouchAreas
      v-if="width && areas.under.length"
      :areas="areas.under"
      :width="width"
      :height="height"
      label="Parts of this drawing"
    />
    <svg
      v-if="width"
      class="picture"
      :width="width"
      :height="height"
      role="img"
      :aria-label="label"
      :tabindex="still ? undefined : 0"
      :data-at="here ?? undefined"
      @keydown="still || key($event)"
    >
      <g>
        <path
          v-for="(patch, i) in laid.patches"
          :key="i"
          v-memo="[patch.d, patch.ink, patch.member, patch.member && bench.lit.has(patch.member)]"
          :d="patch.d"
          fill-rule="evenodd"
          :class="[patch.ink, { hand: !still && patch.member && bench.lit.has(patch.member) }]"
          :data-member="patch.member ?? undefined"
          @click="bench.touch({ member: patch.member })"
        />
      </g>
      <path v-for="(line, i) in laid.lines" :key="`l${i}`" :class="line.ink" :d="line.d" />
      <text
        v-for="each in written"
        :key="`${each.kind}${each.name}`"
        :class="each.kind"
        :x="px(each.at.x)"
        :y="px(each.at.y)"
        :transform="each.upright ? `rotate(-90 ${px(each.at.x)} ${px(each.at.y)})` : undefined"
        :dy="each.upright ? 4 : 4.5"
      >
        {{ each.text }}
      </text>
    </svg>
    <TouchAreas
      v-if="width && areas.over.length"
      :areas="areas.over"
      :width="width"
      :height="height"
      label="More parts of this drawing"
    />
    <template v-if="width">
      <FaultsElsewhere v-model:size="corner" :faults="faults" :shown="shown" />
      <span
        v-for="each in figures"
        :key="each.name"
        class="on"
        :class="[each.kind, { fault: each.atFault }]"
        :style="{
          left: `${px(each.at.x)}px`,
          top: `${px(each.at.y)}px`,
        }"
      >
        <MeasureField v-if="each.field && !still" :path="each.field" :value="each.value ?? 0" bare />
        <span v-else class="read figures">{{ each.text }}</span>
      </span>
      <DrawingRing
        v-for="{ handle, at, atFault } in still ? [] : laid.rings"
        :key="handle.field"
        :handle="handle"
        :at="at"
        :drag="drag"
        :units="units"
        :at-fault="atFault"
      />
    </template>
  </div>
</template>

<style scoped>
.drawing {
  position: relative;
  width: 100%;
  height: 100%;
  min-height: 220px;
  overflow: hidden;
}
svg {
  position: absolute;
  inset: 0;
  display: block;
  pointer-events: none;
}
svg:focus-visible {
  outline-offset: -3px;
}
.picture path[data-member] {
  pointer-events: visiblePainted;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1;
}
.wood {
  fill: var(--pine);
  cursor: pointer;
}
.end-grain {
  fill: var(--grain);
  cursor: pointer;
}
.sheet {
  fill: var(--dust);
  cursor: pointer;
}
.panel {
  fill: var(--panel);
  cursor: pointer;
}
.concrete {
  fill: var(--line);
}
.gravel {
  fill: var(--paper);
  stroke: var(--soft);
  stroke-dasharray: 2 5;
}
.behind {
  stroke: var(--soft);
  stroke-dasharray: 4 4;
}
.hand {
  stroke: var(--crayon);
  stroke-width: 2;
}
.boundary {
  stroke-width: 2;
  stroke-dasharray: 16 5 3 5;
}
.setback {
  stroke: var(--chalk);
  stroke-dasharray: 7 5;
}
.find {
  stroke: var(--moss-words);
  stroke-width: 1.5;
}
.buried {
  stroke: var(--crayon);
  stroke-width: 2;
  stroke-dasharray: 11 5;
}
.hole {
  stroke: var(--soft);
  stroke-dasharray: 3 3;
}
.label {
  font: 14px var(--text);
  fill: var(--ink);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 5px;
}
.ground {
  stroke-width: 2.5;
}
.datum {
  stroke: var(--chalk);
  stroke-dasharray: 9 4 2 4;
}
.mark {
  stroke: var(--crayon);
}
.dimension,
.extension {
  stroke: var(--chalk);
}
.extension {
  opacity: 0.45;
}
path.running {
  stroke: var(--crayon);
}
text.running {
  font: 13px var(--figures);
  fill: var(--crayon-words);
  text-anchor: end;
}
.on {
  position: absolute;
  transform: translate(-50%, -50%);
  z-index: 1;
}
.on:focus-within,
.on:has([role='alert']) {
  z-index: 5;
}
.read {
  background: var(--sheet);
  padding: 2px 6px;
  color: var(--soft);
  font-size: 0.95rem;
  white-space: nowrap;
}
/* the number at fault: ringed in crayon, and marked besides by more than colour */
.on.fault {
  outline: 2.5px solid var(--crayon);
  outline-offset: 2px;
  border-radius: 3px;
  background: var(--sheet);
}
.on.fault::before {
  content: '!';
  position: absolute;
  left: -1.1rem;
  font: 700 1.1rem var(--text);
  color: var(--crayon-words);
}
</style>
