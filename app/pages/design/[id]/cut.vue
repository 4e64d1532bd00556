<script setup lang="ts">
import { type Mishap, sawnOf } from '../../../../core/nest'
import { designFile, fileName } from '../../../../core/output'
import { saveFile } from '../../../composables/useFiles'
import { sayProof } from '../../../logic/nest-work'
import type { Command } from '../../../logic/commands'

/** At the saw: one card at a time, ticked as it is cut. */
definePageMeta({ key: route => `cut-${String(route.params.id)}` })
const route = useRoute()
const bench = useBench()
const saw = useSaw()
const id = computed(() => String(route.params.id))
const { run, cards, at, card, board, sheets, sheet, sheetAt, total, made, stale, working, told, ...acts } =
  useSawRun()
onMounted(async () => {
  useTyping().clear()
  await bench.open(id.value)
  await saw.open(id.value)
  saw.near = true
  acts.toNext()
})
onBeforeUnmount(() => {
  saw.near = false
  bench.close()
  saw.close()
})
const leaving = useLeaving()
function saveDesign(): void {
  if (bench.saved) saveFile(fileName(bench.saved.name, 'json'), designFile(bench.saved), 'application/json')
}
useHead({ title: () => (bench.saved ? `${bench.saved.name}, at the saw · Early Wren` : 'Early Wren') })

/** The screen stays awake while this page is seen, where the browser lets it. */
const wake = useWakeLock()
onMounted(() => {
  if (wake.isSupported.value) wake.request('screen').catch(() => {})
})
/** Black on white, for the sun. */
const sun = useLocalStorage('early-wren-sun', false)

const piece = computed(() => (card.value ? (bench.pieceOf(card.value.mark)?.piece ?? null) : null))
const place = computed(() => {
  const now = card.value
  const boards = run.value?.boards
  const here = now && boards?.[now.board]
  if (!here) return ''
  const own = boards.flatMap(({ section }, i) => (section === here.section ? [i] : []))
  return `board ${own.indexOf(now.board) + 1} of ${own.length}`
})
const finished = computed(() => total.value > 0 && made.value === total.value)
const mishap = (what: Mishap): void => {
  const section = run.value?.boards[what.board]?.section
  if (section) void acts.again(section, what)
}
/** How many of the mark are sawn, of how many. */
const ofMark = computed(() => {
  const mark = card.value?.mark
  if (!mark || !run.value) return ''
  const count = cards.value.filter(each => each.mark === mark).reduce((sum, each) => sum + each.count, 0)
  return `${mark}: ${sawnOf(run.value).get(mark) ?? 0} of ${count}`
})

const going = (): boolean => card.value !== null || sheet.value !== null
/** Which sheet it is of how many of its section. */
const sheetPlace = computed(() => {
  const own = sheets.value.flatMap(({ section }, i) => (section === sheet.value?.section ? [i] : []))
  return `sheet ${own.indexOf(sheetAt.value) + 1} of ${own.length}`
})
const commands: Command[] = [
  { id: 'next', label: 'Next card', keys: 'J', may: going, run: () => acts.step(1) },
  { id: 'right', label: 'Next card', keys: 'ArrowRight', may: going, run: () => acts.step(1) },
  { id: 'previous', label: 'Previous card', keys: 'K', may: going, run: () => acts.step(-1) },
  { id: 'left', label: 'Previous card', keys: 'ArrowLeft', may: going, run: () => acts.step(-1) },
  { id: 'tick', label: 'Tick a cut', keys: 'X', may: going, run: acts.tick },
  { id: 'undo', label: 'Undo', keys: 'Ctrl+Z', may: going, run: acts.undo },
]
useKeys(commands)
</script>

<template>
  <main v-if="bench.state === 'open'" class="at-saw" :class="{ sun }">
    <header>
      <NuxtLink :to="`/design/${id}/saw`" class="back"
        ><i class="pi pi-arrow-left" aria-hidden="true" /> Saw bench</NuxtLink
      >
      <div v-if="run" class="tally">
        <span class="figures" role="status">{{ made }} of {{ total }}</span>
        <SavingWords />
      </div>
      <Button
        icon="pi pi-undo"
        text
        aria-label="Undo the last cut"
        title="Undo (Ctrl+Z)"
        :disabled="!run?.log.length || working"
        @click="acts.undo"
      />
      <Button
        icon="pi pi-sun"
        text
        aria-label="Black on white, for the sun"
        :aria-pressed="sun"
        @click="sun = !sun"
      />
    </header>
    <h1 class="visually-hidden">At the saw: {{ bench.saved?.name }}</h1>
    <SawTrouble class="note" />
    <p v-if="working" class="note" role="status">Planning the rest …</p>
    <p v-else-if="told" class="note" role="status">{{ told }}</p>
    <div v-if="run && stale.length" class="note" role="alert">
      <p>The design was changed since this was begun. What is sawn and still fits is kept.</p>
      <Button label="Plan the rest again" :disabled="working" @click="acts.allAgain" />
    </div>
    <section v-if="!run" class="begin">
      <template v-if="saw.plan && saw.planState === 'done'">
        <h2>{{ bench.saved?.name }}</h2>
        <p>
          <b>{{ sayProof(saw.plan) }}</b>: {{ saw.plan.boards }} boards. Lay them by the saw, longest first.
        </p>
        <Button label="Begin" icon="pi pi-play" :disabled="saw.plan.boards === 0" @click="acts.begin" />
      </template>
      <template v-else-if="saw.planState === 'failed'">
        <p>The plan could not be made on this machine.</p>
        <Button label="Try again" @click="saw.make" />
      </template>
      <p v-else role="status">Planning …</p>
    </section>
    <section v-else-if="finished" class="begin">
      <h2>All {{ total }} cuts are made.</h2>
      <div class="acts">
        <Button label="Look through them" outlined @click="at = 0" />
        <Button label="Begin again" outlined :disabled="saw.planState !== 'done'" @click="acts.begin" />
      </div>
    </section>
    <template v-if="sheet">
      <SheetNow :sheet="sheet" :place="sheetPlace" :working="working" @tick="acts.tick" @step="acts.step" />
      <p class="caution">
        Mark all lines on the whole sheet first. Lay it on battens, the cut between them, and clamp the
        straightedge. Guard, glasses, hands clear: the saw is yours.
      </p>
    </template>
    <template v-if="card && board">
      <p v-if="cards.length" class="of figures">{{ ofMark }}</p>
      <CutNow
        :card="card"
        :board="board"
        :piece="piece"
        :place="place"
        :working="working"
        @tick="acts.tick"
        @step="acts.step"
        @mishap="mishap"
      />
      <p class="caution">
        Check the first of each cut on the building before you saw the rest. Guard, glasses, hands clear: the
        saw is yours.
      </p>
    </template>
    <LeavingDialog
      v-if="leaving.asking.value"
      :refused="leaving.refused.value"
      @reply="leaving.reply"
      @export="saveDesign"
    />
  </main>
  <BenchWait v-else />
</template>

<style scoped>
.at-saw {
  min-height: 100dvh;
  display: flex;
  flex-direction: column;
  background: var(--sheet);
  max-width: 900px;
  margin-inline: auto;
}
header {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 4px 12px;
  border-bottom: 1px solid var(--line);
  background: var(--paper);
}
.tally {
  margin-left: auto;
  display: grid;
  justify-items: end;
  text-align: right;
  white-space: nowrap;
}
header .figures {
  font-size: 1.25rem;
  line-height: 1.2;
  font-weight: 700;
}
header :deep(.p-button) {
  min-width: 48px;
  min-height: 48px;
}
.back {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 48px;
  color: var(--ink);
}
.note {
  margin: 8px 12px 0;
  padding: 8px 12px;
  border-left: 6px solid var(--sawdust);
  background: var(--dust);
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
.begin {
  padding: 20px;
  display: grid;
  gap: 16px;
  justify-items: start;
}
.begin :deep(.p-button) {
  min-height: 64px;
  font-size: 1.25rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.of {
  padding: 8px 20px 0;
  color: var(--soft);
}
.caution {
  padding: 4px 16px 12px;
  font-size: 0.85rem;
  color: var(--soft);
}
.sun {
  --paper: #fff;
  --sheet: #fff;
  --ink: #000;
  --soft: #000;
  --line: #000;
  --chalk: #000;
  --chalk-words: #000;
  --crayon: #000;
  --crayon-words: #000;
  --moss: #777;
  --moss-words: #000;
  --pine: #fff;
  --sawdust: #000;
  --dust: #fff;
  --wash: #fff;
  color: #000;
  color-scheme: light;
}
.sun :deep(.p-button) {
  background: #000;
  border-color: #000;
  color: #fff;
}
.sun :deep(.p-button-outlined),
.sun :deep(.p-button-text) {
  background: #fff;
  color: #000;
}
@media (max-width: 480px) {
  header {
    gap: 4px;
  }
  header .figures {
    font-size: 1.1rem;
  }
  .of {
    padding-inline: 12px;
  }
}
</style>
