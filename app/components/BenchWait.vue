<script setup lang="ts">
/** What stands in a design's place until it is there, and where it can't be. */
const bench = useBench()
const shelf = useShelf()
const route = useRoute()
const id = computed(() => String(route.params.id))
const titles = {
  missing: 'This design is not on the shelf',
  'taken-off': 'This design was taken off the shelf',
  unreadable: "This design can't be read",
  'no-storage': "The shelf can't be opened",
  slow: 'The shelf does not answer',
} as const
const title = computed(() => (bench.state in titles ? titles[bench.state as keyof typeof titles] : ''))

async function putBack(): Promise<void> {
  if (await shelf.restore(id.value)) await bench.open(id.value)
}
</script>

<template>
  <main class="wait">
    <p v-if="!title" role="status">Laying out the boards …</p>
    <template v-else>
      <h1>{{ title }}</h1>
      <p v-if="bench.state === 'missing'">
        It was taken away, or saved in another browser. Import its file, or open another.
      </p>
      <p v-else-if="bench.state === 'taken-off'">It can be put back for a day after it was taken off.</p>
      <p v-else-if="bench.state === 'slow'" role="status">
        It is still being waited for. Close other tabs of Early Wren; if nothing comes, load this page again.
      </p>
      <ul v-else>
        <li v-for="each in bench.trouble" :key="each">{{ each }}</li>
      </ul>
      <p v-if="bench.state === 'unreadable'">
        The design stored in this browser is damaged. Import it again from a file, if you saved one.
      </p>
      <p v-if="shelf.trouble" role="alert">{{ shelf.trouble.title }}. {{ shelf.trouble.sentence }}</p>
      <div class="acts">
        <Button v-if="bench.state === 'taken-off'" label="Put it back" @click="putBack" />
        <NuxtLink to="/">To the shelf</NuxtLink>
      </div>
    </template>
  </main>
</template>

<style scoped>
.wait {
  max-width: 36rem;
  margin: 20vh auto 0;
  padding: 0 24px;
  display: grid;
  gap: 14px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  align-items: center;
}
.acts a {
  min-height: var(--target);
  display: inline-flex;
  align-items: center;
}
</style>
