<script setup lang="ts">
import type { NestBoard } from '../../core/nest'
import { cutAskOf } from '../../core/plan'
import { sayLength, saySection } from '../../core/words'
import { sayProof, toBuy } from '../logic/nest-work'

/** What is cut from which board, section by section, and how many of each length to buy. */
const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const aim = usePlace<'boards' | 'waste'>('cut-aim', 'boards')
const aims = [
  { value: 'boards', label: 'Fewest boards' },
  { value: 'waste', label: 'Least length' },
]
/** What a saw takes: 1/8 in, 3 mm (common practice, no source). */
const kerf = computed(() => (units.value === 'imperial' ? 25.4 / 8 : 3))
const { plan, state, section, stop, again } = useNest(() =>
  bench.whole ? cutAskOf(bench.whole, aim.value, kerf.value) : null,
)
const length = (mm: number): string => sayLength(mm, units.value)
const pieces = computed(() =>
  bench.whole
    ? [bench.whole.main, ...bench.whole.parts.map(part => part.plan)].flatMap(each => each.pieces)
    : [],
)
const named = computed(
  () => new Map(pieces.value.map(piece => [piece.section.name, saySection(piece.section, units.value)])),
)
const groups = computed(() => {
  const made = plan.value
  if (!made) return []
  return [...new Set(made.plans.map(board => board.section))].map(name => ({
    name,
    label: named.value.get(name) ?? name,
    buy: toBuy(made, name),
    boards: made.plans.filter(board => board.section === name),
  }))
})
/** The longest board that is drawn: others are as much shorter. */
const longest = computed(() => Math.max(1, ...(plan.value?.plans.map(({ stock }) => stock) ?? [])))
const share = (mm: number, of: number): string => `${((100 * mm) / of).toFixed(3)}%`
const inHand = computed(() => bench.piece?.mark ?? '')

function take(mark: string): void {
  const plans = bench.whole ? [bench.whole.main, ...bench.whole.parts.map(part => part.plan)] : []
  const at = plans.findIndex(plan => plan.pieces.some(each => each.mark === mark))
  if (at < 0) return
  // the part that it is of comes onto the bench
  bench.goToPart(at ? at - 1 : null)
  const piece = bench.plan?.pieces.find(each => each.mark === mark)
  if (piece) bench.takeUp(piece)
}
const says = (board: NestBoard): string =>
  `${board.count} of ${length(board.stock)}: ${board.cuts.map(cut => `${cut.mark} ${length(cut.length)}`).join(', ')}; ${length(board.left)} left`
</script>

<template>
  <div class="boards">
    <p class="state" role="status">
      <ChoiceField v-model="aim" label="Aim" :options="aims" />
      <template v-if="state === 'working'">
        <span>Planning{{ section ? ` ${section}` : '' }} …</span>
        <Button label="Stop" outlined @click="stop" />
      </template>
      <template v-else-if="state === 'failed'">
        <span>The plan could not be made on this machine.</span>
        <Button label="Try again" outlined @click="again" />
      </template>
      <template v-else-if="state === 'stopped'">
        <span>Stopped.</span>
        <Button label="Go on" outlined @click="again" />
      </template>
      <template v-else-if="plan">
        <b>{{ sayProof(plan) }}</b>
        <span class="figures">{{ plan.boards }} boards, {{ (plan.waste * 100).toFixed(1) }} % over</span>
        <span class="figures">saw {{ length(kerf) }}</span>
      </template>
    </p>
    <p v-if="plan?.unplaced.length" class="wrong">
      No board sold is long enough for {{ plan.unplaced.map(({ mark }) => mark).join(', ') }}. Splice it, or
      ask the yard for a longer one.
    </p>
    <section v-for="group in groups" :key="group.name" :aria-label="group.label">
      <h2>
        {{ group.label }}
        <span class="figures">{{
          group.buy.map(({ length: mm, count }) => `${count} × ${length(mm)}`).join(', ')
        }}</span>
      </h2>
      <ul>
        <li v-for="(board, i) in group.boards" :key="i">
          <span class="count figures">{{ board.count }} × {{ length(board.stock) }}</span>
          <div class="cut-board">
            <div
              class="bar"
              :style="{ width: share(board.stock, longest) }"
              role="img"
              :aria-label="says(board)"
            >
              <i
                v-for="(cut, k) in board.cuts"
                :key="k"
                :class="{ hand: cut.mark === inHand }"
                :style="{ left: share(cut.from, board.stock), width: share(cut.length, board.stock) }"
              />
            </div>
            <div class="cuts">
              <button
                v-for="(cut, k) in board.cuts"
                :key="k"
                type="button"
                class="cut figures"
                :class="{ hand: cut.mark === inHand }"
                @click="take(cut.mark)"
              >
                <b>{{ cut.mark }}</b> {{ length(cut.length) }}
              </button>
              <span class="over figures">{{ length(board.left) }} left</span>
            </div>
          </div>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.state {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin: 12px 0;
  min-height: 40px;
}
.wrong {
  color: var(--crayon-words);
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
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 8.5rem minmax(0, 1fr);
  gap: 4px 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
@container (max-width: 560px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
.bar {
  position: relative;
  height: 20px;
  border: 1px solid var(--ink);
  background: repeating-linear-gradient(135deg, var(--sheet) 0 5px, var(--line) 5px 6px);
}
.bar i {
  position: absolute;
  inset-block: 0;
  background: var(--pine);
  border-right: 1px solid var(--ink);
}
.bar i.hand {
  background: var(--crayon);
}
.cuts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  margin-top: 4px;
}
.cut {
  font-size: 0.95rem;
  min-height: var(--target);
  padding: 0 8px;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 3px;
  cursor: pointer;
}
.cut.hand {
  border: 2px solid var(--crayon);
}
.over {
  color: var(--soft);
  margin-left: 4px;
}
</style>
