<script setup lang="ts">
import { type Drawing, type Handle, type Laid, layOut, NARROW, px, type Spot } from '../../core/drawing'
import { type FieldPath, findLimit, isPitchPath, subjectAt } from '../../core/design'
import { type Pitch, riseInTwelve } from '../../core/measure'
import { saySubject } from '../../core/words'
import { showEntry } from '../logic/entry'
import { useFieldName } from '../composables/useFieldName'
import { useWalk } from '../composables/useWalk'

/** `still`: to be read and printed, not changed. */
const { drawing: whole, label, still } = defineProps<{ drawing: Drawing; label: string; still?: boolean }>()
const bench = useBench()
const fieldName = useFieldName()
const box = useTemplateRef<HTMLElement>('box')
const { width, height } = useElementSize(box)
/**
 * On a narrow sheet only what can be typed over has room; and rings as large as a thumb would cover an
 * opening, so it has its own once it is in hand.
 */
const drawing = computed<Drawing>(() =>
  width.value > 0 && width.value < NARROW
    ? {
        ...whole,
        dimensions: whole.dimensions.filter(each => each.field),
        handles: whole.handles.filter(({ field }) => {
          const [opening] = /^(walls|roof|floor)\.openings\.\d+/.exec(field) ?? []
          return !opening || opening === bench.subject?.key
        }),
      }
    : whole,
)
const units = computed(() => bench.design?.units ?? 'imperial')
const faults = computed(() => (still ? [] : (bench.plan?.frame.problems ?? []).map(problem => problem.path)))
/** As the style sheet has it for fields and rings. */
const thumbs = useMediaQuery('(pointer: coarse), (max-width: 900px)')
const corner = useTemplateRef<HTMLElement>('corner')
const { width: cornerWide, height: cornerTall } = useElementSize(corner, undefined, { box: 'border-box' })
const drag: ReturnType<typeof useDragHandle> = useDragHandle(() => laid.value)
/** Where words stand while a ring is held: from one step of the drag to the next they stay if they can. */
let spots: ReadonlyMap<string, Spot> | null = null
/** The drawing as it lies here: what is typed over and dragged stands over it. */
const laid = computed((): Laid => {
  const held = drag.heldAs.value
  const next = layOut(drawing.value, {
    width: Math.max(width.value, 240),
    height: height.value,
    units: units.value,
    setting: thumbs.value ? 'thumb' : 'screen',
    still,
    faults: faults.value,
    corner: { wide: cornerWide.value, tall: cornerTall.value },
    ...(held && { held: { sheet: held.sheet, spots: spots ?? held.spots } }),
  })
  spots = held ? next.spots : null
  return next
})
const fit = computed(() => laid.value.sheet.on)
/**
 * The page scrolls where the words of a drawing need more height than there is; what a drawing once had at a
 * width it keeps, else it would be laid out by turns with more room and with less.
 */
const least = shallowRef({ drawing: whole, width: 0, tall: 0 })
watch(
  laid,
  ({ sheet }) => {
    const { drawing: of, width: at, tall } = least.value
    const before = of === whole && at === sheet.width ? tall : 0
    least.value = { drawing: whole, width: sheet.width, tall: Math.max(before, Math.ceil(sheet.least)) }
  },
  { immediate: true },
)
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

/** Numbers at fault that this drawing does not show: written at its corner, where they can be typed over. */
const elsewhere = computed(() => {
  const shown = new Set<string>([
    ...laid.value.texts.flatMap(({ field }) => (field ? [field] : [])),
    ...laid.value.rings.map(({ handle }) => handle.field),
  ])
  const paths = [...new Set(faults.value)].filter(
    path => ![...shown].some(field => field === path || field.startsWith(`${path}.`)),
  )
  return paths.map(path => {
    const value = bench.value(path)
    const typed = (findLimit(path) || isPitchPath(path)) && value !== null && value !== undefined
    return { path, field: typed ? (path as FieldPath) : null, value: value as number | Pitch }
  })
})
const holdAt = (path: string): void => bench.touch({ subject: subjectAt(bench.subjects, path).key })
const handleSize = (handle: Handle): number => {
  const value = drag.valueOf(handle)
  return typeof value === 'number' ? value : riseInTwelve(value)
}
const sayHandle = (handle: Handle): string => showEntry(drag.valueOf(handle), units.value)
</script>

<template>
  <div ref="box" class="drawing" :style="width ? { minHeight: `${least.tall}px` } : undefined">
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
      <ul v-if="elsewhere.length" ref="corner" class="elsewhere">
        <li v-for="each in elsewhere" :key="each.path">
          <b aria-hidden="true">!</b>
          <button type="button" class="plain-button" @click="holdAt(each.path)">
            {{ fieldName(each.path) }}
          </button>
          <MeasureField v-if="each.field" :path="each.field" :value="each.value" bare />
        </li>
      </ul>
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
      <button
        v-for="{ handle, at, atFault } in still ? [] : laid.rings"
        :key="handle.field"
        type="button"
        class="handle"
        role="slider"
        :aria-label="`${fieldName(handle.field)}, drag`"
        :aria-valuenow="handleSize(handle)"
        :aria-valuetext="sayHandle(handle)"
        :data-handle="handle.field"
        :class="[
          { held: drag.held.value?.field === handle.field, fault: atFault },
          handle.along.x ? 'level' : 'plumb',
        ]"
        :style="{
          left: `clamp(var(--target) / 2, ${px(at.x)}px, 100% - var(--target) / 2)`,
          top: `${px(at.y)}px`,
        }"
        @pointerdown="drag.begin($event, handle)"
        @pointermove="drag.move"
        @pointerup="drag.end"
        @pointercancel="drag.cancel"
        @keydown.escape="drag.cancel"
        @keydown.up.prevent="drag.nudge(handle, 1)"
        @keydown.right.prevent="drag.nudge(handle, 1)"
        @keydown.down.prevent="drag.nudge(handle, -1)"
        @keydown.left.prevent="drag.nudge(handle, -1)"
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
.elsewhere {
  position: absolute;
  left: 12px;
  top: 8px;
  z-index: 4;
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
.elsewhere li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 2px 8px;
  background: var(--sheet);
  outline: 2.5px solid var(--crayon);
  border-radius: 3px;
}
.elsewhere b {
  font-size: 1.1rem;
  color: var(--crayon-words);
}
.elsewhere .plain-button {
  min-height: var(--target);
  text-decoration: underline;
  text-underline-offset: 3px;
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
.handle {
  position: absolute;
  width: var(--target);
  height: var(--target);
  transform: translate(-50%, -50%);
  padding: 0;
  border: 0;
  background: none;
  touch-action: none;
  z-index: 2;
}
.handle::after {
  content: '';
  position: absolute;
  inset: calc(50% - 7px);
  border-radius: 50%;
  background: var(--sheet);
  border: 2.5px solid var(--crayon);
}
.handle:hover::after,
.handle.held::after {
  background: var(--crayon);
}
.handle.fault::after {
  border-width: 4px;
  background: var(--crayon);
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
.handle.level {
  cursor: ew-resize;
}
.handle.plumb {
  cursor: ns-resize;
}
</style>
