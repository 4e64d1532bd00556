<script setup lang="ts">
const route = useRoute()
await navigateTo(`/design/${String(route.params.id)}/roof`, { replace: true })
</script>

<template><div /></template>
