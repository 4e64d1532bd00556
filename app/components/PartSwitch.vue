<script setup lang="ts">
/** The parts of the building, the main one first: the one on the bench is shown and changed. */
const bench = useBench()
const parts = computed(() => {
  const { whole } = bench
  if (!whole?.parts.length) return []
  return [
    { at: null, name: whole.design.name, faults: whole.main.frame.problems.length },
    ...whole.parts.map(({ plan }, at) => ({
      at,
      name: plan.design.name,
      faults: plan.frame.problems.length,
    })),
  ]
})
const said = ({ name, faults }: { name: string; faults: number }): string =>
  faults ? `${name}, ${faults} ${faults === 1 ? 'problem' : 'problems'}` : name
</script>

<template>
  <nav v-if="parts.length" class="parts" aria-label="Parts">
    <button
      v-for="each in parts"
      :key="each.at ?? 'main'"
      type="button"
      :class="{ here: each.at === bench.part, faulty: each.faults }"
      :aria-current="each.at === bench.part ? 'true' : undefined"
      :aria-label="said(each)"
      @click="bench.goToPart(each.at)"
    >
      {{ each.name }}<b v-if="each.faults" class="faults" aria-hidden="true">{{ each.faults }}</b>
    </button>
  </nav>
</template>

<style scoped>
.parts {
  display: flex;
  flex-wrap: wrap;
  flex: 1 1 100%;
  gap: 0 4px;
  order: 5;
}
button {
  min-height: var(--target);
  padding: 0 12px;
  background: none;
  color: var(--ink);
  border: 1px solid var(--line);
  font: 600 1.05rem var(--head);
  cursor: pointer;
  max-width: 18rem;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
button:hover {
  border-color: var(--ink);
}
.here {
  border-color: var(--crayon);
  box-shadow: inset 0 -3px 0 var(--crayon);
}
.faults {
  margin-left: 8px;
  padding: 0 7px;
  background: var(--crayon);
  color: var(--sheet);
  font: 13px var(--figures);
}
</style>
