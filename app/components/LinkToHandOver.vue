<script setup lang="ts">
/** A link that is shown this once, to be handed to somebody. */
const props = defineProps<{ link: string; title: string; words: string }>()
const emit = defineEmits<{ close: [] }>()
const address = computed(() => new URL(props.link, location.origin).href)
const copied = ref(false)
async function copy() {
  try {
    await navigator.clipboard.writeText(address.value)
    copied.value = true
  } catch (error) {
    // Some browsers allow it over TLS alone.
    if (!(error instanceof Error)) throw error
    notifyProblem('This browser does not let pages copy. Mark the link and copy it by hand.')
  }
}
</script>

<template>
  <UModal :open="true" :title="title" :description="words" @update:open="emit('close')">
    <template #body>
      <div class="flex gap-2">
        <UInput
          :model-value="address"
          readonly
          class="flex-1"
          aria-label="Link"
          autofocus
          @focus="($event.target as HTMLInputElement).select()"
        />
        <UButton color="primary" variant="solid" :icon="copied ? 'i-lucide-check' : 'i-lucide-copy'" @click="copy">
          {{ copied ? 'Copied' : 'Copy' }}
        </UButton>
      </div>
    </template>
  </UModal>
</template>
