<script setup lang="ts">
import { sayProblem } from '../../core/words'

const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const problems = computed(() => bench.plan?.frame.problems ?? [])
</script>

<template>
  <p v-for="problem in problems" :key="problem.code + problem.path" class="problem" role="alert">
    {{ sayProblem(problem, units) }}
  </p>
</template>

<style scoped>
.problem {
  margin: 8px 16px 0;
  padding: 8px 12px;
  border-left: 4px solid var(--crayon);
  background: var(--wash);
}
</style>
