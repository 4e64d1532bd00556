<script setup lang="ts">
/** A card at the saw: turned back and on by a tap on either half, a swipe or its buttons, and ticked. */
defineProps<{ label: string; done: boolean; says: string; working: boolean }>()
const emit = defineEmits<{ tick: []; step: [by: number] }>()
const face = useTemplateRef<HTMLElement>('face')
function tap(event: MouseEvent): void {
  if ((event.target as HTMLElement).closest('button, a, input')) return
  const box = face.value?.getBoundingClientRect()
  if (box) emit('step', event.clientX < box.left + box.width / 2 ? -1 : 1)
}
useSwipe(face, {
  threshold: 60,
  onSwipeEnd: (_, way) => {
    if (way === 'left') emit('step', 1)
    if (way === 'right') emit('step', -1)
  },
})
</script>

<template>
  <article class="turn-card">
    <div ref="face" class="face" @click="tap"><slot /></div>
    <div class="turn">
      <Button label="Back" icon="pi pi-chevron-left" outlined @click="emit('step', -1)" />
      <Button
        class="sawn"
        :label="label"
        :icon="done ? 'pi pi-check' : 'pi pi-stop'"
        :aria-label="says"
        :disabled="working"
        @click="emit('tick')"
      />
      <Button label="Next" icon="pi pi-chevron-right" icon-pos="right" outlined @click="emit('step', 1)" />
    </div>
    <slot name="under" />
  </article>
</template>

<style scoped>
.turn-card {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 0;
}
.face {
  flex: 1;
  padding: 16px 20px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  touch-action: pan-y;
  user-select: none;
  cursor: pointer;
}
.face :deep(.length) {
  font-size: clamp(2.8rem, 15vw, 7.5rem);
  line-height: 1.05;
  font-weight: 700;
  letter-spacing: -0.05em;
  word-spacing: -0.15em;
}
.turn {
  display: grid;
  grid-template-columns: 1fr 1.6fr 1fr;
  gap: 8px;
  padding: 8px 12px;
}
.turn :deep(.p-button) {
  min-height: 72px;
  font-size: 1.25rem;
}
.turn :deep(.sawn) {
  font-size: 1.5rem;
}
@media (max-width: 480px) {
  .face {
    padding: 12px;
  }
  .turn :deep(.p-button) {
    padding-inline: 6px;
    font-size: 1.1rem;
  }
}
</style>
