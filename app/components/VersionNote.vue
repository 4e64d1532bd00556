<script setup lang="ts">
/**
 * A newer version of the program, or a part of this one that can't be had; and, once, what is missing where
 * the page does not come over a secure connection.
 */
const version = useVersion()
const told = useLocalStorage('early-wren-insecure-told', false)
const insecure = computed(() => !window.isSecureContext && !told.value)
const words = {
  offered: 'A newer version of Early Wren is ready.',
  running: 'A newer version of Early Wren runs in another tab. Load it here too.',
  missing:
    'A part of this page could not be fetched. What you have is kept; load the page again when the server answers.',
}
</script>

<template>
  <aside v-if="version.news || insecure" class="version no-print" aria-label="About this page">
    <div v-if="version.news" class="row" role="status">
      <p>
        {{ words[version.news]
        }}<template v-if="version.refused.length">
          First enter or clear: {{ version.refused.join(' ') }}</template
        >
      </p>
      <div class="acts">
        <Button
          size="small"
          :label="version.news === 'missing' ? 'Load it again' : 'Load it'"
          @click="version.load()"
        />
        <Button size="small" text severity="secondary" label="Later" @click="version.later()" />
      </div>
    </div>
    <div v-if="insecure" class="row" role="status">
      <p>
        This page comes over plain http. Everything works but one thing: it can't be opened without the
        network.
      </p>
      <div class="acts">
        <Button size="small" text severity="secondary" label="OK" @click="told = true" />
      </div>
    </div>
  </aside>
</template>

<style scoped>
.version {
  position: fixed;
  z-index: 30;
  right: 12px;
  bottom: 12px;
  left: auto;
  max-width: min(30rem, calc(100vw - 24px));
  background: var(--sheet);
  border: 1px solid var(--line);
  border-left: 4px solid var(--chalk);
}
.row {
  padding: 8px 12px;
  display: flex;
  gap: 8px 16px;
  align-items: center;
  flex-wrap: wrap;
}
.row + .row {
  border-top: 1px solid var(--line);
}
.row p {
  flex: 1 1 14rem;
}
.acts {
  display: flex;
  gap: 4px;
}
@media (max-width: 720px) {
  .version {
    bottom: calc(var(--pole-height, 64px) + 8px);
  }
}
</style>
