<script setup lang="ts">
import { pinnedId, pinOf, sourceIn } from '#core/data'
import { redirectTable } from '#core/edits'
import type { SourceDetail } from '~/composables/data-room'

/** Which version of a table a deck reads: the one on air, or one that it stays at; it holds for all of the deck. */
const props = defineProps<{ table: string }>()
const store = useDeck()
const tables = useTables()
const source = computed(() => sourceIn(props.table))
const detail = shallowRef<SourceDetail | null>(null)
const lacking = ref('')
/** What comes on air meanwhile is another list of versions. */
const onAir = computed(() => tables.table(props.table)?.version)
watch(
  [source, onAir],
  async ([id], [before]) => {
    if (id !== before) detail.value = null
    try {
      const found = await $fetch<SourceDetail>(`/api/data/${id}`)
      if (source.value === id) detail.value = found
      lacking.value = ''
    } catch (error) {
      lacking.value = messageOf(error)
    }
  },
  { immediate: true },
)
const day = (at: string) => new Date(at).toLocaleDateString(undefined, { day: 'numeric', month: 'short' })
const choices = computed(() => {
  const { versions = [], onAir: now } = detail.value ?? {}
  const stays = versions.map(({ number, createdAt }) => ({
    value: pinnedId({ source: source.value, number }),
    label: `stays at ${number}, of ${day(createdAt)}`,
  }))
  return [{ value: source.value, label: now ? `the one on air, ${now} now` : 'the one on air' }, ...stays.reverse()]
})
async function choose(next: string) {
  if (next === props.table) return
  const number = pinOf(next)?.number
  store.edit(
    number ? `stay at version ${number} of ${detail.value?.name}` : `follow ${detail.value?.name}`,
    redirectTable(store.current, { from: props.table, to: next }),
  )
  tables.table(next)
}
</script>

<template>
  <div v-if="detail && (detail.versions.length > 1 || pinOf(table))" class="row">
    <span class="label">Version</span>
    <ChoiceField :model-value="table" :items="choices" label="Version of the table" @update:model-value="choose" />
  </div>
  <p v-else-if="lacking" class="quiet" role="alert">{{ lacking }}</p>
</template>
