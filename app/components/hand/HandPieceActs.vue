<script setup lang="ts">
import { supportName } from '../../../core/frame'
import { joistAt } from '../../hand/floor'
import { setRock, toggleDouble } from '../../logic/changes/below'

/** What can be done at the very board in hand: a joist doubled, a hole that rock stopped. */
const bench = useBench()
const joist = computed(() =>
  bench.plan && bench.design ? joistAt({ plan: bench.plan, design: bench.design }, bench.hand) : null,
)
const doubled = computed(() =>
  (bench.design?.floor?.doubled ?? []).some(each => Math.abs(each - (joist.value ?? 0)) < 60),
)
const inGround = computed(() =>
  bench.design?.base?.kind === 'poles' ? 'wall-post' : bench.design?.base?.kind === 'posts' ? 'post' : null,
)
const post = computed(() =>
  bench.member && bench.member.role === inGround.value ? supportName(bench.member.where) : null,
)
const stopped = computed(() => {
  const base = bench.design?.base
  return (
    (base?.kind === 'posts' || base?.kind === 'poles') && base.rock.some(each => each.post === post.value)
  )
})
function rock(): void {
  if (!post.value) return
  const on = !stopped.value
  bench.edit(setRock(post.value, on))
  if (on) bench.touch({ subject: 'base.rows' })
}
</script>

<template>
  <Button
    v-if="joist !== null"
    :label="doubled ? 'Single again' : 'Double it'"
    outlined
    severity="secondary"
    @click="bench.edit(toggleDouble(joist))"
  />
  <Button
    v-if="post"
    :label="stopped ? 'No rock after all' : 'Rock stopped the hole'"
    outlined
    severity="secondary"
    @click="rock"
  />
</template>
