<script setup lang="ts">
import type { ColumnChoice } from '#core/data'
import type { SourceDetail } from '~/composables/data-room'

/** The grid of a typed table beside the chart that draws it: what is typed is drawn a moment after. */
const props = defineProps<{ table: string }>()
const emit = defineEmits<{ close: [] }>()
const tables = useTables()
const detail = shallowRef<SourceDetail | null>(null)
const look = async () => void (detail.value = (await asking(() => $fetch<SourceDetail>(`/api/data/${props.table}`))) ?? detail.value)
await look()
async function kept() {
  await Promise.all([look(), asking(tables.follow)])
}
async function decide(name: string, _label: string, choice: ColumnChoice | undefined) {
  const { choices } = detail.value!
  const { [name]: _, ...others } = choices.columns ?? {}
  const columns = choice ? { ...others, [name]: choice } : others
  if (await asking(() => $fetch(`/api/data/${props.table}`, { method: 'PATCH', body: { choices: { ...choices, columns } } }))) {
    tables.forget(props.table)
    await look()
  }
}
</script>

<template>
  <USlideover
    :open="true"
    side="left"
    :modal="false"
    :overlay="false"
    :title="detail?.name ?? 'Rows'"
    description="What is typed here is drawn a moment after."
    :ui="{ content: 'rows-beside' }"
    @update:open="emit('close')"
    @keydown.stop
  >
    <template #body>
      <TypedGrid v-if="detail" :key="detail.id" :detail="detail" :name="detail.name" @kept="kept" @decide="decide" />
      <p v-else class="quiet">These rows are not here. Close this and try again.</p>
    </template>
  </USlideover>
</template>

<style>
.rows-beside {
  max-width: min(420px, 36vw);
}
</style>
