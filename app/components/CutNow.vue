<script setup lang="ts">
import { type Mishap, type RunBoard, type RunCard } from '../../core/nest'
import { type Piece, slopesOf } from '../../core/plan'
import { roles } from '../../core/trade'
import { sayLength, saySection } from '../../core/words'
import { sayTurn } from '../logic/held-boards'
import { sayEnds } from '../logic/saw-rows'

/** One card at the saw: which board, how long, how often, and how far that is. */
const props = defineProps<{
  card: RunCard
  board: RunBoard
  piece: Piece | null
  /** Which board it is of how many of its section. */
  place: string
  working: boolean
}>()
const emit = defineEmits<{ tick: []; step: [by: number]; mishap: [what: Mishap] }>()
const bench = useBench()
const units = computed(() => bench.saved?.units ?? 'imperial')
const length = (mm: number): string => sayLength(mm, units.value)
const whence = computed(() => {
  if (props.board.more) return 'one more than was bought'
  return props.board.own ? 'lies there already' : ''
})
/** The cut that is up: the first of the card that is not made. */
const next = computed(() => Math.max(props.board.done, props.card.first))
const tones = computed(() =>
  props.board.cuts.map((_, i) => {
    if (i < props.board.done) return 'done'
    if (i === next.value) return 'hand'
    return i > next.value && i < props.card.first + props.card.count ? 'soon' : ''
  }),
)
const turned = computed(() =>
  props.piece ? sayTurn(slopesOf(props.piece), props.board.cuts, next.value) : '',
)
const end = computed(() => props.card.from + props.card.length)

const open = ref<'' | 'wrong' | 'bad'>('')
const good = ref<number | null>(null)
const from = ref<number | null>(null)
const to = ref<number | null>(null)
const told = ref('')
watch([() => props.card.board, () => props.card.first], () => {
  open.value = ''
})
function turn(what: 'wrong' | 'bad'): void {
  open.value = open.value === what ? '' : what
  good.value = from.value = to.value = null
  told.value = ''
}
function report(): void {
  const { board } = props.card
  if (open.value === 'wrong') emit('mishap', { kind: 'wrong', board, good: good.value ?? 0 })
  else if (from.value === null || to.value === null || to.value <= from.value) {
    told.value =
      'Type where the bad stretch begins and where it ends, from the left end as the board lies now.'
    return
  } else emit('mishap', { kind: 'bad', board, bad: { from: from.value, to: to.value } })
  open.value = ''
}
</script>

<template>
  <TurnCard
    class="cut-now"
    :label="card.count > 1 ? `Sawn ${card.done} of ${card.count}` : 'Sawn'"
    :done="card.done >= card.count"
    :says="`Tick ${card.mark}: ${card.done} of ${card.count} sawn`"
    :working="working"
    @tick="emit('tick')"
    @step="emit('step', $event)"
  >
    <p class="board">
      <b>{{ piece ? saySection(piece.section, units) : board.section }}</b>
      <span class="figures">{{ length(board.stock) }}</span>
      <span class="quiet">{{ place }}</span>
      <span v-if="whence" class="whence">{{ whence }}</span>
    </p>
    <BoardBar
      class="bar"
      aria-hidden="true"
      :stock="board.stock"
      :cuts="board.cuts"
      :defects="board.defects"
      :tones="tones"
    />
    <p class="length figures" :aria-label="`Length ${length(card.length)}`">{{ length(card.length) }}</p>
    <p v-if="card.stop > 1" class="stop">Set the stop: {{ card.stop }} of this length.</p>
    <p class="what">
      <b class="mark">{{ card.mark }}</b>
      <span v-if="piece">{{ roles[piece.role].one }}</span>
      <span v-if="piece" class="ends">{{ sayEnds(piece) }}</span>
      <span v-if="turned" class="ends turned">{{ turned }}</span>
    </p>
    <p class="quiet figures">
      from <span class="whole">{{ length(card.from) }}</span> to
      <span class="whole">{{ length(end) }}</span> along the board<template v-if="card.count > 1"
        >, {{ card.count }} in a row</template
      >
    </p>
    <template #under>
      <div v-if="card.done < card.count" class="mishaps">
        <Button label="Cut one wrong" outlined :aria-expanded="open === 'wrong'" @click="turn('wrong')" />
        <Button label="Board has a knot" outlined :aria-expanded="open === 'bad'" @click="turn('bad')" />
        <form v-if="open" class="mishap" @submit.prevent="report">
          <template v-if="open === 'wrong'">
            <p>{{ card.mark }} is cut again from what is left.</p>
            <SawField
              kind="length"
              name="Still good of it"
              hint="none"
              :value="good"
              :limit="{ min: 0, max: card.length }"
              @set="good = $event"
            />
          </template>
          <template v-else>
            <p>From the left end as the board lies now, after its last cut:</p>
            <SawField
              kind="length"
              name="Bad from"
              hint="–"
              :value="from"
              :limit="{ min: 0, max: board.stock }"
              @set="from = $event"
            />
            <SawField
              kind="length"
              name="Bad to"
              hint="–"
              :value="to"
              :limit="{ min: 0, max: board.stock }"
              @set="to = $event"
            />
          </template>
          <p v-if="told" class="fault" role="alert">{{ told }}</p>
          <Button type="submit" label="Plan the rest again" :disabled="working" />
        </form>
      </div>
    </template>
  </TurnCard>
</template>

<style scoped>
.board,
.what {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 14px;
  font-size: 1.35rem;
}
.whence {
  border-left: 4px solid var(--crayon);
  padding-left: 8px;
}
.bar {
  height: 34px;
  border-width: 2px;
}
.stop {
  font-size: 1.35rem;
  font-weight: 700;
  border-left: 6px solid var(--sawdust);
  padding-left: 12px;
}
.mark {
  font: 700 3.2rem/1 var(--head);
  color: var(--crayon-words);
}
.ends {
  flex-basis: 100%;
}
.mishaps {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 4px 12px 12px;
}
.mishaps > :deep(.p-button) {
  flex: 1;
  min-height: 52px;
}
.mishap {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}
.mishap p {
  flex-basis: 100%;
}
.mishap :deep(.p-button) {
  min-height: 52px;
}
.fault {
  color: var(--crayon-words);
  font-weight: 700;
}
.whole {
  white-space: nowrap;
}
</style>
