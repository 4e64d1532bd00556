<script setup lang="ts">
const bench = useBench()
const open = ref(false)
const asked = ref(false)
const problems = computed(() => bench.plan?.frame.problems ?? [])
const count = computed(() => problems.value.length + bench.cautions.length)
</script>

<template>
  <div v-if="bench.plan">
    <button
      type="button"
      class="cautions"
      :class="{ stop: problems.length, calm: !count }"
      :aria-expanded="open"
      aria-haspopup="dialog"
      @click="open = asked = true"
    >
      <i class="pi pi-exclamation-triangle" aria-hidden="true" /> {{ count }}
      {{ count === 1 ? 'caution' : 'cautions' }}
    </button>
    <LazyCautionDialog v-if="asked" v-model="open" />
  </div>
</template>

<style scoped>
.cautions {
  min-height: var(--target);
  padding: 0 12px;
  border: 1px solid var(--sawdust);
  background: var(--dust);
  color: var(--ink);
  cursor: pointer;
  white-space: nowrap;
  display: flex;
  gap: 8px;
  align-items: center;
  border-radius: 3px;
}
.cautions.stop {
  border-color: var(--crayon);
  background: var(--wash);
}
.cautions.calm {
  border-color: var(--line);
  background: none;
}
</style>
