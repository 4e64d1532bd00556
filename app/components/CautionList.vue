<script setup lang="ts">
import { sayCaution, sayProblem } from '../../core/words'

const bench = useBench()
const open = ref(false)
const units = computed(() => bench.design?.units ?? 'imperial')
const problems = computed(() => bench.plan?.frame.problems ?? [])
const count = computed(() => problems.value.length + bench.cautions.length)

function show(member: string | undefined): void {
  if (member) bench.hand = member
  open.value = false
}
</script>

<template>
  <div v-if="bench.plan">
    <button type="button" class="cautions" :class="{ stop: problems.length, calm: !count }" :aria-expanded="open" aria-haspopup="dialog" @click="open = true">
      <i class="pi pi-exclamation-triangle" aria-hidden="true" /> {{ count }} {{ count === 1 ? 'caution' : 'cautions' }}
    </button>
    <Dialog v-model:visible="open" modal header="Cautions" :style="{ width: 'min(42rem, 94vw)' }" dismissable-mask>
      <ul class="list">
        <li v-for="(problem, i) in problems" :key="`p${i}`" class="problem">{{ sayProblem(problem, units) }}</li>
        <li v-for="caution in bench.cautions" :key="caution.code + caution.members[0]">
          <span>{{ sayCaution(caution, units) }}</span>
          <Button v-if="caution.members.length" size="small" text label="Show the piece" @click="show(caution.members[0])" />
        </li>
        <li v-if="!count">No customary limit is passed. That is not a proof that it holds.</li>
      </ul>
      <p class="quiet">These are customary limits, not a proof that anything holds. Local code and the people licensed for it decide.</p>
    </Dialog>
  </div>
</template>

<style scoped>
.cautions { min-height: var(--target); padding: 0 12px; border: 1px solid var(--sawdust); background: var(--dust); color: var(--ink); cursor: pointer; white-space: nowrap; display: flex; gap: 8px; align-items: center; border-radius: 3px; }
.cautions.stop { border-color: var(--crayon); background: var(--wash); }
.cautions.calm { border-color: var(--line); background: none; }
.list { list-style: none; margin: 0 0 16px; padding: 0; display: grid; gap: 10px; }
.list li { border-left: 4px solid var(--sawdust); padding: 4px 0 4px 12px; display: flex; justify-content: space-between; gap: 12px; align-items: center; }
.list li.problem { border-left-color: var(--crayon); background: var(--wash); }
.list :deep(.p-button) { flex: none; }
</style>
