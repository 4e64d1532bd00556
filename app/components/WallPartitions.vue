<script setup lang="ts">
/** The partitions, each with what can be typed over. */
const bench = useBench()
const partitions = usePartitions()
const list = computed(() => bench.design?.walls.partitions ?? [])
const ways = [
  { value: 'width', label: 'Across' },
  { value: 'length', label: 'Along' },
]
</script>

<template>
  <div v-if="list.length" class="field-rows">
    <section v-for="(each, i) in list" :key="i" class="field-row" :aria-label="`Partition ${i + 1}`">
      <b>Partition {{ i + 1 }}</b>
      <ChoiceField
        :model-value="each.runs"
        label="Runs"
        :options="ways"
        @update:model-value="partitions.turn(i, $event === 'length' ? 'length' : 'width')"
      />
      <MeasureField :path="`walls.partitions.${i}.at`" :value="each.at" />
      <Button
        icon="pi pi-times"
        text
        severity="secondary"
        :aria-label="`Take partition ${i + 1} away`"
        @click="partitions.drop(i)"
      />
    </section>
  </div>
</template>

<style scoped>
.field-rows {
  max-height: 5.7rem;
  overflow: auto;
}
</style>
