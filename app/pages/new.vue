<script setup lang="ts">
import { type Starter, starters, type StarterSize } from '../../core/design'
import type { Units } from '../../core/measure'
import { newMemories, plansOf, whole as wholeOf, wholeTotals } from '../../core/plan'
import { sayProblem, sayWeight, starterWords } from '../../core/words'
import { buildingPicture } from '../logic/section-sketch'

/** What a new building is for: a whole one to begin from, in the size that is wanted. */
const shelf = useShelf()
const router = useRouter()
useHead({ title: 'New · Early Wren' })
onMounted(() => {
  if (shelf.state !== 'ready') void shelf.open()
})
const units = useLocalStorage<Units>('early-wren-units', 'imperial')
const chosen = shallowRef<Starter>(starters[0] as Starter)
/** What was typed of each, by its name and the units: nothing is lost by looking at another. */
const typed = ref<Record<string, Partial<StarterSize>>>({})
const place = computed(() => `${chosen.value.name} ${units.value}`)
const size = computed<StarterSize>(() => ({
  ...chosen.value.usual[units.value],
  ...typed.value[place.value],
}))
const words = (starter: Starter): string => starterWords[starter.name]?.name ?? starter.name
const memories = newMemories()
const whole = computed(() =>
  wholeOf(chosen.value.design(words(chosen.value), units.value, size.value), memories),
)
const problems = computed(() => plansOf(whole.value).flatMap(({ frame }) => frame.problems))
const totals = computed(() => wholeTotals(whole.value))
const WIDE = 150
const TALL = 104
const pictures = computed(() =>
  starters.map(starter => ({
    starter,
    paths: buildingPicture(starter.design('', units.value, starter.usual[units.value]), WIDE, TALL),
  })),
)
const fields = [
  { key: 'length', label: 'Length', what: 'Along the ridge, or the low wall; outside.' },
  { key: 'width', label: 'Width', what: 'Across it; outside.' },
  {
    key: 'height',
    label: 'Wall height',
    what: 'Floor to the top of the plates; of one slope, at the low wall.',
  },
] as const
function set(key: keyof StarterSize, value: number): void {
  typed.value = { ...typed.value, [place.value]: { ...typed.value[place.value], [key]: value } }
}
const asked = useTemplateRef<{ settle: () => boolean }[]>('asked')
const beginning = ref(false)
/** Nothing is begun in another size than is typed. */
async function begin(): Promise<void> {
  if (beginning.value || !asked.value?.every(each => each.settle())) return
  beginning.value = true
  const id = await shelf.begin(chosen.value.design(words(chosen.value), units.value, size.value))
  beginning.value = false
  if (id !== null) await router.push(`/design/${id}/roof`)
}
</script>

<template>
  <main class="new">
    <header class="head">
      <NuxtLink to="/"><i class="pi pi-arrow-left" aria-hidden="true" /> Shelf</NuxtLink>
      <h1>What is it for?</h1>
      <SelectButton
        v-model="units"
        :options="[
          { value: 'imperial', label: 'Feet and inches' },
          { value: 'metric', label: 'Millimetres' },
        ]"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Units"
      />
    </header>
    <ul class="kinds" aria-label="Buildings to begin from">
      <li v-for="{ starter, paths } in pictures" :key="starter.name">
        <button
          type="button"
          class="kind"
          :class="{ here: starter === chosen }"
          :aria-pressed="starter === chosen"
          @click="chosen = starter"
        >
          <svg :viewBox="`0 0 ${WIDE} ${TALL}`" :width="WIDE" :height="TALL" aria-hidden="true">
            <path v-for="(path, i) in paths" :key="i" :class="path.ink" :d="path.d" />
          </svg>
          <span>{{ words(starter) }}</span>
        </button>
      </li>
    </ul>
    <section class="sized" :aria-label="words(chosen)">
      <div class="asks">
        <h2>{{ words(chosen) }}</h2>
        <p>{{ starterWords[chosen.name]?.what }}</p>
        <SizeField
          v-for="{ key, label, what } in fields"
          :key="key"
          ref="asked"
          :label="label"
          :what="what"
          :value="size[key]"
          :units="units"
          :limit="{ min: chosen.least[key], max: chosen.most[key] }"
          @set="set(key, $event)"
        />
        <p v-for="problem in problems" :key="problem.code" class="fault" role="alert">
          {{ sayProblem(problem, units) }}
        </p>
        <p v-if="!problems.length" class="figures" aria-label="Tally">
          {{ totals.pieces }} pieces · {{ sayWeight(totals.weight, units) }}
        </p>
        <Button
          label="Begin"
          icon="pi pi-arrow-right"
          icon-pos="right"
          size="large"
          :loading="beginning"
          @click="begin"
        />
        <div v-if="shelf.trouble" class="fault" role="alert">
          <h2>{{ shelf.trouble.title }}</h2>
          <p>{{ shelf.trouble.sentence }}</p>
        </div>
      </div>
      <div class="model"><LazyStarterModel :whole="whole" :name="words(chosen)" /></div>
    </section>
  </main>
</template>

<style scoped>
.new {
  display: grid;
  grid-template: auto auto minmax(0, 1fr) / minmax(0, 1fr);
  height: 100dvh;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 24px;
  padding: 8px 20px;
}
.head a {
  color: var(--ink);
  text-decoration: none;
  min-height: var(--target);
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
h1 {
  flex: 1;
  font-size: 1.9rem;
}
.kinds {
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  gap: 8px;
  list-style: none;
  margin: 0;
  padding: 0 20px 12px;
  border-bottom: 10px solid var(--grain);
}
.kind {
  width: 100%;
  height: 100%;
  display: grid;
  grid-template-columns: 76px minmax(0, 1fr);
  align-items: center;
  justify-items: start;
  gap: 8px;
  padding: 4px 6px 6px;
  text-align: left;
  background: var(--sheet);
  border: 1px solid var(--line);
  color: var(--ink);
  font: 600 1.1rem var(--head);
  cursor: pointer;
}
.kind svg {
  width: 100%;
  height: auto;
}
.kind.here {
  border-color: var(--crayon);
  box-shadow: inset 0 -4px 0 var(--crayon);
}
.kind path {
  fill: var(--pine);
  stroke: var(--ink);
  stroke-width: 0.35;
}
.kind path.sheet {
  fill: var(--dust);
}
.kind path.concrete {
  fill: var(--line);
}
.sized {
  display: grid;
  grid-template-columns: 320px minmax(0, 1fr);
  min-height: 0;
}
.asks {
  display: grid;
  gap: 10px;
  align-content: start;
  padding: 14px 20px;
  overflow: auto;
}
.asks h2 {
  font-size: 1.6rem;
}
.model {
  background: var(--sheet);
  border-left: 1px solid var(--line);
  min-height: 0;
  overflow: hidden;
}
.fault {
  border-left: 4px solid var(--crayon);
  background: var(--wash);
  padding: 6px 10px;
}
@media (max-width: 1100px) {
  .kinds {
    grid-template-columns: repeat(4, minmax(0, 1fr));
  }
}
@media (max-width: 900px) {
  .kinds {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
@media (max-width: 900px), (max-height: 560px) {
  .new {
    height: auto;
    min-height: 100dvh;
    grid-template-rows: auto auto auto;
  }
  .sized {
    grid-template-columns: minmax(0, 1fr);
  }
  .model {
    height: 320px;
    border: 0;
  }
}
@media (max-width: 560px) {
  .kind {
    grid-template-columns: minmax(0, 1fr);
    justify-items: center;
    text-align: center;
  }
  .kinds {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    padding-inline: 8px;
  }
  .head {
    padding-inline: 8px;
  }
}
</style>
