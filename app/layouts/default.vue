<!-- What a page of the application stands in: its messages, hints and dialogs. Pages that need none say `layout: false`, and are light. -->
<script setup lang="ts">
import { addAPIProvider } from '@iconify/vue'
import { en_gb } from '@nuxt/ui/locale'

// Icons that the build did not find by name are asked for at our own server, never elsewhere.
addAPIProvider('', { resources: ['/api/_nuxt_icon'] })
useSendUnsent()
const help = useHelp()
/** English words; days and numbers in the way of who looks. */
const locale = { ...en_gb, code: navigator.language }
</script>

<template>
  <UApp :locale="locale">
    <slot />
    <TheTips />
    <LazyTheHelp v-if="help" />
  </UApp>
</template>
