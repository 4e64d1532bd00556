<script setup lang="ts">
/** What storage refuses of what is at the saw, and the way on; nothing while all goes well. */
const saw = useSaw()
const shelf = useShelf()
async function makeRoom(): Promise<void> {
  if (await shelf.free()) saw.retry()
}
</script>

<template>
  <div v-if="saw.trouble" class="saw-trouble" role="alert">
    <p>{{ saw.trouble }}</p>
    <Button v-if="saw.storing === 'full'" text label="Make room" @click="makeRoom" />
    <Button v-else-if="saw.storing !== 'stored'" text label="Try again" @click="saw.retry()" />
  </div>
</template>

<style scoped>
.saw-trouble {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
}
.saw-trouble p {
  flex: 1 1 16rem;
  margin: 0;
}
</style>
