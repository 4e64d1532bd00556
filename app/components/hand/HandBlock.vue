<script setup lang="ts">
import type { Block } from '../../hand/row'

/** What a part of the building has besides fields. */
defineProps<{ block: Block }>()
</script>

<template>
  <HandShape v-if="block === 'shape'" />
  <LazyHandStakes v-else-if="block === 'stakes'" />
  <LazyHandSupports v-else-if="block === 'supports'" />
  <LazyHandUnits v-else-if="block === 'units'" />
  <LazyHandSizes v-else-if="block === 'sizes'" />
  <LazyHandCuts v-else-if="block === 'wall-cuts'" of="walls" />
  <LazyHandCuts v-else-if="block === 'deck-cuts'" of="floor" />
  <LazyHandRaise v-else-if="block === 'raise'" />
</template>
