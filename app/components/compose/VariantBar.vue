<script setup lang="ts">
import { addVariant, removeVariant, setFields } from '#core/edits'
import { variantsOf } from '#core/model'

/** The variant that is composed: a named set of what shows and what does not. */
const store = useDeck()
const stage = useStage()
const variants = computed(() => variantsOf(store.current))
const naming = ref<'new' | 'rename' | null>(null)
const name = ref('')
const current = computed(() => (stage.variant ? store.current.variants[stage.variant] : undefined))
function begin(what: 'new' | 'rename') {
  name.value = what === 'rename' ? (current.value?.name ?? '') : ''
  naming.value = what
}
function keep() {
  const words = name.value.trim()
  const what = naming.value
  naming.value = null
  if (!words) return
  if (what === 'rename') {
    if (current.value && words !== current.value.name)
      store.edit(
        `rename the variant ${current.value.name}`,
        setFields(store.current, { table: 'variants', id: current.value.id, fields: { name: words.slice(0, 120) } }),
      )
    return
  }
  const changes = addVariant(store.current, { name: words }, store.context)
  store.edit(`add the variant ${words}`, changes)
  const [put] = changes
  if (put?.do === 'put') stage.variant = put.record.id
}
const take = () =>
  current.value && store.edit(`remove the variant ${current.value.name}`, removeVariant(store.current, { variant: current.value.id }))
const items = computed(() => [
  [
    {
      label: 'In general',
      icon: stage.variant ? undefined : 'i-lucide-check',
      onSelect: () => {
        stage.variant = null
      },
    },
    ...variants.value.map(variant => ({
      label: variant.name,
      icon: stage.variant === variant.id ? 'i-lucide-check' : undefined,
      onSelect: () => {
        stage.variant = variant.id
      },
    })),
  ],
  store.canEdit
    ? [
        { label: 'New variant', icon: 'i-lucide-plus', onSelect: () => begin('new') },
        ...(current.value
          ? [
              { label: `Rename “${current.value.name}”`, icon: 'i-lucide-pencil', onSelect: () => begin('rename') },
              { label: `Remove “${current.value.name}”`, icon: 'i-lucide-trash-2', onSelect: take },
            ]
          : []),
      ]
    : [],
])
</script>

<template>
  <div class="variants">
    <form v-if="naming" class="naming" @submit.prevent="keep">
      <UInput
        v-model="name"
        v-cursor
        placeholder="summer, without captions"
        aria-label="Name of the variant"
        maxlength="120"
        @keydown.esc="naming = null"
      />
      <UButton type="submit" size="sm">{{ naming === 'new' ? 'Add' : 'Rename' }}</UButton>
    </form>
    <UDropdownMenu v-else :items="items">
      <UButton size="sm" class="now" :active="!!current" icon="i-lucide-layers-2" data-test="variant">
        <span class="name">{{ current ? current.name : variants.length ? 'In general' : 'Variants' }}</span>
      </UButton>
    </UDropdownMenu>
    <p v-if="current" class="quiet small">What is hidden or shown here counts for this variant only.</p>
  </div>
</template>

<style scoped>
.variants {
  padding: 0 4px 6px;
}
.naming {
  display: flex;
  gap: 4px;
}
.naming [data-slot='root'] {
  flex: 1;
  width: 0;
}
.now {
  max-width: 100%;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
}
.small {
  font-size: 12.5px;
  margin: 4px 2px 0;
}
</style>
