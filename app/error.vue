<script setup lang="ts">
defineProps<{ error: { statusCode?: number; message?: string } }>()
const home = (): void => {
  void clearError({ redirect: '/' })
}
</script>

<template>
  <main class="lost">
    <h1>{{ error.statusCode === 404 ? 'There is no such page' : 'Something gave way' }}</h1>
    <p>Your designs are saved in this browser. Go back to the shelf and open one again.</p>
    <Button label="To the shelf" @click="home" />
  </main>
</template>

<style scoped>
.lost {
  max-width: 34rem;
  margin: 18vh auto 0;
  padding: 0 24px;
  display: grid;
  gap: 16px;
  justify-items: start;
}
</style>
