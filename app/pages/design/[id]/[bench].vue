<script setup lang="ts">
import { designFile, fileName } from '../../../../core/output'
import { sayStoring } from '../../../logic/storage-words'
import { chosenBench, viewNames } from '../../../logic/benches'
import type { Command } from '../../../logic/commands'
import { nextNote } from '../../../logic/notes'
import { saveFile } from '../../../composables/useFiles'

definePageMeta({ key: route => `design-${String(route.params.id)}` })
const route = useRoute()
const router = useRouter()
const bench = useBench()
const saw = useSaw()
const id = computed(() => String(route.params.id))
const here = computed(() => chosenBench(String(route.params.bench)))
const narrow = useMediaQuery('(max-width: 900px)')
const side = ref<'sheet' | 'card'>('sheet')
const keysOpen = ref(false)
const notesAway = useLocalStorage<string[]>('early-wren-notes-away', [])
const notesLeft = computed(() => nextNote(notesAway.value) !== null)
/** Focus goes back to the drawing when the sheet of keys is closed. */
watch(keysOpen, async open => {
  if (open) return
  await nextTick()
  setTimeout(() => {
    if (document.activeElement === document.body) document.getElementById('sheet')?.focus()
  }, 250)
})
const find = ref('')
const searches = ref(0)

/** What was looked at and held before the page was loaded again in this tab. */
const view = usePlace<'drawing' | 'frame'>('view', 'drawing')
const hand = usePlace<string>('hand', '')
const held = usePlace<string>('held', '')
const part = usePlace<string>('part', '')
onMounted(async () => {
  const before = { hand: hand.value, held: held.value }
  useTyping().clear()
  await bench.open(id.value)
  void saw.open(id.value)
  if (part.value) bench.goToPart(Number(part.value))
  bench.pick(before.hand)
  if (before.held) bench.hold(before.held)
  else if (!before.hand && here.value !== 'saw') bench.hold(here.value)
  bench.view = view.value
  const { card } = route.query
  if (typeof card === 'string') openCard(card)
})
/** The card of a mark, as a label's code asks for it. */
function openCard(mark: string): void {
  if (bench.takeMark(mark)) side.value = 'card'
  else if (bench.state === 'open')
    bench.notice = `There is no piece ${mark.slice(0, 20)} in this design any more.`
}
/** What is looked for is shown where it is drawn; what is touched stays where it is. */
watch(
  () => bench.sought,
  () => {
    const to = bench.subject?.bench
    if (to && to !== here.value && here.value !== 'saw') go(to)
  },
)
watch(here, to => {
  if (to === 'saw') {
    if (bench.subject && bench.piece) bench.takeUp(bench.piece)
  } else if (bench.subject ? bench.subject.bench !== null && bench.subject.bench !== to : !bench.hand)
    bench.hold(to)
})
/** On a phone what is touched opens in the hand. */
watch(
  () => bench.touched,
  () => {
    side.value = 'card'
  },
)
watch(
  () => [bench.hand, bench.held, bench.view, bench.part] as const,
  ([member, subject, shown, at]) => {
    if (bench.state !== 'open') return
    part.value = at === null ? '' : String(at)
    hand.value = member ?? ''
    held.value = subject ?? ''
    view.value = shown
  },
)
onBeforeUnmount(() => {
  bench.close()
  saw.close()
})
const shelf = useShelf()
const leaving = useLeaving()
/** What must be said of saving: nothing while it goes well. */
const storing = computed(() => sayStoring(bench.storing))
useHead({
  title: () => (bench.design ? `${bench.saved?.name ?? bench.design.name} · Early Wren` : 'Early Wren'),
})

const go = (to: string): void => void router.push(`/design/${id.value}/${to}`)
async function findPiece(): Promise<void> {
  if (here.value !== 'saw') await router.push(`/design/${id.value}/saw`)
  side.value = 'sheet'
  bench.view = 'drawing'
  searches.value++
}

/** Makes room in a full storage, and saves again what waited. */
async function makeRoom(): Promise<void> {
  if (await shelf.free()) bench.retry()
}

function saveDesign(): void {
  if (bench.saved) saveFile(fileName(bench.saved.name, 'json'), designFile(bench.saved), 'application/json')
}

const open = (): boolean => bench.design !== null
async function toHand(): Promise<void> {
  side.value = 'card'
  await nextTick()
  document.querySelector<HTMLElement>('.room-card h2')?.focus()
}
async function toDrawing(): Promise<void> {
  side.value = 'sheet'
  await nextTick()
  ;(
    document.querySelector<HTMLElement>('#sheet svg.picture, #sheet canvas') ??
    document.getElementById('sheet')
  )?.focus()
}
const commands: Command[] = [
  { id: 'roof', label: 'Roof bench', keys: 'R', may: () => true, run: () => go('roof') },
  { id: 'walls', label: 'Walls bench', keys: 'W', may: () => true, run: () => go('walls') },
  { id: 'floor', label: 'Floor bench', keys: 'F', may: () => true, run: () => go('floor') },
  { id: 'ground', label: 'Ground bench', keys: 'G', may: () => true, run: () => go('ground') },
  { id: 'saw', label: 'Saw bench', keys: 'S', may: () => true, run: () => go('saw') },
  { id: 'units', label: 'Change units', keys: 'U', may: open, run: bench.toggleUnits },
  {
    id: 'view',
    label: 'Frame in 3D, or the drawing again',
    keys: '3',
    may: open,
    run: () => {
      bench.view = bench.view === 'frame' ? 'drawing' : 'frame'
    },
  },
  {
    id: 'out',
    label: 'Out of what is in hand, to what it is part of',
    keys: 'Escape',
    may: open,
    run: () => {
      if (!bench.stepOut()) document.getElementById('sheet')?.focus()
    },
  },
  { id: 'hand', label: 'To what is in hand', keys: 'H', may: open, run: toHand },
  { id: 'drawing', label: 'To the drawing', keys: 'D', may: open, run: toDrawing },
  { id: 'next', label: 'Next card', keys: 'J', may: open, run: () => bench.nextPiece(1) },
  { id: 'previous', label: 'Previous card', keys: 'K', may: open, run: () => bench.nextPiece(-1) },
  {
    id: 'tick',
    label: 'Tick the piece in hand as cut',
    keys: 'X',
    may: () => bench.piece !== null,
    run: () => {
      if (bench.piece) bench.tick(bench.piece)
    },
  },
  { id: 'find', label: 'Find a piece by its mark', keys: '/', may: open, run: () => void findPiece() },
  { id: 'undo', label: 'Undo', keys: 'Ctrl+Z', may: () => bench.canUndo, run: bench.undo },
  { id: 'redo', label: 'Redo', keys: 'Ctrl+Shift+Z', may: () => bench.canRedo, run: bench.redo },
  {
    id: 'keys',
    label: 'This sheet',
    keys: '?',
    may: () => true,
    run: () => {
      keysOpen.value = true
    },
  },
]
useKeys(commands)
</script>

<template>
  <div v-if="bench.state === 'open'" class="room">
    <a href="#sheet" class="skip">To the drawing</a>
    <StoryPole class="room-pole no-print" :id="id" :bench="here" />
    <TopLine class="room-top no-print" @keys="keysOpen = true" @export="saveDesign" />
    <div v-if="storing" class="room-notice" role="alert">
      <span>{{ storing }}</span>
      <Button text size="small" label="Save as a file" @click="saveDesign" />
      <Button v-if="bench.storing === 'full'" text size="small" label="Make room" @click="makeRoom" />
      <Button
        v-if="bench.storing === 'gone' || bench.storing === 'taken-off'"
        text
        size="small"
        label="Put it back"
        @click="bench.putBack()"
      />
      <Button v-else text size="small" label="Try again" @click="bench.retry()" />
    </div>
    <div v-else-if="bench.notice" class="room-notice" role="status">
      <span>{{ bench.notice }}</span>
      <Button text size="small" label="OK" @click="bench.notice = ''" />
    </div>
    <main class="room-main">
      <div id="sheet" class="room-sheet" :class="{ away: narrow && side === 'card' }" tabindex="-1">
        <LazyFrameModel v-if="bench.view === 'frame'" :drawing="viewNames[here]" />
        <RoofBench v-else-if="here === 'roof'" />
        <LazyWallsBench v-else-if="here === 'walls'" />
        <LazyFloorBench v-else-if="here === 'floor'" />
        <LazyGroundBench v-else-if="here === 'ground'" />
        <LazySawBench v-else v-model:find="find" :narrow="narrow" :searches="searches" />
      </div>
      <div class="room-card" :class="{ away: narrow && side === 'sheet' }">
        <HandPanel :at="here" />
      </div>
    </main>
    <nav v-if="narrow" class="room-turn no-print" aria-label="Drawing or hand">
      <SelectButton
        v-model="side"
        :options="[
          { value: 'sheet', label: here === 'saw' ? 'Pieces' : 'Drawing' },
          { value: 'card', label: 'Hand' },
        ]"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Drawing or hand"
      />
    </nav>
    <LazyVisitNotes v-if="notesLeft" v-model="notesAway" />
    <LazyKeySheet v-if="keysOpen" v-model="keysOpen" :commands="commands" @notes="notesAway = []" />
    <LeavingDialog
      v-if="leaving.asking.value"
      :refused="leaving.refused.value"
      @reply="leaving.reply"
      @export="saveDesign"
    />
  </div>
  <BenchWait v-else />
</template>

<style scoped>
.room {
  display: grid;
  height: 100dvh;
  grid-template: 'pole top' auto 'pole notice' auto 'pole main' minmax(0, 1fr) / 132px minmax(0, 1fr);
}
.room-main {
  grid-area: main;
  display: grid;
  grid-template: minmax(0, 1fr) / minmax(0, 1fr) 400px;
  min-height: 0;
}
.room-pole {
  grid-area: pole;
  border-right: 1px solid var(--line);
}
.room-top {
  grid-area: top;
}
.room-notice {
  grid-area: notice;
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 6px 16px;
  background: var(--dust);
  border-bottom: 1px solid var(--sawdust);
}
.room-sheet {
  background: var(--sheet);
  min-width: 0;
  overflow: auto;
  outline: none;
}
.room-card {
  border-left: 1px solid var(--line);
  overflow: hidden;
  min-width: 0;
}
@media (max-width: 1100px) {
  .room-main {
    grid-template-columns: minmax(0, 1fr) 340px;
  }
}
@media (max-width: 900px) {
  .room {
    grid-template: 'top' auto 'notice' auto 'turn' auto 'main' minmax(0, 1fr) 'pole' auto / minmax(0, 1fr);
  }
  .room-main {
    grid-template-columns: minmax(0, 1fr);
  }
  .room-card {
    border: 0;
  }
  .room-turn {
    grid-area: turn;
    padding: 4px 8px;
    display: flex;
  }
  .room-turn :deep(.p-selectbutton) {
    width: 100%;
    display: flex;
  }
  .room-turn :deep(.p-togglebutton) {
    flex: 1;
    min-height: 44px;
  }
  .away {
    display: none;
  }
}
/* a window too low for a bench, as at twice the size: the page is scrolled, and the drawing keeps its height */
@media (max-height: 560px) {
  .room {
    height: auto;
    min-height: 100dvh;
    grid-template-rows: auto auto auto auto auto;
  }
  .room-sheet,
  .room-card {
    min-height: 420px;
  }
}
@media print {
  .room,
  .room-main {
    display: block;
    height: auto;
    min-height: 0;
  }
  .room-sheet,
  .room-notice {
    display: none;
  }
  .room-card,
  .room-card.away {
    display: block;
    overflow: visible;
    border: 0;
    height: auto;
    min-height: 0;
  }
}
</style>
