<script setup lang="ts">
import type { ExplainedRow } from '../logic/card-rows'

defineProps<{ rows: readonly ExplainedRow[]; columns?: 1 | 2 }>()
const open = ref<string | null>(null)
</script>

<template>
  <div class="rows" :class="{ two: columns === 2 }">
    <button
      v-for="row in rows"
      :key="row.key"
      type="button"
      class="row"
      :class="{ open: open === row.key }"
      :aria-expanded="open === row.key"
      :data-figure="row.key"
      @click="open = open === row.key ? null : row.key"
    >
      <span class="what">{{ row.name }}</span>
      <span class="value figures">{{ row.value }}</span>
      <span v-if="open === row.key" class="why">{{ row.why }}</span>
    </button>
  </div>
</template>

<style scoped>
.rows {
  display: grid;
  gap: 0 16px;
}
.two {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
}
.two .row {
  grid-template-columns: minmax(0, 1fr) auto;
}
.row {
  background: none;
  border: 0;
  border-bottom: 1px solid var(--line);
  padding: 5px 2px;
  min-height: var(--target);
  color: inherit;
  cursor: pointer;
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 8px;
  text-align: left;
  align-items: center;
}
.row:hover {
  background: var(--paper);
}
.row.open {
  grid-column: 1 / -1;
  background: var(--paper);
  border-bottom-color: var(--chalk);
}
.what {
  color: var(--soft);
  font-size: 0.9rem;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
.value {
  color: var(--ink);
  text-align: right;
}
.two .value {
  white-space: nowrap;
}
.why {
  grid-column: 1 / -1;
  font-size: 0.95rem;
  padding-bottom: 4px;
}
</style>
