<script setup lang="ts">
const bench = useBench()
const parts = [
  { value: 'place', label: 'Place' },
  { value: 'square', label: 'Square' },
  { value: 'levels', label: 'Levels' },
  { value: 'base', label: 'Base' },
]
const part = useSessionStorage('early-wren-ground', 'place')
const below = useBelow()
const known = computed(() => part.value === 'base' || bench.design?.site !== null)
</script>

<template>
  <div v-if="bench.design" class="workbench">
    <div class="strip">
      <ViewSwitch drawing="Plan" />
      <SelectButton
        v-model="part"
        :options="parts"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Step on the ground"
      />
      <div id="ground-strip" class="more" />
    </div>
    <ProblemLine />
    <div v-if="!known" class="none">
      <p>
        Nothing is known of the ground yet. Measure the building off a house, a fence or a line, then square
        its stakes and take levels.
      </p>
      <Button label="Set out the site" @click="below.setOutSite()" />
    </div>
    <SitePlace v-else-if="part === 'place'" />
    <LazySquareStakes v-else-if="part === 'square'" />
    <GroundLevels v-else-if="part === 'levels'" />
    <BaseFrame v-else />
  </div>
</template>

<style scoped>
.none {
  margin: auto;
  display: grid;
  gap: 16px;
  justify-items: center;
  padding: 24px;
  text-align: center;
  max-width: 36rem;
}
.more {
  display: contents;
}
@media (max-width: 720px) {
  .more > * {
    flex: none;
  }
}
</style>
