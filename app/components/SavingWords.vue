<script setup lang="ts">
import { storingWords } from '../logic/storage-words'

/** Whether all that was done is saved, of the design and of what is at the saw. */
const saving = useSaving()
const troubled = computed(() => !['stored', 'storing', 'silent'].includes(saving.value))
</script>

<template>
  <span class="saving quiet" :class="{ troubled }" aria-label="Saving" role="group">{{
    storingWords[saving]
  }}</span>
</template>

<style scoped>
.saving {
  min-width: 4.4em;
  font-size: 0.85rem;
  white-space: nowrap;
}
.troubled {
  color: var(--crayon-words);
  font-weight: 700;
}
</style>
