<script setup lang="ts">
import type { Bench } from '../../logic/benches'

/** What is in hand: a board's cut card, or a part of the building. */
defineProps<{ at: Bench }>()
const bench = useBench()
const box = useTemplateRef<HTMLElement>('box')

/** What is taken up from a drawing is read where it opens, unless the focus has gone elsewhere by then. */
watch(
  () => bench.touched,
  async () => {
    const before = document.activeElement
    // a list that was chosen from takes the focus back first
    await new Promise(resolve => setTimeout(resolve, 60))
    const now = document.activeElement
    if (now && now !== before && now !== document.body && !now.matches('[role=combobox]')) return
    box.value?.scrollTo({ top: 0 })
    box.value?.querySelector<HTMLElement>('h2')?.focus({ preventScroll: true })
  },
)
</script>

<template>
  <div ref="box" class="hand" role="region" aria-label="In hand" tabindex="0">
    <HandTree :at="at" />
    <HandSubject v-if="bench.subject" :key="bench.subject.key" :subject="bench.subject" />
    <CutCard v-else />
  </div>
</template>

<style scoped>
.hand {
  height: 100%;
  overflow: auto;
  min-width: 0;
  container-type: inline-size;
}
@media print {
  .hand {
    height: auto;
    overflow: visible;
    container-type: normal;
  }
}
</style>
