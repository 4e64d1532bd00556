<script setup lang="ts">
defineProps<{ message: { summary?: string; detail?: { act?: string; run?: () => void } } }>()
</script>

<template>
  <div class="note">
    <span>{{ message.summary }}</span>
    <Button
      v-if="message.detail?.run"
      :label="message.detail.act"
      size="small"
      text
      @click="message.detail.run()"
    />
  </div>
</template>

<style scoped>
.note {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  flex: 1;
}
</style>
