<script setup lang="ts">
import { bookLimits, kerfOf, type NestBoard } from '../../core/nest'
import { sayLength, saySection } from '../../core/words'
import { cutPieces, plansOf } from '../../core/plan'
import { isPlate } from '../../core/trade'
import { chooseFile } from '../composables/useFiles'
import { readOwnPieces } from '../logic/own-pieces'
import { sayProof } from '../logic/nest-work'
import { boardText, held, heldAgain, swapped } from '../logic/held-boards'

/** What is cut from which board, section by section, and how many of each length. */
const bench = useBench()
const saw = useSaw()
const units = computed(() => bench.design?.units ?? 'imperial')
const aims = [
  { value: 'cost', label: 'Least cost' },
  { value: 'boards', label: 'Fewest boards' },
  { value: 'waste', label: 'Least length' },
]
const aim = computed({
  get: () => saw.book.aim,
  set: to => saw.setBook(book => ({ ...book, aim: to })),
})
onMounted(() => {
  saw.near = true
})
onBeforeUnmount(() => {
  saw.near = false
})
const length = (mm: number): string => sayLength(mm, units.value)
const plan = computed(() => saw.plan)
const pieces = computed(() => (bench.whole ? plansOf(bench.whole).flatMap(each => each.pieces) : []))
const named = computed(
  () => new Map(pieces.value.map(piece => [piece.section.name, saySection(piece.section, units.value)])),
)
const groups = computed(() => {
  const made = plan.value
  if (!made) return []
  return [...new Set(made.plans.map(board => board.section))].map(name => {
    const boards = made.plans.filter(board => board.section === name)
    const counts = new Map<number, number>()
    for (const { stock, count } of boards) counts.set(stock, (counts.get(stock) ?? 0) + count)
    return {
      name,
      label: named.value.get(name) ?? name,
      carry: [...counts].map(([mm, count]) => `${count} × ${length(mm)}`).join(', '),
      boards,
    }
  })
})
/** The longest board that is drawn: others are as much shorter. */
const longest = computed(() => Math.max(1, ...(plan.value?.plans.map(({ stock }) => stock) ?? [])))
const share = (mm: number, of: number): string => `${((100 * mm) / of).toFixed(3)}%`
const inHand = computed(() => bench.piece?.mark ?? '')
/** How far the plan is that is being made. */
const soFar = computed(() => {
  const { stage } = saw
  if (!stage) return ''
  const amount = (value: number): string =>
    saw.asked?.ask.aim === 'waste' ? length(value) : String(Math.round(value * 100) / 100)
  const at = named.value.get(stage.section) ?? stage.section
  return `${at}: ${amount(stage.best)} so far${stage.bound === null ? '' : `, ${amount(stage.bound)} at least`}`
})
const unpriced = computed(() =>
  (saw.asked?.unpriced ?? []).map(name => named.value.get(name) ?? name).join(', '),
)

/** The piece that is to change its place with the one touched next. */
const swapping = shallowRef<{ board: NestBoard; cut: number } | null>(null)
const told = ref('')
function touch(board: NestBoard, cut: number): void {
  const mark = board.cuts[cut]?.mark ?? ''
  if (!swapping.value) {
    bench.takeMark(mark)
    return
  }
  if (swapping.value.board.section !== board.section) {
    told.value = 'Only pieces of one section can change places.'
    return
  }
  const result = swapped(swapping.value, { board, cut }, saw.asked?.ask ?? null)
  swapping.value = null
  told.value = result.ok ? '' : `${result.mark} does not fit: it is ${length(result.over)} too long there.`
  if (result.ok) saw.setState(at => ({ ...at, held: heldAgain(at.held, result.from, result.boards) }))
}
/** The piece in hand, where a board holds it, is the one to be swapped. */
function beginSwap(): void {
  told.value = ''
  const board = plan.value?.plans.find(each => each.cuts.some(({ mark }) => mark === inHand.value))
  if (!board) {
    told.value = 'Touch a piece on a board first, then Swap.'
    return
  }
  swapping.value = { board, cut: board.cuts.findIndex(({ mark }) => mark === inHand.value) }
}
/** Marks of what no board is there for, and of what only crooked ones are. */
const without = computed(() => {
  const lost = plan.value?.unplaced ?? []
  const marks = (poor: boolean): string[] => [
    ...new Set(lost.filter(({ why }) => (why === 'no-good') === poor).map(({ mark }) => mark)),
  ]
  return { short: marks(false), poor: marks(true) }
})
/** mm that plates, and all that runs along a wall, are long at most: they are joined over studs. */
const joined = computed(() => {
  const longest = bench.value('walls.longest')
  const some = pieces.value.some(({ role }) => isPlate(role))
  return some && typeof longest === 'number' ? longest : null
})
/** The piece in hand, and why it comes out of a good board, if it does. */
const asked = computed(() => saw.asked?.ask.pieces.find(({ mark }) => mark === inHand.value))
const isTemplate = computed(() => saw.state.templates.includes(inHand.value))
function setTemplate(): void {
  const [mark, on] = [inHand.value, !isTemplate.value]
  saw.setState(at => ({
    ...at,
    templates: [...at.templates.filter(each => each !== mark), ...(on ? [mark] : [])],
  }))
}
const ownCount = computed(() => saw.state.more.reduce((sum, { count }) => sum + count, 0))
/** Pieces of the user's own are cut with the building's. */
async function readOwn(): Promise<void> {
  const text = await chooseFile('.csv,text/csv')
  if (text === null || !bench.whole) return
  const found = readOwnPieces(text, units.value, cutPieces(bench.whole))
  told.value = found.ok ? '' : found.reasons.join(' ')
  if (found.ok) saw.setState(at => ({ ...at, more: found.pieces }))
}
const shareCuts = (share: boolean): void => saw.setBook(book => ({ ...book, share }))
const hold = (board: NestBoard): void => saw.setState(at => ({ ...at, held: held(at.held, board) }))
const letGo = (): void => saw.setState(at => ({ ...at, held: [] }))
const says = (board: NestBoard): string =>
  `${boardText(board, length)}: ${board.cuts.map(cut => `${cut.mark} ${length(cut.length)}`).join(', ')}; ${length(board.left)} left`
const offcuts = computed(() =>
  (plan.value?.plans ?? [])
    .filter(({ left }) => left >= KEPT)
    .map(({ section, left, count }) => ({ label: named.value.get(section) ?? section, left, count })),
)
/** mm: an offcut that is kept. */
const KEPT = 600
</script>

<template>
  <div class="boards" @keydown.escape="swapping = null">
    <div class="field-row">
      <ChoiceField v-model="aim" label="Aim" :options="aims" />
      <SawField
        kind="length"
        name="Saw takes"
        :value="kerfOf(saw.book, units)"
        :limit="bookLimits.kerf"
        @set="saw.setBook(book => ({ ...book, kerf: $event }))"
      />
      <SawField
        kind="length"
        name="Off each end"
        :value="saw.book.trim"
        :limit="bookLimits.trim"
        @set="saw.setBook(book => ({ ...book, trim: $event ?? 0 }))"
      />
      <label class="ticked"
        ><input
          type="checkbox"
          :checked="saw.book.share"
          @change="shareCuts(($event.target as HTMLInputElement).checked)"
        />Slopes share cuts</label
      >
      <MeasureField v-if="joined" path="walls.longest" :value="joined" />
      <Button
        :label="swapping ? 'Swap with …' : 'Swap'"
        outlined
        :aria-pressed="!!swapping"
        @click="beginSwap"
      />
      <Button
        v-if="asked"
        :label="isTemplate ? `${inHand}, a template` : `${inHand} as a template`"
        outlined
        :aria-pressed="isTemplate"
        :title="asked.good ? `${inHand} comes out of good boards` : undefined"
        @click="setTemplate"
      />
      <Button
        v-if="saw.state.more.length === 0"
        label="Own list"
        aria-label="Read a list of your own pieces from CSV"
        icon="pi pi-upload"
        outlined
        @click="readOwn"
      />
      <Button
        v-else
        :label="`Without the ${ownCount} of your own`"
        outlined
        @click="saw.setState(at => ({ ...at, more: [] }))"
      />
      <Button
        v-if="saw.state.held.length"
        :label="`Let go of ${saw.state.held.length} held`"
        outlined
        @click="letGo"
      />
    </div>
    <p v-if="unpriced" class="said-wrong">
      {{ unpriced }} {{ (saw.asked?.unpriced.length ?? 0) > 1 ? 'have' : 'has' }} no price. Type one under
      Buy; until then the boards are as few as can be.
    </p>
    <p v-if="told" class="said-wrong" role="alert">{{ told }}</p>
    <SawTrouble class="said-wrong" />
    <p class="state" role="status">
      <template v-if="saw.planState === 'working'">
        <span>Planning …</span><span class="figures">{{ soFar }}</span>
        <Button label="Stop" outlined @click="saw.stop" />
      </template>
      <template v-else-if="saw.planState === 'failed'">
        <span>The plan could not be made on this machine.</span>
        <Button label="Try again" outlined @click="saw.make" />
      </template>
      <template v-else-if="saw.planState === 'stopped'">
        <span>Stopped.</span>
        <Button label="Go on" outlined @click="saw.make" />
      </template>
      <template v-else-if="plan && saw.planState === 'done'">
        <b>{{ sayProof(plan) }}</b>
        <span class="figures"
          >{{ plan.boards }} boards{{ plan.own ? `, ${plan.own} on hand` : '' }},
          {{ (plan.waste * 100).toFixed(1) }} % over</span
        >
      </template>
      <span v-else>Planning …</span>
    </p>
    <p v-if="without.short.length" class="said-wrong">
      No board is there for {{ without.short.join(', ') }}. Under Buy, let longer boards be carried or sold{{
        joined ? ', or join plates: type a shorter one above' : ''
      }}.
    </p>
    <p v-if="without.poor.length" class="said-wrong">
      Only crooked boards are as long as {{ without.poor.join(', ') }}. Under Buy, let others be carried or
      sold.
    </p>
    <section v-for="group in groups" :key="group.name" :aria-label="group.label">
      <h2>
        {{ group.label }} <span class="figures">{{ group.carry }}</span>
      </h2>
      <ul>
        <li v-for="(board, i) in group.boards" :key="i">
          <span class="count">
            <span class="figures">{{ boardText(board, length) }}</span>
            <button
              type="button"
              class="hold"
              :aria-pressed="!!board.held"
              :aria-label="`Hold ${says(board)}`"
              @click="hold(board)"
            >
              <i :class="board.held ? 'pi pi-lock' : 'pi pi-lock-open'" aria-hidden="true" />{{
                board.held ? 'Held' : 'Hold'
              }}
            </button>
          </span>
          <div class="cut-board">
            <BoardBar
              :style="{ width: share(board.stock, longest) }"
              role="img"
              :aria-label="says(board)"
              :stock="board.stock"
              :cuts="board.cuts"
              :defects="board.defects"
              :tones="board.cuts.map(cut => (cut.mark === inHand ? 'hand' : ''))"
            />
            <div class="cuts">
              <button
                v-for="(cut, k) in board.cuts"
                :key="k"
                type="button"
                class="cut figures"
                :class="{ hand: cut.mark === inHand }"
                @click="touch(board, k)"
              >
                <b>{{ cut.mark }}</b> {{ length(cut.length) }}
              </button>
              <span class="over figures">{{ length(board.left) }} left</span>
            </div>
          </div>
        </li>
      </ul>
    </section>
    <SawSheets
      v-for="each in saw.sheets"
      :key="`${each.section} ${each.long} ${each.wide}`"
      :made="each"
      :label="named.get(each.section) ?? each.section"
      :hand="inHand"
      @take="bench.takeMark($event)"
    />
    <section v-if="offcuts.length" aria-label="Offcuts to keep">
      <h2>Offcuts to keep</h2>
      <p class="figures offcuts">
        <span v-for="(each, i) in offcuts" :key="i"
          >{{ each.label }} {{ each.count }} × {{ length(each.left) }}</span
        >
      </p>
    </section>
  </div>
</template>

<style scoped>
.state {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin: 4px 0;
  min-height: 40px;
}
h2 {
  font-size: 1.2rem;
  margin: 16px 0 4px;
  border-bottom: 2px solid var(--ink);
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  align-items: baseline;
}
h2 .figures {
  font-size: 1rem;
  font-weight: normal;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 9rem minmax(0, 1fr);
  gap: 4px 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.count {
  display: grid;
  align-content: start;
  justify-items: start;
  gap: 2px;
}
.hold {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: var(--target);
  min-width: var(--target);
  padding: 0 8px 0 0;
  border: 0;
  background: none;
  font: inherit;
  font-size: 0.9rem;
  color: var(--chalk-words);
  cursor: pointer;
}
.hold[aria-pressed='true'] {
  font-weight: 700;
  color: var(--crayon-words);
}
.cuts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  margin-top: 4px;
}
.cut {
  min-height: var(--target);
  padding: 2px 8px;
  border: 1px solid var(--line);
  border-radius: 3px;
  background: var(--sheet);
  color: var(--ink);
  font-size: 0.95rem;
  cursor: pointer;
}
.cut.hand {
  border: 2px solid var(--crayon);
}
.over {
  color: var(--soft);
  padding-left: 6px;
}
.offcuts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
@container (max-width: 600px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
  .count {
    grid-auto-flow: column;
    align-items: center;
  }
}
</style>
