<script setup lang="ts">
/** Asks for the address of a service that a new table follows. */
const props = defineProps<{ services: readonly string[] }>()
const emit = defineEmits<{ close: []; made: [id: string] }>()
const address = ref(props.services[0] ?? '')
const fault = ref('')
const isAsking = ref(false)
async function follow() {
  if (isAsking.value) return
  isAsking.value = true
  try {
    const { id } = await $fetch<{ id: string }>('/api/data/following', { method: 'POST', body: { address: address.value.trim() } })
    emit('made', id)
  } catch (error) {
    fault.value = messageOf(error)
  } finally {
    isAsking.value = false
  }
}
</script>

<template>
  <UModal
    :open="true"
    title="Follow an address"
    description="What a service answers with becomes a table; it is asked every few seconds, and what is new becomes the next version."
    @update:open="emit('close')"
  >
    <template #body>
      <form class="follow" @submit.prevent="follow">
        <div class="line">
          <UInput v-model="address" v-cursor class="wide" aria-label="Address" placeholder="http://…" maxlength="2000" />
          <UButton type="submit" color="primary" variant="solid" :disabled="isAsking || !address.trim()">
            {{ isAsking ? 'Asking…' : 'Follow it' }}
          </UButton>
        </div>
        <p v-if="fault" role="alert" class="wrong">{{ fault }}</p>
        <p class="quiet">
          CSV, JSON and workbooks are read. From here may be asked:
          <span v-for="service in services" :key="service" class="service">{{ service }}</span>
        </p>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.follow {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.line {
  display: flex;
  gap: 8px;
}
.wide {
  flex: 1;
}
p {
  margin: 0;
}
.service {
  display: block;
  font-family: 'Spline Sans Mono', monospace;
  font-size: 12.5px;
  overflow-wrap: anywhere;
}
.wrong {
  color: var(--warn-ink, var(--ink));
}
</style>
