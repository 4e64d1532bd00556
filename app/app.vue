<script setup lang="ts">
useDusk()
</script>

<template>
  <div>
    <NuxtPage />
    <VersionNote />
    <Toast position="bottom-center" group="undo">
      <template #message="{ message }">
        <UndoNote :message="message" />
      </template>
    </Toast>
  </div>
</template>
