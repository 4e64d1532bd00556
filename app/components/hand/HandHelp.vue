<script setup lang="ts">
import { explainField } from '../../../core/words'
import { sketchesOf } from '../../hand/sketches'

/** What a field means, when it is asked: a sentence, and its choices drawn where words are not enough. */
const props = defineProps<{ path: string; name: string }>()
const open = ref(false)
const meaning = computed(() => explainField(props.path))
const sketches = computed(() => sketchesOf(props.path))
const id = useId()
</script>

<template>
  <button
    v-if="meaning"
    type="button"
    class="ask"
    :aria-label="`What is meant by ${name}`"
    :aria-expanded="open"
    :aria-controls="open ? id : undefined"
    @click="open = !open"
  >
    ?
  </button>
  <div v-if="meaning && open" :id="id" class="meaning">
    <p>{{ meaning }}</p>
    <ul v-if="sketches.length">
      <li v-for="each in sketches" :key="each.name">
        <svg width="96" height="60" aria-hidden="true">
          <path v-for="d in each.other" :key="d" class="other" :d="d" />
          <path v-for="d in each.wood" :key="d" class="wood" :d="d" />
          <path v-for="d in each.mark" :key="d" class="mark" :d="d" />
        </svg>
        <span>{{ each.name }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.ask {
  width: var(--target);
  min-height: var(--target);
  border: 0;
  background: none;
  color: var(--chalk-words);
  font: 700 1rem var(--text);
  cursor: pointer;
}
.ask[aria-expanded='true'] {
  box-shadow: inset 0 -3px 0 var(--crayon);
}
.meaning {
  grid-column: 1 / -1;
  border-left: 4px solid var(--chalk);
  padding: 4px 0 6px 10px;
  font-size: 0.95rem;
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
li {
  display: grid;
  grid-template-columns: 96px 1fr;
  gap: 10px;
  align-items: center;
}
path {
  stroke: var(--ink);
  stroke-width: 1.2;
}
.wood {
  fill: var(--pine);
}
.other {
  fill: var(--grain);
}
.mark {
  fill: none;
  stroke: var(--crayon);
  stroke-width: 2.2;
}
</style>
