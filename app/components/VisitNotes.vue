<script setup lang="ts">
import { nextNote, notes, type Note } from '../logic/notes'

/** The notes of a first visit, one at a time at the place that it is about, each put away for good. */
const away = defineModel<string[]>({ required: true })
const pop = useTemplateRef<{ show: (event: unknown, target: Element) => void; hide: () => void }>('pop')
const note = computed(() => nextNote(away.value))
const shown = ref<Note | null>(null)
const count = computed(() => notes.findIndex(({ id }) => id === shown.value?.id) + 1)
const onScreen = (selector: string): Element | undefined =>
  [...document.querySelectorAll(selector)].find(each => {
    const { width, height, top, left } = each.getBoundingClientRect()
    return width > 0 && height > 0 && top < window.innerHeight && left < window.innerWidth
  })

let waiting: ReturnType<typeof setTimeout> | undefined
/** Shows the next note where it belongs; a place that is not there yet is waited for. */
function place(tries = 20): void {
  clearTimeout(waiting)
  const next = note.value
  if (!next) return
  const target = next.at.map(onScreen).find(each => each !== undefined)
  if (target) {
    shown.value = next
    pop.value?.show({ currentTarget: target }, target)
  } else if (tries > 0) waiting = setTimeout(() => place(tries - 1), 250)
}
async function put(ids: readonly string[]): Promise<void> {
  pop.value?.hide()
  away.value = [...new Set([...away.value, ...ids])]
  await nextTick()
  setTimeout(() => place(), 200)
}
/** Hidden by the page being scrolled or turned, it comes again. */
function lost(): void {
  if (shown.value && shown.value.id === note.value?.id) waiting = setTimeout(() => place(), 400)
}
onMounted(() => place())
onBeforeUnmount(() => clearTimeout(waiting))
watch(
  () => away.value.length,
  (now, before) => {
    if (now < before) place()
  },
)
</script>

<template>
  <Popover ref="pop" :dismissable="false" aria-label="A note on what is here" @hide="lost">
    <div v-if="shown" class="note">
      <p>{{ shown.says }}</p>
      <p class="acts">
        <span class="figures quiet">{{ count }} of {{ notes.length }}</span>
        <Button
          v-if="count < notes.length"
          label="Put all away"
          text
          severity="secondary"
          @click="put(notes.map(({ id }) => id))"
        />
        <Button label="OK" @click="put([shown.id])" />
      </p>
    </div>
  </Popover>
</template>

<style scoped>
.note {
  display: grid;
  gap: 8px;
  max-width: 17rem;
}
.acts {
  display: flex;
  align-items: center;
  gap: 8px;
}
.acts .figures {
  flex: 1;
}
</style>
