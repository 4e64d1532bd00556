<script setup lang="ts">
import { sayCaution, sayProblem } from '../../core/words'

/** Every problem and caution in a sentence, each with the piece it is about. */
const bench = useBench()
const open = defineModel<boolean>({ required: true })
const units = computed(() => bench.design?.units ?? 'imperial')
const problems = computed(() => bench.plan?.frame.problems ?? [])
const count = computed(() => problems.value.length + bench.cautions.length)

function show(member: string | undefined): void {
  bench.pick(member)
  open.value = false
}
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    header="Cautions"
    :style="{ width: 'min(42rem, 94vw)' }"
    dismissable-mask
  >
    <ul class="list">
      <li v-for="(problem, i) in problems" :key="`p${i}`" class="problem">
        {{ sayProblem(problem, units) }}
      </li>
      <li v-for="(caution, i) in bench.cautions" :key="`c${i}${caution.code}`">
        <span>{{ sayCaution(caution, units) }}</span>
        <Button
          v-if="caution.members.length"
          size="small"
          text
          label="Show the piece"
          @click="show(caution.members[0])"
        />
      </li>
      <li v-if="!count">No customary limit is passed. That is not a proof that it holds.</li>
    </ul>
    <p class="quiet">
      These are customary limits, not a proof that anything holds. Local code and the people licensed for it
      decide.
    </p>
  </Dialog>
</template>

<style scoped>
.list {
  list-style: none;
  margin: 0 0 16px;
  padding: 0;
  display: grid;
  gap: 10px;
}
.list li {
  border-left: 4px solid var(--sawdust);
  padding: 4px 0 4px 12px;
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
}
.list li.problem {
  border-left-color: var(--crayon);
  background: var(--wash);
}
.list :deep(.p-button) {
  flex: none;
}
</style>
