<script setup lang="ts">
import { pathOf, px, type SquareTool, squareView } from '../../core/drawing'
import { formatAngle } from '../../core/measure'
import { type Card, squareLayout } from '../../core/plan'
import { sayFramingMark, saySquare, sayTriangularMark, squareMarkNames } from '../../core/words'

/**
 * The piece in hand laid out mark by mark, with a framing square or a triangular rafter square on the board.
 */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ card: Card }>()
const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const tool = ref<SquareTool>('framing')
const tools = [
  { value: 'framing', label: 'Framing square' },
  { value: 'triangular', label: 'Triangular rafter square' },
]
const number = ref(0)
const layout = computed(() => (open.value ? squareLayout(props.card) : null))
watch(
  () => props.card.piece.mark,
  () => {
    number.value = 0
  },
)
const marks = computed(() =>
  (layout.value?.marks ?? []).filter(
    mark =>
      tool.value === 'framing' || (mark.name !== 'step' && mark.name !== 'odd' && mark.name !== 'ridge-line'),
  ),
)
const here = computed(() => Math.min(number.value, Math.max(0, marks.value.length - 1)))
const mark = computed(() => marks.value[here.value] ?? null)
watch(tool, () => {
  number.value = 0
})
const [WIDE, TALL] = [600, 250]
const hip = computed(() => props.card.piece.role === 'hip')
const say = computed(() => {
  if (!mark.value || !layout.value) return ''
  return tool.value === 'framing'
    ? sayFramingMark(mark.value, layout.value, units.value)
    : sayTriangularMark(mark.value, layout.value, units.value, hip.value)
})
/** The board about the mark, at a scale that shows the whole square. */
const picture = computed(() => {
  if (!mark.value || !layout.value) return null
  const view = squareView(props.card, layout.value, mark.value, tool.value)
  const all = [
    ...view.tool,
    ...view.numbers.map(each => each.at),
    { x: view.tool[0]?.x ?? 0, y: 0 },
    { x: view.tool[0]?.x ?? 0, y: layout.value.depth },
  ]
  const low = { x: Math.min(...all.map(p => p.x)) - 90, y: Math.min(...all.map(p => p.y)) - 30 }
  const high = { x: Math.max(...all.map(p => p.x)) + 90, y: Math.max(...all.map(p => p.y)) + 50 }
  const scale = Math.min(WIDE / (high.x - low.x), TALL / (high.y - low.y))
  const at = (p: { x: number; y: number }): { x: number; y: number } => ({
    x: (p.x - low.x) * scale + (WIDE - (high.x - low.x) * scale) / 2,
    y: TALL - (p.y - low.y) * scale,
  })
  return { view, at }
})
const step = (by: 1 | -1): void => {
  number.value = Math.min(marks.value.length - 1, Math.max(0, here.value + by))
}
const sayNumber = ({ value, side }: { value: number; side: string }): string =>
  side === 'angle' ? formatAngle(value) : saySquare(value, units.value)
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    :header="`${card.piece.mark}, laid out with the square`"
    :style="{ width: '42rem' }"
    :breakpoints="{ '760px': '98vw' }"
    @keydown.right.prevent="step(1)"
    @keydown.left.prevent="step(-1)"
  >
    <SelectButton
      v-model="tool"
      :options="tools"
      option-value="value"
      option-label="label"
      :allow-empty="false"
      aria-label="Tool"
    />
    <template v-if="mark && picture">
      <svg :viewBox="`0 0 ${WIDE} ${TALL}`" class="picture" role="img" :aria-label="say">
        <path class="wood" fill-rule="evenodd" :d="pathOf(picture.view.board, picture.at)" />
        <path
          class="blank"
          :d="`M${px(picture.at(picture.view.edge[0]).x)} ${px(picture.at(picture.view.edge[0]).y)}L${px(picture.at(picture.view.edge[1]).x)} ${px(picture.at(picture.view.edge[1]).y)}`"
        />
        <path class="tool" :d="pathOf([picture.view.tool], picture.at)" />
        <path
          class="drawn"
          :d="`M${px(picture.at(picture.view.line[0]).x)} ${px(picture.at(picture.view.line[0]).y)}L${px(picture.at(picture.view.line[1]).x)} ${px(picture.at(picture.view.line[1]).y)}`"
        />
        <g v-for="(each, i) in picture.view.numbers" :key="i">
          <circle :cx="px(picture.at(each.at).x)" :cy="px(picture.at(each.at).y)" r="5" />
          <text
            :x="px(picture.at(each.at).x)"
            :y="px(picture.at(each.at).y + (mark.edge === 'top' ? -10 : 22))"
          >
            {{ sayNumber(each) }}
          </text>
        </g>
      </svg>
      <div class="turn">
        <Button
          icon="pi pi-chevron-left"
          outlined
          severity="secondary"
          aria-label="Mark before"
          :disabled="here === 0"
          @click="step(-1)"
        />
        <p aria-live="polite">
          <b
            >{{ here + 1 }} of {{ marks.length }}: {{ squareMarkNames[mark.name]
            }}{{ mark.name === 'step' ? ` ${mark.of}` : '' }}.</b
          >
          {{ say }}
        </p>
        <Button
          icon="pi pi-chevron-right"
          outlined
          severity="secondary"
          aria-label="Next mark"
          :disabled="here === marks.length - 1"
          @click="step(1)"
        />
      </div>
      <p class="quiet">
        The face up as on the card, its head at the left; distances run from its first long point. The dashed
        edge runs on past the finished board.
      </p>
    </template>
    <template #footer><Button label="Close" @click="open = false" /></template>
  </Dialog>
</template>

<style scoped>
.picture {
  width: 100%;
  margin: 12px 0;
  background: var(--sheet);
  border: 1px solid var(--line);
}
path {
  fill: none;
  stroke: var(--ink);
}
.wood {
  fill: var(--pine);
  stroke-width: 1.2;
}
.blank {
  stroke: var(--soft);
  stroke-dasharray: 5 4;
}
.tool {
  fill: var(--chalk);
  fill-opacity: 0.18;
  stroke: var(--chalk);
  stroke-width: 1.5;
}
.drawn {
  stroke: var(--crayon);
  stroke-width: 3;
}
circle {
  fill: var(--crayon);
}
text {
  font: 600 15px var(--figures);
  fill: var(--ink);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 5px;
}
.turn {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 12px;
  align-items: center;
  min-height: 6rem;
}
.turn :deep(.p-button) {
  min-width: var(--target);
  min-height: var(--target);
}
</style>
