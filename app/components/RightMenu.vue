<script setup lang="ts">
import type { DropdownMenuItem } from '@nuxt/ui'

/**
 * The menu of whatever the right button, or the key for it, is pressed on: of the element with `data-menu` around that place. Where
 * nothing is to be done, and in fields, which have the browser's own, it does not open.
 */
const props = defineProps<{
  menuOf: (id: string) => DropdownMenuItem[][]
  /** What lies at a place where things lie on each other. */
  under?: (event: MouseEvent) => string | undefined
}>()
const emit = defineEmits<{ ask: [id: string] }>()
const asked = ref<string | null>(null)
const items = computed(() => (asked.value === null ? [] : props.menuOf(asked.value)))
function ask(event: MouseEvent) {
  const target = event.target as Element
  const id = isTyping(target) ? undefined : (props.under?.(event) ?? target.closest<HTMLElement>('[data-menu]')?.dataset.menu)
  asked.value = id ?? null
  if (id === undefined || !items.value.length) return event.stopImmediatePropagation()
  emit('ask', id)
}
</script>

<template>
  <UContextMenu :items="items">
    <div class="around" @contextmenu.capture="ask"><slot /></div>
  </UContextMenu>
</template>

<style scoped>
.around {
  display: contents;
}
</style>
