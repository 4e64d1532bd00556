<script setup lang="ts">
import { saySubject } from '../../../core/words'
import { offersOf } from '../../hand/offers'
import { type Bench } from '../../logic/benches'

/** Where the hand is, the parts of the bench, and what can be added to them. */
const props = defineProps<{ at: Bench }>()
const bench = useBench()
const say = (of: (typeof bench.subjects)[number]): string =>
  bench.design ? saySubject(bench.design, of) : ''
const keys = computed(() => new Set(bench.line.map(({ key }) => key)))
const within = (key: string) => bench.subjects.filter(each => each.within === key)
/** The parts of the bench that what is in hand belongs to, or of the building where that is none. */
const root = computed(() =>
  props.at === 'saw' ? 'building' : bench.subject ? (bench.subject.bench ?? 'building') : props.at,
)
const parts = computed(() => within(root.value))
const inner = computed(() =>
  parts.value.filter(({ key }) => keys.value.has(key)).flatMap(({ key }) => within(key)),
)
const crumbs = computed(() => bench.line)
const held = computed(() => bench.subject ?? bench.line.at(-1) ?? null)
const offers = computed(() => {
  const of =
    held.value?.bench === root.value ? held.value : bench.subjects.find(({ key }) => key === root.value)
  return bench.plan && of ? offersOf(bench.plan, of) : []
})
const adding = ref<string | null>(null)
function add(name: string): void {
  const offer = offers.value.find(each => each.name === name)
  if (offer) {
    if (offer.part === undefined) bench.edit(offer.change)
    else {
      bench.editWhole(offer.change)
      bench.goToPart(offer.part)
    }
    bench.touch({ subject: offer.then })
    bench.seek(offer.then)
  }
  void nextTick(() => {
    adding.value = null
  })
}
/** Letters that stand in the list before it is opened. */
const ROOM = 24
/** What can be added, the first few by name. */
const few = computed(() => {
  const names = offers.value.map(({ name }) => name.toLowerCase())
  const two = names.slice(0, 2).join(', ')
  return `Add: ${two.length > ROOM ? names[0] : two}${names.length > 2 ? ' …' : ''}`
})
</script>

<template>
  <nav class="tree no-print" aria-label="Parts of the building">
    <p class="crumb">
      <template v-for="(each, i) in crumbs" :key="each.key">
        <button
          v-if="bench.subject?.key !== each.key"
          type="button"
          class="step"
          @click="bench.seek(each.key)"
        >
          {{ say(each) }}
        </button>
        <b v-else aria-current="true">{{ say(each) }}</b>
        <span v-if="i < crumbs.length - 1 || !bench.subject" aria-hidden="true">›</span>
      </template>
      <b v-if="!bench.subject && bench.piece" aria-current="true">{{ bench.piece.mark }}</b>
    </p>
    <ul v-if="bench.subject" class="parts">
      <li v-for="each in [...parts, ...inner]" :key="each.key">
        <button
          type="button"
          class="part"
          :class="{ here: keys.has(each.key) }"
          :aria-current="bench.subject?.key === each.key ? 'true' : undefined"
          @click="bench.seek(each.key)"
        >
          {{ say(each) }}
        </button>
      </li>
    </ul>
    <Select
      v-if="bench.subject && offers.length"
      v-model="adding"
      class="add"
      :options="offers"
      option-value="name"
      option-label="name"
      :placeholder="few"
      aria-label="Add"
      scroll-height="420px"
      @update:model-value="add"
    />
  </nav>
</template>

<style scoped>
.tree {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  padding: 4px 12px 8px;
  border-bottom: 1px solid var(--line);
  background: var(--paper);
}
.crumb {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 6px;
  min-height: var(--target);
}
.step {
  min-height: var(--target);
  padding: 0 4px;
  border: 0;
  background: none;
  color: var(--chalk-words);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  list-style: none;
  margin: 0;
  padding: 0;
}
.part {
  min-height: var(--target);
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 3px;
  background: var(--sheet);
  color: var(--ink);
  cursor: pointer;
  max-width: 14rem;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.part.here {
  border-color: var(--crayon);
  box-shadow: inset 0 -3px 0 var(--crayon);
}
.add {
  width: 100%;
}
</style>
